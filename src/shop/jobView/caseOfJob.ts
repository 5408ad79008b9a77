import { createHash } from 'node:crypto';
import type { FinderCase } from '@/core/diagnosis/finderCase';
import type { JobState } from '@/data/jobState';
import { kindById } from '@/knowledge';
import { arrivalSigns } from '@/knowledge/counter';
import { readFindings } from '../finding/readFindings';
import { madeNewBefore } from './agedOf';
import { byHandOf } from './byHand';
import { isOpenedLately } from './openedLately';
import { dayInZone } from '../settings/day';

/** What is seen on arrival raises this, and so does the owner's word that it was ever wet. */
const WET = 'wet-signs';

/** What the finder is told of a job: the one place where it is made. */
export function caseOfJob(state: JobState): FinderCase {
  const { job, machine, model } = state;
  const kind = kindById(model.kind);
  const { answers } = readFindings(
    kind,
    model.mains_v,
    state.findings
      .filter((f) => f.revoked_at === null)
      .map((f) => ({
        check: f.check_id,
        ...(f.outcome === null ? { value: f.value!, unit: f.unit! } : { outcome: f.outcome }),
        ...(f.condition ? { condition: f.condition } : {}),
      })),
    { again: true },
  );
  const made = state.findings.filter((f) => f.revoked_at === null);
  const mended = state.repairedAt.map(
    ({ fault, at }) => [fault, made.filter((f) => Date.parse(f.at) <= Date.parse(at)).length] as const,
  );
  const raised = arrivalSigns.filter((s) => state.signs.includes(s.id)).map((s) => s.raises);
  const takenInYear = Number(dayInZone(new Date(job.taken_in_at), state.shop.zone).slice(0, 4));
  const ageYears = machine.made_year === null ? undefined : Math.max(0, takenInYear - machine.made_year);
  const madeNew = madeNewBefore(state, ageYears);
  return {
    kind: kind.id,
    mainsV: model.mains_v,
    complaints: state.complaints,
    answers,
    openedBefore: isOpenedLately(state),
    ...byHandOf(kind, state),
    droppedStations: model.dropped_stations,
    raised: [...new Set([...raised, ...(job.ever_wet === 'yes' ? [WET] : [])])],
    cleared: state.cleared.map((c) => c.caution),
    ...(ageYears === undefined ? {} : { ageYears }),
    ...(madeNew.length > 0 ? { madeNew } : {}),
    ...(job.customer_diagnosis ? { hint: job.customer_diagnosis } : {}),
    ...(mended.length ? { mendedAfter: Object.fromEntries(mended) } : {}),
    comebackMinutes: state.shop.comebackMinutes,
    ...partMinutesOf(state.shop),
  };
}

/** What parts cost, in minutes of the bench, when the shop has said what an hour costs. */
function partMinutesOf({ labourMinor, partPrices }: JobState['shop']): Pick<FinderCase, 'partMinutes'> {
  if (labourMinor === null) return {};
  const minutes = (price: number) => Math.round((price * 60) / labourMinor);
  return { partMinutes: Object.fromEntries(Object.entries(partPrices).map(([group, p]) => [group, minutes(p)])) };
}

/** Checks that the state on arrival asks for first, those answered already left out. */
export function firstChecksOf({ job, signs, findings }: JobState): string[] {
  const made = new Set(findings.filter((f) => f.revoked_at === null).map((f) => f.check_id));
  const asked = arrivalSigns.filter((s) => signs.includes(s.id)).flatMap((s) => s.firstCheck ?? []);
  if (job.ever_wet === 'yes') asked.push(WET);
  return [...new Set(asked)].filter((c) => !made.has(c));
}

/** Names a case: two with one key have the same odds, as long as the shop has learned nothing new. */
export function keyOfCase(asked: FinderCase): string {
  return createHash('sha256').update(JSON.stringify(asked)).digest('base64url').slice(0, 22);
}
