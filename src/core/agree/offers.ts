import { billOf, type Bill, type LineSort, type TaxRules } from '../money/bill';
import { shareOf } from '../money/rounded';
import { chargedMinutes, labourMinor, type LabourTerms } from '../money/labour';
import { splitBy } from '../money/splitBy';

/** What is done about a line: it must be; it pays now; it can wait; it is not worth it. */
export const LINE_GROUPS = ['must', 'now', 'wait', 'not'] as const;
export type LineGroup = (typeof LINE_GROUPS)[number];

/** How far an offer goes. */
export const OFFERS = [
  { id: 'minimum', groups: ['must'] },
  { id: 'recommended', groups: ['must', 'now'] },
  { id: 'all', groups: ['must', 'now', 'wait'] },
] as const satisfies { id: string; groups: readonly LineGroup[] }[];
export type OfferId = (typeof OFFERS)[number]['id'];

/** What each offer and each group is called, wherever they are shown. */
export const OFFER_TITLES: Record<OfferId, string> = {
  minimum: 'The least we stand behind',
  recommended: 'What we recommend',
  all: 'All of it',
};
export const GROUP_TITLES: Record<LineGroup, string> = {
  must: 'Must be done',
  now: 'Worth it while it is open',
  wait: 'Can wait',
  not: 'Not worth it',
};

/** One line of an offer, as it was decided. */
export interface OfferLine {
  /** Within its offer. */
  id: string;
  group: LineGroup;
  sort: LineSort;
  label: string;
  /** Work at the shop’s rate; null for what has a price of its own. */
  minutes: number | null;
  /** 1000 is one. */
  thousandths: number;
  eachMinor: number;
  off100k: number;
  /** What it mends; null for what belongs to no fault. */
  fault: string | null;
  /** Of the parts list. */
  code: string | null;
  /** Why it stands in its group, in words. */
  reason: string;
  /** Until when it can wait, as a date or in words; empty elsewhere. */
  until: string;
  /** Left undone it can hurt somebody. */
  safety: boolean;
}

/** What holds for the whole offer. */
export interface OfferTerms {
  rules: TaxRules;
  labour: LabourTerms;
  /** Less than this is not charged; nought for no least. */
  leastMinor: number;
  exempt: boolean;
  off100k: number;
  offMinor: number;
}

/** By when an offer is done and how long the shop stands for it; one offer may differ from the rest. */
export interface OfferPromise {
  readyOn: string;
  warrantyDays: number;
}

/**
 * What is promised of one offer.
 * @example promiseOf({ readyOn: '2030-01-04', warrantyDays: 90, each: [{ offer: 'all', readyOn: '2030-01-09', warrantyDays: 180 }] }, 'all') // → { readyOn: '2030-01-09', warrantyDays: 180 }
 */
export function promiseOf(
  { readyOn, warrantyDays, each = [] }: OfferPromise & { each?: readonly (OfferPromise & { offer: OfferId })[] },
  offer: OfferId,
): OfferPromise {
  const own = each.find((e) => e.offer === offer);
  return own ? { readyOn: own.readyOn, warrantyDays: own.warrantyDays } : { readyOn, warrantyDays };
}

export interface PricedLine extends Pick<OfferLine, 'label' | 'sort' | 'thousandths' | 'minutes' | 'fault' | 'code'> {
  /** The line that it comes from; null for what makes up the least that is charged. */
  line: string | null;
  eachMinor: number;
  off100k: number;
}

export interface Offer {
  id: OfferId;
  lines: PricedLine[];
  /** As they are worked, and as they are charged. */
  minutes: number;
  chargedMinutes: number;
  bill: Bill;
  /** Lines that can hurt somebody and are not in it. */
  unsafe: string[];
}

/** What stands for the difference to the least that is charged. */
export const LEAST_LABEL = 'To the least that is charged';

/**
 * The offers of some lines, each with all that the smaller one has. All minutes of an offer are charged as one sum, begun
 * steps in full, and handed out to its lines: two repairs behind one cover are not paid in two begun quarters of an hour.
 * An offer that says the same as the smaller one is left out.
 * @throws RangeError when the discount is more than an offer comes to
 */
export function offersOf(lines: readonly OfferLine[], terms: OfferTerms): Offer[] {
  const offers: Offer[] = [];
  for (const { id, groups } of OFFERS) {
    const own = lines.filter((l) => (groups as readonly LineGroup[]).includes(l.group));
    const before = offers.at(-1);
    if (own.length === 0 || before?.lines.filter((l) => l.line !== null).length === own.length) continue;
    const offer = offerOf(own, terms);
    const unsafe = lines.filter((l) => l.safety && !own.includes(l)).map((l) => l.id);
    offers.push({ id, ...offer, unsafe });
  }
  return offers;
}

function offerOf(lines: readonly OfferLine[], terms: OfferTerms): Omit<Offer, 'id' | 'unsafe'> {
  const minutes = lines.reduce((sum, l) => sum + (l.minutes ?? 0), 0);
  const worked = lines.filter((l) => l.minutes !== null);
  const shares = splitBy(
    labourMinor(minutes, terms.labour),
    worked.map((l) => Math.round(l.minutes! * 10)),
  );
  const priced = lines.map((l): PricedLine => ({
    line: l.id,
    label: l.label,
    sort: l.sort,
    minutes: l.minutes,
    fault: l.fault,
    code: l.code,
    off100k: l.off100k,
    ...(l.minutes === null
      ? { thousandths: l.thousandths, eachMinor: l.eachMinor }
      : { thousandths: 1000, eachMinor: shares[worked.indexOf(l)]! }),
  }));
  const whole = billOf(priced, { ...terms.rules, taxes: [] }).grossMinor;
  if (whole < terms.leastMinor)
    priced.push({
      line: null,
      label: LEAST_LABEL,
      sort: 'fee',
      minutes: null,
      fault: null,
      code: null,
      thousandths: 1000,
      eachMinor: terms.leastMinor - whole,
      off100k: 0,
    });
  return {
    lines: priced,
    minutes: Math.round(minutes * 10) / 10,
    chargedMinutes: chargedMinutes(minutes, terms.labour.stepMinutes),
    bill: billOf(priced, terms.rules, terms),
  };
}

/** The line of the way to one repair that can wait, by its fault; and of the way to all that is worth it while it is open. */
export const wayTo = (fault: string) => `way-${fault}`;
export const WAY_FURTHER = wayTo('now');
/** The lines of an item of the service that is worn or late: its own work, and the part that goes in new. Kept estimates have them. */
export const itemWork = (item: string) => `worn-${item}`;
export const itemPart = (item: string) => `worn-part-${item}`;

/** What is to be paid of an offer. */
export type DueOffer = Pick<Offer, 'id' | 'lines' | 'bill'>;
export type DueTerms = Pick<OfferTerms, 'rules' | 'exempt' | 'off100k' | 'offMinor'>;

/**
 * An offer without what was not done of it, nor the way to that alone: the rest stands at the prices that were agreed, the discount on
 * the whole and the taxes are reckoned anew. An amount off the whole takes it to nought at most. It never comes to more than a smaller
 * offer that held all that was done: minutes are handed out otherwise where more of them were offered.
 * @param offers all that were offered
 * @param all the lines that the offers were made of
 * @param undone faults whose repair was agreed and not done, and lines of what belongs to no fault
 */
export function withoutUndone(
  taken: Offer,
  offers: readonly Offer[],
  all: readonly OfferLine[],
  undone: ReadonlySet<string>,
  terms: DueTerms,
): DueOffer {
  const now = all.flatMap((l) => (l.group === 'now' && l.id !== WAY_FURTHER ? [l.fault ?? l.id] : []));
  const gone = new Set([...undone, ...[...undone].map(wayTo)]);
  if (now.length > 0 && now.every((f) => undone.has(f))) gone.add(WAY_FURTHER);
  const left = (of: Offer) => of.lines.filter((l) => !gone.has(l.fault ?? l.line ?? ''));
  const same = (lines: readonly PricedLine[]) => JSON.stringify(lines.flatMap((l) => l.line ?? []));
  const done = left(taken);
  return [taken, ...offers]
    .map(left)
    .filter((lines) => same(lines) === same(done))
    .map((lines): DueOffer => ({ id: taken.id, lines, bill: billLeft(lines, terms) }))
    .reduce((least, due) => (due.bill.grossMinor < least.bill.grossMinor ? due : least));
}

function billLeft(lines: readonly PricedLine[], { rules, exempt, off100k, offMinor }: DueTerms): Bill {
  const whole = billOf(lines, { ...rules, taxes: [] }).grossMinor;
  const most = whole - shareOf(whole, off100k, rules.rounding);
  return billOf(lines, rules, { exempt, off100k, offMinor: Math.min(offMinor, most) });
}

/** Whether a limit that was agreed beforehand covers an offer. */
export function isWithin(limitMinor: number | null, grossMinor: number): boolean {
  return limitMinor !== null && grossMinor <= limitMinor;
}
