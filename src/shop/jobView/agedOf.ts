import { faultsOf } from '@/core/diagnosis/compileKind';
import type { JobState } from '@/data/jobState';
import { kindById, knowledge } from '@/knowledge';
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

/**
 * Faults of parts that this shop made new before the job, so lately that they are not yet worn, in a machine that is old enough
 * for them. What was made new in the job itself says nothing of why it came.
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
      const { fromAgeYears } = kinds[kind.id]!;
      if (fromAgeYears === undefined || (ageYears !== undefined && ageYears < fromAgeYears)) return false;
      const days = faultAgeDays(kind.id, id, parts);
      return days !== undefined && days < fromAgeYears * YEAR_DAYS;
    })
    .map((f) => f.id);
}
