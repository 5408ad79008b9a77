import { withoutUndone, type DueOffer, type OfferId } from '@/core/agree/offers';
import { taxesOf } from '@/core/money/terms';
import type { JobState } from '@/data/jobState';
import type { EstimateView } from './dto';

/** When the work is over: what is not done by then is not paid. */
const OVER = ['hand-back', 'closed'];

/**
 * What is to be paid of the offer that was taken, and the faults whose repair was agreed and not done. Until the work is over all
 * of it is to come.
 */
export function dueOffer(
  { job, shop }: JobState,
  { offers, lines, terms }: EstimateView,
  taken: OfferId,
  repaired: readonly string[],
): { offer: DueOffer; undone: string[] } | null {
  const offer = offers.find((o) => o.id === taken);
  if (!offer) return null;
  const faults = OVER.includes(job.stage) ? offer.lines.flatMap((l) => l.fault ?? []) : [];
  const undone = [...new Set(faults)].filter((f) => !repaired.includes(f));
  if (undone.length === 0) return { offer, undone };
  const { exempt, off100k, offMinor } = terms;
  return {
    offer: withoutUndone(offer, offers, lines, new Set(undone), {
      rules: taxesOf(shop.taxes),
      exempt,
      off100k,
      offMinor,
    }),
    undone,
  };
}
