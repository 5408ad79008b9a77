import { itemPart, itemWork } from '@/core/agree/offers';
import { faultsOf } from '@/core/diagnosis/compileKind';
import type { Kind } from '@/core/diagnosis/knowledge';
import { faultById, knowledge } from '@/knowledge';
import { planItem, planItems, renews } from '@/knowledge/plans';
import type { JobFacts } from '../jobView/dto';
import { isLate, type Late, type Service } from './lateItems';
import { labour, middleOf, placeKey, priced, type Line } from './offerLines';

const faultOf = (id: string) => faultById(id)!;

/** A look that is due asks for no new part; what wears is offered by its odds. */
const isCleaning = (id: string) => (faultOf(id).repair.parts ?? []).length === 0;

/** Looked at in this job where it would show, and it was not there: nobody cuts hair that is not there. */
const isSeenFine = (fault: string, { findings }: Pick<JobFacts, 'findings'>): boolean =>
  findings.some(
    (f) =>
      !f.revoked &&
      knowledge.checks
        .find((c) => c.id === f.check)
        ?.aspects.some((a) => a.outcomes.some((o) => o.proves?.includes(fault)) && a.outcomes[0]!.id === f.outcome),
  );

/** Since when a machine's service is late with a new part that ends a fault; null when it is not, or was looked at and is fine. */
export function pastSince(fault: string, facts: JobFacts): string | null {
  const late = facts.service.find((line) => {
    const due = planItem(line.item);
    return isLate(line) && due && renews(due) && due.repairs.includes(fault);
  });
  return late && !isSeenFine(fault, facts) ? late.dueOn : null;
}

/**
 * What the service of the machine is past due with and takes no part, as the repair that does it, with every repair and every part that
 * does it as well, and with the places of parts that it puts off; nothing where the visit is that service.
 */
export function pastDue(
  kind: Kind,
  facts: JobFacts,
): { fault: string; dueOn: string; doneBy: string[]; places: string[]; putsOff: string[] }[] {
  if (facts.complaints.length === 0) return [];
  return facts.service.filter(isLate).flatMap(({ item, station, dueOn }) => {
    const due = planItem(item);
    // What is measured says itself what it asks for.
    if (!due || due.reading) return [];
    const fault = due.repairs.find((f) => kind.id in (faultById(f)?.kinds ?? {}) && isCleaning(f));
    if (!fault || isSeenFine(fault, facts)) return [];
    const places = due.parts.map((group) => placeKey(group, station));
    // After so many cleanings a new part is due: until then the one is done instead of the other.
    const isCounted = planItems.some((i) => i.counts === item);
    return [{ fault, dueOn, doneBy: due.repairs, places, putsOff: isCounted ? places : [] }];
  });
}

/**
 * Items that make their part new every time and are late, none of them seen to be fine today; nothing where the visit is that service.
 * Where the part is to be cleaned as well, that shows whether a new one is needed, but for a part that was cleaned often enough.
 */
export function renewalsPast(facts: JobFacts, cleanings: ReturnType<typeof pastDue>): Late[] {
  if (facts.complaints.length === 0) return [];
  const cleaned = new Set(cleanings.flatMap((c) => (c.putsOff.length > 0 ? [] : c.places)));
  return facts.service.filter(isLate).filter(({ item, station }) => {
    const due = planItem(item);
    if (!due || !renews(due) || due.parts.some((group) => cleaned.has(placeKey(group, station)))) return false;
    return !due.repairs.some((f) => isSeenFine(f, facts));
  });
}

/** A late item as its own work with its part; nothing where that part is in the offer already, or the shop has none. */
export function renewalLines({ item, label, station, dueOn }: Late, { parts }: JobFacts, taken: Set<string>): Line[] {
  const places = planItem(item)!.parts.map((group) => placeKey(group, station));
  const part = itemPartLines(item, station, parts);
  if (part.length === 0 || places.some((place) => taken.has(place))) return [];
  for (const place of places) taken.add(place);
  const work = labour(itemWork(item), 'now', label, planItem(item)!.minutes);
  return [{ ...work, reason: `Service past due since ${dueOn}.` }, ...part];
}

/** A fault whose repair goes the same way into the machine as an item of the service, alone in a list; none where no fault sits there. */
export function reachedBy(kind: Kind, { item, station }: Pick<Service, 'item' | 'station'>): string[] {
  const there = faultsOf(knowledge, kind).filter((f) => f.kinds[kind.id]!.station === station);
  const own = there.find((f) => planItem(item)!.repairs.includes(f.id)) ?? there[0];
  return own ? [own.id] : [];
}

/** What a look at this visit called worn, where no fault that was found stands for it: the item's own work. */
export function wornLines({ service, proved, machine, parts }: JobFacts): Line[] {
  const spoken = new Set(proved.map((f) => faultOf(f).kinds[machine.kind]?.station));
  const isFound = (item: string) => planItem(item)!.repairs.some((f) => proved.includes(f));
  return service
    .filter((l) => l.said === 'worn' && !spoken.has(l.station) && !isFound(l.item))
    .flatMap((l) => [
      {
        ...labour(itemWork(l.item), 'now', l.label, planItem(l.item)!.minutes),
        reason: l.words ? `Found worn: ${l.words}` : 'Found worn.',
      },
      ...itemPartLines(l.item, l.station, parts),
    ]);
}

/** The part by which an item of the service is renewed: the model’s own, else the middle one; none where it has no part. */
function itemPartLines(item: string, station: string, parts: JobFacts['parts']): Line[] {
  const fits = parts.filter((p) => p.station === station && planItem(item)!.parts.includes(p.group));
  const part = fits.find((p) => p.own) ?? middleOf(fits);
  if (!part) return [];
  const reason = [
    !part.own && new Set(fits.map((p) => p.code)).size > 1 ? 'Its size is measured first.' : '',
    part.stock > 0 ? '' : 'To be ordered.',
  ];
  const line = priced(itemPart(item), 'now', 'part', part.label, part.priceMinor);
  return [{ ...line, code: part.code, reason: reason.filter(Boolean).join(' ') }];
}
