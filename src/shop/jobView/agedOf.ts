import { faultsOf } from '@/core/diagnosis/compileKind';
import type { JobState } from '@/data/jobState';
import { kindById, knowledge } from '@/knowledge';
import { wearOfFault } from '@/knowledge/wearLives';
import { lifeHere } from '../plans/lifeHere';
import { agedParts, faultAgeDays, type AgedPart } from '../plans/partAgeDays';
import { dayInZone } from '../settings/day';

const YEAR_DAYS = 365.25;

/** What this shop made new on the machine of a job, in this job too. @param now milliseconds */
export function agedOf(state: JobState, now: number): AgedPart[] {
  const dayOf = (at: string | number) => dayInZone(new Date(at), state.shop.zone);
  const done = state.service.filter((s) => s.state === 'done');
  return agedParts(
    state.model.kind,
    state.partAges.map((a) => ({ ...a, at: Date.parse(a.at) })),
    [
      ...state.plans.map((p) => ({ item: p.item, on: p.last_done_on })),
      ...done.map((s) => ({ item: s.item, on: dayOf(s.at) })),
    ],
    now,
    dayOf(now),
  );
}

/** Up to this share of its life what wears out fails at a third of its usual rate or less, where its shape is this at least. */
const NEW_SHARE = 0.25;
const WEARS_OUT_FROM = 1.8;

/**
 * Faults of parts that this shop made new before the job, so lately that they are not yet worn: younger than such faults come in a
 * machine, or in the first quarter of their life. What was made new in the job itself says nothing of why it came, and what clogs
 * by dirt nothing of the age of the part.
 * @param ageYears of the machine when it was taken in; undefined when not known
 */
export function madeNewBefore(state: JobState, ageYears?: number): string[] {
  const kind = kindById(state.model.kind);
  const takenIn = Date.parse(state.job.taken_in_at);
  const day = dayInZone(new Date(takenIn), state.shop.zone);
  const parts = agedParts(
    kind.id,
    state.partAges.flatMap(({ before, ...a }) => (before === null ? [] : [{ ...a, at: Date.parse(before) }])),
    state.plans
      .filter((p) => p.last_done_on !== null && p.last_done_on < day)
      .map((p) => ({ item: p.item, on: p.last_done_on })),
    takenIn,
    day,
  );
  if (parts.length === 0) return [];
  return faultsOf(knowledge, kind)
    .filter(({ id, kinds }) => {
      const days = faultAgeDays(kind.id, id, parts);
      if (days === undefined) return false;
      const { fromAgeYears } = kinds[kind.id]!;
      // A machine so young weighs it as little already.
      if (fromAgeYears !== undefined)
        return !(ageYears !== undefined && ageYears < fromAgeYears) && days < fromAgeYears * YEAR_DAYS;
      const wear = wearOfFault(id);
      if (!wear || wear.by === 'dirt') return false;
      const life = lifeHere(
        wear,
        { kind: kind.id, hoursPerWeek: Number(state.machine.hours_per_week) },
        state.ownLives,
      );
      return life.shape >= WEARS_OUT_FROM && days < NEW_SHARE * life.scaleYears * YEAR_DAYS;
    })
    .map((f) => f.id);
}
