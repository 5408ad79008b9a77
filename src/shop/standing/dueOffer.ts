import { itemPart, itemWork, withoutUndone, type DueOffer, type OfferId } from '@/core/agree/offers';
import { taxesOf } from '@/core/money/terms';
import type { JobState } from '@/data/jobState';
import { faultById } from '@/knowledge';
import { planItems, type PlanItem } from '@/knowledge/plans';
import type { EstimateView } from './dto';

/** When the work is over: what is not done by then is not paid. */
const OVER = ['hand-back', 'closed'];

/** What was done of a job: repairs by their faults, and items of the service. */
export interface Did {
  repaired: readonly string[];
  items: readonly string[];
}

export const didOf = (job: {
  repaired: readonly string[];
  service: readonly { item: string; done: boolean }[];
}): Did => ({
  repaired: job.repaired,
  items: job.service.filter((l) => l.done).map((l) => l.item),
});

/** Items of the service that are in an offer and not done yet. */
export const itemsLeft = ({ lines }: Pick<DueOffer, 'lines'>, done: readonly string[]): PlanItem[] =>
  planItems.filter(({ id }) => !done.includes(id) && lines.some((l) => l.line === itemWork(id)));

/**
 * What is to be paid of the offer that was taken, and in words what was agreed of it and not done. Until the work is over all of
 * it is to come.
 */
export function dueOffer(
  { job, shop }: JobState,
  { offers, lines, terms }: EstimateView,
  taken: OfferId,
  { repaired, items }: Did,
): { offer: DueOffer; undone: string[] } | null {
  const offer = offers.find((o) => o.id === taken);
  if (!offer) return null;
  if (!OVER.includes(job.stage)) return { offer, undone: [] };
  const faults = [...new Set(offer.lines.flatMap((l) => l.fault ?? []))].filter((f) => !repaired.includes(f));
  const left = itemsLeft(offer, items);
  const undone = [...faults.map((f) => faultById(f)?.repair.label ?? f), ...left.map((i) => i.label)];
  if (undone.length === 0) return { offer, undone };
  const gone = new Set([...faults, ...left.flatMap(({ id }) => [itemWork(id), itemPart(id)])]);
  const { exempt, off100k, offMinor } = terms;
  return {
    offer: withoutUndone(offer, offers, lines, gone, {
      rules: taxesOf(shop.taxes),
      exempt,
      off100k,
      offMinor,
    }),
    undone,
  };
}
