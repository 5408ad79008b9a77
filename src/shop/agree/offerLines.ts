import type { Kind } from '@/core/diagnosis/knowledge';
import type { OfferLine } from '@/core/agree/offers';
import { faultById } from '@/knowledge';
import { offeredParts } from '@/knowledge/offeredParts';
import { placesOf, roleOf, takenBy } from '@/knowledge/repairWork';
import { isSafetyFault } from '@/knowledge/safetyFaults';
import type { JobFacts } from '../jobView/dto';
import { newInsteadSince } from './lateItems';
import type { ProposalView } from './dto';

export type Line = ProposalView['lines'][number];
type Part = JobFacts['parts'][number];

const faultOf = (id: string) => faultById(id)!;

const PLAIN = { thousandths: 1000, off100k: 0, fault: null, code: null, reason: '', until: '', safety: false } as const;

export function labour(id: string, group: OfferLine['group'], label: string, minutes: number): Line {
  return { ...PLAIN, id, group, sort: 'labour', label, minutes, eachMinor: 0 };
}

export function priced(
  id: string,
  group: OfferLine['group'],
  sort: OfferLine['sort'],
  label: string,
  eachMinor: number,
): Line {
  return { ...PLAIN, id, group, sort, label, minutes: null, eachMinor };
}

/** The work of a repair and its parts. @param taken parts that another line has already, by code and place */
export function repairLines(
  fault: string,
  kind: Kind,
  facts: JobFacts,
  taken: Set<string>,
  { group, reason, until = '' }: { group: OfferLine['group']; reason: string; until?: string },
): Line[] {
  const { repair } = faultOf(fault);
  const safety = isSafetyFault(fault);
  const own = { group, fault, reason, until, safety };
  const lines: Line[] = [{ ...labour(`do-${fault}`, group, repair.label, repair.minutes), ...own }];
  const parts = partsOf(fault, kind, facts);
  for (const part of parts) {
    const keys = keysOf(part);
    if (keys.some((key) => taken.has(key))) continue;
    for (const key of keys) taken.add(key);
    lines.push({
      ...PLAIN,
      ...own,
      id: `part-${fault}-${part.group}${parts.filter((p) => p.group === part.group).length > 1 ? `-${part.station}` : ''}`,
      sort: 'part',
      label: part.label,
      minutes: null,
      thousandths: 1000 * part.quantity,
      eachMinor: part.priceMinor,
      code: part.code,
      reason: part.note,
    });
  }
  return lines;
}

/** By what a part is known to be in the offer already: the part itself, and the place where it sits. */
export const keysOf = (part: Chosen) => [
  placeKey(part.group, part.station),
  ...(part.code === null ? [] : [part.code]),
];
export const placeKey = (group: string, station: string) => `${group} ${station}`;

export interface Chosen {
  code: string | null;
  label: string;
  group: string;
  station: string;
  quantity: number;
  /** Null: its price must be asked. */
  priceMinor: number | null;
  note: string;
}

/** One part of each group and place that a repair cannot do without, or usually takes: what was fitted, the model’s own, the middle one. */
export function partsOf(fault: string, kind: Kind, facts: Pick<JobFacts, 'parts' | 'fitted' | 'service'>): Chosen[] {
  const { repair } = faultOf(fault);
  return (repair.parts ?? [])
    .map((group) => ({ group, late: newInsteadSince(fault, group, facts.service) }))
    .filter(({ group, late }) => roleOf([fault], group) !== 'choice' || late !== null)
    .flatMap(({ group, late }) => placesOf(kind.id, fault, group).map((station) => ({ group, station, late })))
    .map(({ group, station, late }): Chosen => {
      const quantity = takenBy([fault], group);
      const fitted = facts.fitted.find(
        (f) => f.station === station && facts.parts.some((p) => p.code === f.code && p.group === group),
      );
      const ofGroup = offeredParts(facts.parts, kind.id, [fault]).filter((p) => p.group === group);
      const there = ofGroup.filter((p) => p.station === station);
      const offered = there.length > 0 ? there : ofGroup;
      const part: Part | undefined =
        offered.find((p) => p.code === fitted?.code) ?? offered.find((p) => p.own) ?? middleOf(offered);
      if (!part)
        return {
          code: null,
          label: `${group} for it`,
          group,
          station,
          quantity,
          priceMinor: null,
          note: 'Not on our list: ask its price.',
        };
      const sizes = new Set(offered.map((p) => p.code)).size;
      return {
        code: part.code,
        label: part.label,
        group,
        station: part.station,
        quantity: fitted?.quantity ?? quantity,
        priceMinor: part.priceMinor,
        note: [
          late ? `Its service is past due with a new one since ${late}.` : '',
          !fitted && !part.own && sizes > 1 ? 'Its size is measured first.' : '',
          part.stock >= quantity || fitted ? '' : 'To be ordered.',
        ]
          .filter(Boolean)
          .join(' '),
      };
    });
}

export const middleOf = (parts: readonly Part[]): Part | undefined =>
  [...parts].sort((a, b) => a.priceMinor - b.priceMinor)[Math.floor((parts.length - 1) / 2)];

/** What the parts of a repair cost, but for those that are in the offer already. */
export const partsMinor = (fault: string, kind: Kind, facts: JobFacts, taken: ReadonlySet<string> = new Set()) =>
  partsOf(fault, kind, facts)
    .filter((p) => !keysOf(p).some((key) => taken.has(key)))
    .reduce((sum, p) => sum + p.quantity * (p.priceMinor ?? 0), 0);
