import { offersOf, promiseOf, type Offer, type OfferId, type OfferLine, type OfferPromise } from '@/core/agree/offers';
import { labourTerms } from '@/core/money/terms';
import { shareOf } from '@/core/money/rounded';
import { isSafetyFault } from '@/knowledge/safetyFaults';
import type { ProposalView } from '@/shop/agree/dto';
import type { EstimateView } from '@/shop/standing/dto';

/** A line as it is edited: its price may still have to be asked. */
export type DraftLine = Omit<OfferLine, 'eachMinor'> & { eachMinor: number | null };

/** What is being put together for the owner. */
export interface OfferDraft {
  lines: DraftLine[];
  off100k: number;
  offMinor: number;
  depositMinor: number;
  readyOn: string;
  warrantyDays: number;
  /** Offers that are promised otherwise. */
  each: (OfferPromise & { offer: OfferId })[];
  words: string;
  newMinor: number | null;
  usedMinor: number | null;
  doubtFault: string | null;
  doubtMonths: number | null;
}

/** How long something that sounds worn still lasts, when nobody says. Common practice, no source. */
export const USUAL_DOUBT_MONTHS = 12;

/** What is proposed, before anybody changed it; an estimate that stands is taken as it was given. */
export function draftFrom(proposal: ProposalView, estimate: EstimateView | null): OfferDraft {
  if (estimate) {
    const { replacement, exempt: _, included: __, validUntil: ___, each = [], ...terms } = estimate.terms;
    return { lines: estimate.lines, ...terms, each, ...replacement };
  }
  const first: OfferDraft = {
    lines: proposal.lines,
    off100k: 0,
    offMinor: 0,
    depositMinor: 0,
    readyOn: proposal.readyOn,
    warrantyDays: proposal.charges.warrantyDays,
    each: [],
    words: '',
    ...proposal.replacement,
    doubtFault: proposal.doubt,
    doubtMonths: proposal.doubt === null ? null : USUAL_DOUBT_MONTHS,
  };
  const least = draftOffers(first, proposal)[0]?.bill.grossMinor ?? 0;
  return { ...first, depositMinor: shareOf(least, proposal.charges.deposit100k) };
}

/** The offers as the server will reckon them; none while a discount is more than there is. */
export function draftOffers(draft: OfferDraft, proposal: ProposalView): Offer[] {
  const { taxes: rules, charges, labourMinor, exempt } = proposal;
  try {
    return offersOf(
      draft.lines.map((l) => ({ ...l, eachMinor: l.eachMinor ?? 0 })),
      {
        rules,
        labour: labourTerms(labourMinor ?? 0, charges, rules),
        leastMinor: charges.leastMinor,
        exempt,
        off100k: draft.off100k,
        offMinor: draft.offMinor,
      },
    );
  } catch (error) {
    if (error instanceof RangeError) return [];
    throw error;
  }
}

/** What is sent. */
export function estimateBody(draft: OfferDraft): Record<string, unknown> {
  const { lines, newMinor, usedMinor, doubtFault, doubtMonths, ...terms } = draft;
  return {
    ...terms,
    lines: lines.map(({ safety: _, ...l }) => l),
    replacement: { newMinor, usedMinor, doubtFault, doubtMonths: doubtFault === null ? null : doubtMonths },
  };
}

/** One offer is promised otherwise; as the rest again when it says the same. */
export function promised(draft: OfferDraft, offer: OfferId, more: Partial<OfferPromise>): OfferDraft['each'] {
  const own = { ...promiseOf(draft, offer), ...more };
  const others = draft.each.filter((e) => e.offer !== offer);
  const isAlike = own.readyOn === draft.readyOn && own.warrantyDays === draft.warrantyDays;
  return isAlike ? others : [...others, { offer, ...own }];
}

let added = 0;

/** A line of one’s own. */
export function ownLine(sort: DraftLine['sort']): DraftLine {
  return {
    id: `own-${Date.now().toString(36)}-${added++}`,
    group: 'must',
    sort,
    label: '',
    minutes: sort === 'labour' ? 10 : null,
    thousandths: 1000,
    eachMinor: sort === 'labour' ? 0 : null,
    off100k: 0,
    fault: null,
    code: null,
    reason: '',
    until: '',
    safety: false,
  };
}

/** Coming to the machine, at what the shop charges for it. */
export function callOutLine(eachMinor: number): DraftLine {
  return { ...ownLine('fee'), label: 'Coming to the machine', eachMinor };
}

/** Moves all lines of one fault together: its part does not wait while its work is done. */
export function moved(lines: readonly DraftLine[], id: string, group: DraftLine['group']): DraftLine[] {
  const fault = lines.find((l) => l.id === id)?.fault ?? null;
  return lines.map((l) =>
    l.id === id || (fault !== null && l.fault === fault)
      ? { ...l, group, safety: l.fault !== null && isSafetyFault(l.fault) }
      : l,
  );
}
