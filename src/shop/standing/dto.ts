import type { Standing } from '@/core/agree/standing';
import type { Offer, OfferId, OfferLine, OfferPromise } from '@/core/agree/offers';
import type { SchoolChoices } from '@/knowledge/schools';

export const ANSWERS = ['yes', 'as-is', 'scrap', 'ask-again', 'limit'] as const;
export const ANSWER_WAYS = ['counter', 'phone', 'message', 'paper'] as const;

export interface EstimateView {
  id: number;
  number: number;
  lines: OfferLine[];
  offers: Offer[];
  terms: EstimateTerms;
  at: string;
  by: string | null;
}

export interface EstimateTerms {
  off100k: number;
  offMinor: number;
  depositMinor: number;
  readyOn: string;
  validUntil: string;
  warrantyDays: number;
  /** Offers that are promised otherwise; absent of estimates of before it could be said. */
  each?: (OfferPromise & { offer: OfferId })[];
  words: string;
  exempt: boolean;
  /** Prices are told with the taxes in them. */
  included: boolean;
  replacement: {
    newMinor: number | null;
    usedMinor: number | null;
    doubtFault: string | null;
    doubtMonths: number | null;
  };
}

export interface AnswerView {
  id: number;
  says: (typeof ANSWERS)[number];
  offer: OfferId | null;
  way: (typeof ANSWER_WAYS)[number] | 'link';
  who: string;
  words: string;
  signed: string;
  limitMinor: number | null;
  askOn: string | null;
  at: string;
  by: string | null;
}

export interface AgreeView {
  standing: Standing;
  /** It may be opened further, as far as the owner is concerned. */
  mayOpen: boolean;
  estimate: EstimateView | null;
  /** Which offer stands agreed. */
  offer: OfferId | null;
  limitMinor: number | null;
  /** Newest last. */
  answers: AnswerView[];
  /** Faults that were found since the owner agreed. */
  foundSince: string[];
  /** Faults that the owner, asked, did not want mended: they stay as they are. */
  notWanted: string[];
  /** Faults that were not found here and whose repair is agreed all the same: what wears, done while it is open. */
  besides: string[];
  /** Work of the service that is agreed and not done yet, by its label. */
  itemsLeft: string[];
  declinedBefore: { label: string; fault: string | null; at: string; job: number }[];
  documents: { id: number; kind: string; name: string; at: string; totalMinor: number; corrects: number | null }[];
  payments: { id: number; how: string; amountMinor: number; at: string }[];
  paidMinor: number;
  /** Still to pay, by the standing invoice, else by what was agreed or is owed unrepaired; null when there is nothing of it. */
  owedMinor: number | null;
  links: { id: number; expiresAt: string; seenAt: string | null }[];
  messages: { id: number; subject: string; state: string; lastError: string; at: string }[];
  bridges: { fault: string; who: string; words: string; rule: string; at: string; job: number }[];
  /** Otherwise than the shop. */
  schools: SchoolChoices;
  locale: string;
}
