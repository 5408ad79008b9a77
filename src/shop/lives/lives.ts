import { repairAccess } from '@/core/diagnosis/knowledge';
import { intervalDays } from '@/core/service/planDue';
import { meanCumulative } from '@/core/service/meanCumulative';
import { failedOf, shareRange } from '@/core/service/survivors';
import type { SeenLife } from '@/core/service/weibullFit';
import { minutesOf } from '@/core/strip/procedure';
import { database, type Db } from '@/data/database';
import {
  comebacksOf,
  confirmedOf,
  dropOwnLife,
  ownLives,
  putOwnLife,
  seenParts,
  type SeenPart,
  watchedFleet,
  watchedUntilBack,
} from '@/data/lives';
import { markStale, ownIntervals, putOwnInterval } from '@/data/plans';
import { shopSettings } from '@/data/shopSettings';
import { faultById, knowledge, kindById } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { ordinaryHoursPerWeek, ordinaryUseOf } from '@/knowledge/ordinaryUse';
import { planItem, planItemsOn } from '@/knowledge/plans';
import { wearLives } from '@/knowledge/wearLives';
import { owner } from '../access/roles';
import { once, shopDeed } from '../deed/deed';
import { inPaperThread } from '../papers/paperThreads';
import { waitingOf } from '../plans/waiting';
import { notFound, refuseIf } from '../problem';
import { TakeIntervalDto, TakeLifeDto, type LifeView, type LivesView } from './dto';

/** More are not looked at: the newest machines tell how parts last now. */
const MOST_LIVES = 20_000;
const MOST_FLEET = 4000;
const YEAR_DAYS = 365.25;
/** Fewer failures than these prove nothing worth a plan. Common practice, no source. */
const ENOUGH = 5;
/** To find what failed by itself, where it was only to be replaced. Common practice, no source. */
const FINDING_MINUTES = 15;

const faultOf = (id: string) => faultById(id);

/** What the shop's history tells of a kind: how often, how soon again, and what lasts how long. @throws ProblemError 404 */
export async function lives(kind: string): Promise<LivesView> {
  if (!knowledge.kinds.some((k) => k.id === kind)) throw notFound('This kind');
  const db = database();
  const [confirmed, own, fleet, comebacks, back, intervals, shop] = await Promise.all([
    confirmedOf(db, kind),
    ownLives(db, kind),
    watchedFleet(db, kind, MOST_FLEET),
    comebacksOf(db, kind),
    watchedUntilBack(db, kind, MOST_LIVES),
    ownIntervals(db),
    shopSettings(db),
  ]);
  const faults = wearLives.flatMap((w) => {
    const fault = faultOf(w.fault)!;
    const station = fault.kinds[kind]?.station;
    if (!station) return [];
    const ours = own.find((o) => o.fault === w.fault);
    return [
      {
        fault: w.fault,
        label: fault.label,
        station,
        confirmed: confirmed.get(w.fault) ?? 0,
        usual: { shape: w.life.shape, years: w.life.scaleYears },
        own: ours ? { shape: ours.shape, years: ours.scale_years, failures: ours.failures } : null,
      },
    ];
  });
  return {
    kind,
    faults: faults.sort((a, b) => b.confirmed - a.confirmed),
    failures: meanCumulative(fleet),
    machines: fleet.length,
    comebacks: comebacks
      .map((c) => {
        const [low, high] = shareRange(c.often, c.of);
        const label = knowledge.complaints.find((k) => k.id === c.complaint)?.label ?? c.complaint;
        return { ...c, label, low, high };
      })
      .sort((a, b) => b.of - a.of)
      .slice(0, 12),
    causes: [...failedOf(back, YEAR_DAYS)]
      .map(([fault, share]) => ({ fault, label: faultOf(fault)?.label ?? fault, share }))
      .sort((a, b) => b.share - a.share)
      .slice(0, 12),
    intervals: intervals
      .filter((i) => i.kind === kind)
      .map(({ at, person, ...i }) => ({
        ...i,
        label: planItem(i.item)?.label ?? i.item,
        at: at.toISOString(),
        by: person,
      })),
    currency: shop.currency,
    locale: shop.locale,
    zone: shop.zone,
  };
}

/** Whole days: nobody knows the hour, and many are alike. */
function lifeSeen({ from_days, to_days }: SeenPart): SeenLife {
  return {
    from: Math.max(1, Math.round(from_days)),
    to: to_days === null ? Infinity : Math.max(1, Math.round(to_days)),
  };
}

async function fitted(db: Db, kind: string, fault: string) {
  const { kinds, repair } = faultById(fault)!;
  const watched = { fault, station: kinds[kind]!.station, groups: repair.parts ?? [] };
  const parts = await seenParts(db, kind, watched, MOST_LIVES);
  const groups = new Map<string, SeenLife[]>();
  for (const p of parts)
    for (const name of [p.model, p.trade ? 'in the trade' : 'in households'])
      groups.set(name, [...(groups.get(name) ?? []), lifeSeen(p)]);
  return inPaperThread('fitLives', { seen: parts.map(lifeSeen), groups: [...groups], enough: ENOUGH });
}

/** One fault's life as the shop saw it, with what replacing it costs. @throws ProblemError 404 */
export async function lifeOfFault(kind: string, fault: string): Promise<LifeView> {
  const wear = wearLives.find((w) => w.fault === fault);
  const known = faultOf(fault);
  const station = known?.kinds[kind]?.station;
  if (!wear || !known || !station) throw notFound('A life of this fault');
  const db = database();
  const shop = await shopSettings(db);
  const [{ fit, band, steps, groups }, waiting, intervals] = await Promise.all([
    fitted(db, kind, fault),
    waitingOf(db, [kind], shop),
    ownIntervals(db),
  ]);
  const planned = waiting.price(kind, fault);
  const { open, close } = minutesOf(procedures[kind]!.steps, repairAccess(kindById(kind), known));
  const use = {
    pets: false,
    trade: true,
    hoursPerWeek: ordinaryHoursPerWeek(kind),
    ...ordinaryUseOf(kind),
    sealedBattery: null,
  };
  return {
    kind,
    fault,
    label: known.label,
    fit,
    groups,
    few: fit === null || fit.failures < ENOUGH,
    steps,
    band,
    usual: { shape: wear.life.shape, scaleDays: wear.life.scaleYears * YEAR_DAYS },
    plannedMinor: Math.max(1, Math.round(planned)),
    failureMinor: Math.max(1, Math.round(planned + ((shop.labour_minor ?? 0) * (open + close + FINDING_MINUTES)) / 60)),
    items: planItemsOn(kind)
      .filter((i) => i.stations[kind] === station)
      .map((i) => ({
        item: i.id,
        label: i.label,
        days: intervals.find((o) => o.kind === kind && o.item === i.id)?.days ?? intervalDays(i, use),
      })),
    currency: shop.currency,
    locale: shop.locale,
  };
}

/** The owner's own interval for an item on a kind; all its machines follow. */
export const takeInterval = shopDeed(
  {
    name: 'take-interval',
    roles: owner,
    summary: 'Set the shop’s own interval of an item of the plan',
    dto: TakeIntervalDto,
  },
  (person, dto): Promise<{ kind: string; item: string }> =>
    once(person, 'take-interval', dto, `${dto.kind}:${dto.item}`, async (db) => {
      const known = planItemsOn(dto.kind).some((i) => i.id === dto.item);
      refuseIf(known ? [] : [{ field: 'item', message: 'This kind has no such service.' }]);
      const days = dto.days ?? null;
      const hours = dto.hours ?? null;
      const uses = dto.uses ?? null;
      const isNone = days === null && hours === null && uses === null;
      const row = isNone ? null : { days, hours, uses, why: dto.why.trim(), person_id: person.id };
      await putOwnInterval(db, dto.kind, dto.item, row);
      await markStale(db, { kind: dto.kind });
      return { kind: dto.kind, item: dto.item };
    }),
);

/** The life that the shop's history tells, taken over in place of the usual one: for offers and for what waiting costs. */
export const takeLife = shopDeed(
  {
    name: 'take-life',
    roles: owner,
    summary: 'Take over a life that the shop’s own history tells, or the usual one again',
    dto: TakeLifeDto,
  },
  async (person, dto): Promise<{ kind: string; fault: string }> => {
    const wears = wearLives.some((w) => w.fault === dto.fault) && faultOf(dto.fault)?.kinds[dto.kind];
    refuseIf(wears ? [] : [{ field: 'fault', message: 'Of this fault no life is kept.' }]);
    // Worked out before anything is held.
    const { fit } = dto.take ? await fitted(database(), dto.kind, dto.fault) : { fit: null };
    return once(person, 'take-life', dto, `${dto.kind}:${dto.fault}`, async (db) => {
      if (!dto.take) await dropOwnLife(db, dto.kind, dto.fault);
      else if (fit === null || fit.failures < ENOUGH)
        refuseIf([{ field: 'fault', message: `Fewer than ${ENOUGH} failures were seen: they tell too little.` }]);
      else
        await putOwnLife(db, {
          kind: dto.kind,
          fault: dto.fault,
          shape: fit.shape,
          scale_years: fit.scale / YEAR_DAYS,
          failures: fit.failures,
          still_whole: fit.stillWhole,
          person_id: person.id,
        });
      return { kind: dto.kind, fault: dto.fault };
    });
  },
);
