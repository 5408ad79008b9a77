import type { Kind } from '@/core/diagnosis/knowledge';
import { chanceWithin, meanRemainingYears } from '@/core/stats/weibull';
import type { BundleStep, ExtraJob } from '@/core/strip/bundle';
import type { Procedure, StripStep } from '@/core/strip/procedure';
import type { JobState } from '@/data/jobState';
import { faultById } from '@/knowledge';
import { oneState } from '@/knowledge/oneState';
import type { WearNow } from '@/knowledge/waysOn';
import { broughtWith, wearLives } from '@/knowledge/wearLives';
import type { JobFacts } from '../jobView/dto';
import { agedOf } from '../jobView/agedOf';
import { faultAgeDays } from '../plans/partAgeDays';
import { lifeHere } from '../plans/lifeHere';
import { keysOf, partsMinor, partsOf } from './offerLines';

const DAY_YEARS = 1 / 365.25;
/** A part whose age nobody knows is taken for half through its life. */
const UNKNOWN_SHARE = 0.5;

const faultOf = (id: string) => faultById(id)!;

/** Minutes of some steps, there and back. */
export const minutesOf = (steps: readonly StripStep[]) =>
  Math.round(10 * steps.reduce((sum, s) => sum + s.minutes + s.back.minutes, 0)) / 10;

interface Around {
  way: (faults: readonly string[]) => StripStep[];
  perMinute: (minutes: number) => number;
}

/** What has changed since the owner did not want it: found then it is so still; what wears is likelier to fail. */
export function changedSince(
  { fault, at }: JobFacts['agree']['declinedBefore'][number],
  wear: readonly WearNow[],
  facts: JobFacts,
): string {
  if (facts.openFaults.some((f) => f.fault === fault)) return 'found then, and so still';
  const part = wear.find((w) => w.fault === fault);
  if (!part) return 'it is older now';
  const since = (Date.now() - Date.parse(at)) / (365.25 * 86_400_000);
  const chance = (age: number) => Math.round(100 * chanceWithin(part.life, Math.max(0, age), 1));
  return `within a year it failed with ${chance(part.ageYears - since)} % then, with ${chance(part.ageYears)} % now`;
}

/** What wears on this machine, how old it is, and what it costs when it fails by itself. */
export function wearOf(
  kind: Kind,
  state: JobState,
  facts: JobFacts,
  must: readonly string[],
  { way, perMinute, leastMinor }: Around & { leastMinor: number },
): WearNow[] {
  const parts = agedOf(state, Date.now());
  const age = machineAge(state, new Date().toISOString().slice(0, 10));
  const dropped = new Set(facts.machine.droppedStations);
  return wearLives
    .filter(({ fault }) => {
      const station = faultOf(fault).kinds[kind.id]?.station;
      return station !== undefined && !dropped.has(station);
    })
    .map((w) => {
      const use = { kind: kind.id, hoursPerWeek: Number(state.machine.hours_per_week) };
      const life = lifeHere(w, use, state.ownLives);
      const days = faultAgeDays(kind.id, w.fault, parts);
      const unknown = UNKNOWN_SHARE * life.scaleYears;
      return {
        fault: w.fault,
        label: faultOf(w.fault).repair.label,
        life,
        // A machine may have had its part replaced elsewhere: past its life nobody takes it for the first.
        ageYears: days !== undefined ? days * DAY_YEARS : age === null || age > life.scaleYears ? unknown : age,
        thenMinor: Math.max(
          leastMinor,
          perMinute(faultOf(w.fault).repair.minutes + minutesOf(way([w.fault]))) + partsMinor(w.fault, kind, facts),
        ),
      };
    })
    .map((w) => (must.includes(w.fault) ? { ...w, ageYears: 0 } : w));
}

export interface Extra {
  wear: WearNow;
  chance: number;
  remaining: number;
  nowMinor: number;
  job: ExtraJob;
  steps: StripStep[];
  /** Parts that it takes and where they sit. */
  places: string[];
}

/** What else could be done: not what is done anyway, nor another state of the same part, nor what cannot be bought. */
export function extrasOf(
  wear: readonly WearNow[],
  {
    present,
    kind,
    facts,
    must,
    way,
    open,
    perMinute,
    taken,
  }: Around & {
    present: Readonly<Record<string, number>>;
    kind: Kind;
    facts: JobFacts;
    must: readonly string[];
    open: ReadonlySet<string>;
    taken: ReadonlySet<string>;
  },
): Extra[] {
  const states = (fault: string) => oneState.find((line) => line.includes(fault)) ?? [fault];
  const done = [...must, ...facts.repaired];
  const spoken = new Set([...done.flatMap(states), ...broughtWith(done)]);
  const placed = (fault: string) => partsOf(fault, kind, facts).flatMap(keysOf);
  const all = wear
    .filter((w) => !spoken.has(w.fault))
    .filter((w) => placed(w.fault).length > 0 && placed(w.fault).every((place) => !taken.has(place)))
    .filter((w) => partsOf(w.fault, kind, facts).every((p) => p.priceMinor !== null))
    .map((w): Extra => {
      const steps = way([w.fault]).filter((s) => !open.has(s.id));
      // It may be there already, as far as the findings tell, or come within the year.
      const chance = 1 - (1 - (present[w.fault] ?? 0)) * (1 - chanceWithin(w.life, w.ageYears, 1));
      const price = perMinute(faultOf(w.fault).repair.minutes) + partsMinor(w.fault, kind, facts);
      return {
        wear: w,
        chance,
        remaining: meanRemainingYears(w.life, w.ageYears),
        nowMinor: price + perMinute(minutesOf(steps)),
        job: {
          id: w.fault,
          worthMinor: Math.round(chance * w.thenMinor) - price,
          priceMinor: price,
          steps: steps.map((s) => s.id),
        },
        steps,
        places: placed(w.fault),
      };
    })
    .sort((a, b) => b.chance - a.chance);
  // Of the states of one part, and of the faults that one part ends, the likelier stands for both.
  const seen = new Set<string>();
  return all.filter((e) => {
    const keys = [...states(e.wear.fault), ...placed(e.wear.fault)];
    if (keys.some((k) => seen.has(k))) return false;
    for (const k of keys) seen.add(k);
    return true;
  });
}

export function extraSteps(
  procedure: Procedure,
  wanted: readonly StripStep[],
  perMinute: (m: number) => number,
): BundleStep[] {
  const ids = new Set(wanted.map((s) => s.id));
  return procedure.steps
    .filter((s) => ids.has(s.id))
    .map((s) => ({
      id: s.id,
      costMinor: perMinute(s.minutes + s.back.minutes),
      needs: s.needs.filter((n) => ids.has(n)),
    }));
}

/** Years since it was made, to half a year; null when nobody knows. */
export function machineAge(state: JobState, today: string): number | null {
  const made = state.machine.made_year;
  return made === null ? null : Math.max(0, Number(today.slice(0, 4)) + Number(today.slice(5, 7)) / 12 - made - 0.5);
}
