import { shippedPriors } from '@/core/diagnosis/compileKind';
import { learnedPriors } from '@/core/diagnosis/learnPriors';
import { calibration, logScore } from '@/core/diagnosis/calibration';
import { database, type Db } from '@/data/database';
import { forecastsSince, guesses } from '@/data/forecasts';
import { shopSettings } from '@/data/shopSettings';
import {
  insertLent,
  lentTallies,
  lockLent,
  ownTallies,
  talliesFor,
  weighLent as weigh,
  type LentRow,
} from '@/data/tallies';
import { faultById, knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { allow, owner, type Right } from '../access/roles';
import { deedOn, once, onVersion, shopDeed } from '../deed/deed';
import { refuseIf, type FieldProblem } from '../problem';
import { LEARNING_FORM, LendInDto, WeighLentDto, type LearningBookDto, type LearningView } from './dto';

export const readLearning: Right = {
  name: 'read-learning',
  roles: owner,
  summary: 'See what the finder has learned',
};

/** So many of the newest forecasts are looked at: what the finder said years ago tells little of it now. */
const MOST_FORECASTS = 20_000;

/** What the finder has learned and how often it was right; for the owner. @throws ProblemError 403 */
export async function learning(person: Person): Promise<LearningView> {
  allow(person, readLearning);
  const db = database();
  const forecasts = await forecastsSince(db, MOST_FORECASTS);
  const months = new Map<string, typeof forecasts>();
  for (const f of forecasts) {
    const month = f.at.toISOString().slice(0, 7);
    months.set(month, [...(months.get(month) ?? []), f]);
  }
  return {
    forecasts: forecasts.length,
    bins: calibration(forecasts),
    score: [...months].map(([month, list]) => ({ at: `${month}-15`, bits: logScore(list), forecasts: list.length })),
    guesses: await guesses(db),
    kinds: await Promise.all(knowledge.kinds.map((k) => kindView(db, k))),
    lent: (await lentTallies(db)).map(lentView),
  };
}

async function kindView(db: Db, kind: (typeof knowledge.kinds)[number]): Promise<LearningView['kinds'][number]> {
  const tallies = await talliesFor(db, kind.id, null);
  const shipped = shippedPriors(knowledge, kind);
  const learned = learnedPriors(tallies, shipped);
  return {
    kind: kind.id,
    label: kind.label,
    jobs: tallies.kindJobs,
    lentJobs: tallies.lentJobs,
    faults: [...shipped]
      .map(([fault, prior]) => ({
        fault,
        label: faultById(fault)!.label,
        shipped: prior,
        learned: learned.get(fault)!,
        confirmed: tallies.faults[fault]?.kind ?? 0,
      }))
      .sort((a, b) => b.learned - a.learned),
  };
}

function lentView(row: LentRow): LearningView['lent'][number] {
  return {
    id: row.id,
    shop: row.shop_name,
    weight: row.weight,
    jobs: row.book.kinds.reduce((sum, k) => sum + k.jobs, 0),
    at: row.at.toISOString(),
    version: row.version,
  };
}

/** The shop's own confirmed faults for another shop; nothing of its customers is in it. */
export async function exportLearning(person: Person): Promise<LearningBookDto> {
  allow(person, readLearning);
  const db = database();
  const { name } = await shopSettings(db);
  return { form: LEARNING_FORM, exportedAt: new Date().toISOString(), shop: name, ...(await ownTallies(db)) };
}

/** Takes another shop's learning in, at a weight. Refused at its field for unknown kinds or faults. */
export const lendIn = shopDeed(
  { name: 'lend-in', roles: owner, summary: 'Take another shop’s learning in', dto: LendInDto },
  (person, dto) =>
    once(person, 'lend-in', dto, 'new', async (db) => {
      const problems: FieldProblem[] = [];
      dto.book.kinds.forEach((k, i) => {
        const at = `book.kinds[${i}]`;
        if (!knowledge.kinds.some((x) => x.id === k.kind))
          problems.push({ field: `${at}.kind`, message: `There is no kind ${k.kind}.` });
        k.faults.forEach((f, j) => {
          if (!knowledge.faults.some((x) => x.id === f.fault && k.kind in x.kinds))
            problems.push({ field: `${at}.faults[${j}].fault`, message: `${k.kind} has no fault ${f.fault}.` });
          else if (f.confirmed > k.jobs)
            problems.push({ field: `${at}.faults[${j}].confirmed`, message: 'More often than there were jobs.' });
        });
      });
      refuseIf(problems);
      const shop = dto.book.shop.trim();
      const book = {
        kinds: dto.book.kinds.map((k) => ({
          kind: k.kind,
          jobs: k.jobs,
          faults: k.faults.map(({ fault, confirmed }) => ({ fault, confirmed })),
        })),
      };
      await insertLent(db, { shop_name: shop, weight: dto.weight, book, person_id: person.id });
      return { shop };
    }),
);

/** Changes what a job of another shop counts; 0 leaves it out. */
export const weighLent = deedOn(
  { name: 'weigh-lent', roles: owner, summary: 'Weigh another shop’s learning', dto: WeighLentDto },
  (person, id: number, dto) =>
    onVersion(
      person,
      'weigh-lent',
      dto,
      {
        id,
        what: 'This learning',
        lock: (db) => lockLent(db, id),
        view: async (db) => lentView((await lockLent(db, id))!),
      },
      async (db) => weigh(db, id, dto.weight),
    ),
);
