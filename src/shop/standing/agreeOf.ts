import { isWithin, type Offer, type OfferId, type OfferLine } from '@/core/agree/offers';
import type { Standing } from '@/core/agree/standing';
import type { JobState } from '@/data/jobState';
import { faultById } from '@/knowledge';
import type { SchoolChoices } from '@/knowledge/schools';
import { dueOffer, itemsLeft, type Did } from './dueOffer';
import { documentName } from './documentName';
import type { AgreeView, AnswerView, EstimateTerms, EstimateView } from './dto';

const instant = (text: string) => new Date(text).toISOString();

/** The offer that stands agreed, and what speaks for it. */
export interface Agreed {
  estimate: EstimateView | null;
  answer: JobState['answers'][number] | undefined;
  /** What is owed, and done, when it stays so; null while nothing is agreed. */
  offer: OfferId | null;
  limitMinor: number | null;
  isCovered: boolean;
  /** Faults whose repair is in that offer. */
  faults: string[];
}

/** What was agreed to, whatever was found since. */
export function agreedOf(state: JobState): Agreed {
  const estimate = estimateOf(state);
  const told = state.answers.filter((a) => a.says !== 'limit');
  const last = told.at(-1);
  const limitMinor = state.answers.filter((a) => a.says === 'limit').at(-1)?.limit_minor ?? null;
  // An estimate that was made after the answer asks anew; a yes without any holds for what was known then.
  const answered =
    last && (!estimate || last.estimate_id === estimate.id || last.estimate_id === null) ? last : undefined;
  const isNewer = last && estimate ? Date.parse(estimate.at) > Date.parse(last.at) : false;
  // A limit that was given after a no takes the no back.
  const isTakenBack = last !== undefined && last.says !== 'yes' && state.answers.at(-1)!.says === 'limit';
  const answer = isNewer || isTakenBack ? undefined : answered;
  const within = estimate === null ? null : largestWithin(estimate, limitMinor);
  const offer =
    answer === undefined ? within : answer.says === 'yes' ? ((answer.offer as OfferId | null) ?? within) : null;
  const lines = estimate?.offers.find((o) => o.id === offer)?.lines ?? [];
  return {
    estimate,
    answer,
    offer,
    limitMinor,
    isCovered: within !== null,
    faults: [...new Set(lines.flatMap((l) => l.fault ?? []))],
  };
}

/**
 * How a job stands with its owner.
 * @param agreed what was agreed to
 * @param proved faults found in this job, mended or not
 */
export function agreeOf(state: JobState, agreed: Agreed, proved: readonly string[], did: Did): AgreeView {
  const { estimate, answer, offer, limitMinor, isCovered } = agreed;
  const { repaired } = did;
  const foundSince =
    answer?.says === 'yes' ? proved.filter((f) => !repaired.includes(f) && !answer.known.includes(f)) : [];
  const standing = standingOf(answer?.says, foundSince.length > 0, estimate !== null, isCovered);
  const paidMinor = state.payments.reduce((sum, p) => sum + p.amount_minor, 0);
  const gross = grossOwed(state, estimate, offer, did);
  return {
    standing,
    mayOpen:
      !state.shop.agreeFirst ||
      state.practice ||
      state.job.visit !== '' ||
      standing === 'agreed' ||
      standing === 'within-limit',
    estimate,
    offer,
    limitMinor,
    answers: state.answers.map(answerView),
    foundSince,
    notWanted: notWanted(agreed, standing, proved).filter((f) => !repaired.includes(f)),
    besides: agreed.faults.filter((f) => state.model.kind in (faultById(f)?.kinds ?? {}) && !proved.includes(f)),
    itemsLeft: agreedItems(agreed, did).map((i) => i.label),
    declinedBefore: declinedBefore(state, repaired),
    documents: state.documents.map((d) => ({
      id: d.id,
      kind: d.kind,
      name: documentName(d),
      at: instant(d.at),
      totalMinor: d.total_minor,
      corrects: d.corrects,
    })),
    payments: state.payments.map((p) => ({ id: p.id, how: p.how, amountMinor: p.amount_minor, at: instant(p.at) })),
    paidMinor,
    owedMinor: gross === null ? null : Math.max(0, gross - paidMinor),
    links: state.links.map((l) => ({
      id: l.id,
      expiresAt: instant(l.expires_at),
      seenAt: l.seen_at === null ? null : instant(l.seen_at),
    })),
    messages: state.messages.map((m) => ({
      id: m.id,
      subject: m.subject,
      state: m.state,
      lastError: m.last_error,
      at: instant(m.at),
    })),
    bridges: state.bridges.map((b) => ({ ...b, at: instant(b.at) })),
    schools: state.job.schools as SchoolChoices,
    locale: state.shop.locale,
  };
}

const agreedItems = ({ estimate, offer }: Agreed, { items }: Did) => {
  const taken = estimate?.offers.find((o) => o.id === offer);
  return taken ? itemsLeft(taken, items) : [];
};

/** All that was found after a no; after a yes, what was offered and is not in the offer that stands. */
function notWanted(
  { estimate, offer, faults }: Agreed,
  standing: Standing,
  proved: readonly string[],
): readonly string[] {
  if (standing === 'as-is' || standing === 'scrap') return proved;
  if (!estimate || offer === null) return [];
  const offered = new Set(estimate.lines.map((l) => l.fault));
  return proved.filter((f) => offered.has(f) && !faults.includes(f));
}

function standingOf(
  says: AnswerView['says'] | undefined,
  isFoundSince: boolean,
  isOffered: boolean,
  isCovered: boolean,
): Standing {
  if (says === 'as-is' || says === 'scrap' || says === 'ask-again') return says;
  if (says === 'yes' && !isFoundSince) return 'agreed';
  if (isCovered) return 'within-limit';
  if (says === 'yes') return 'found-since';
  return isOffered ? 'offered' : 'open';
}

function estimateOf({ estimate: e }: JobState): EstimateView | null {
  if (!e) return null;
  return {
    id: e.id,
    number: e.number,
    lines: e.lines as OfferLine[],
    offers: e.offers as Offer[],
    terms: e.terms as EstimateTerms,
    at: instant(e.at),
    by: e.person,
  };
}

function answerView(a: JobState['answers'][number]): AnswerView {
  return {
    id: a.id,
    says: a.says,
    offer: a.offer as OfferId | null,
    way: a.way,
    who: a.who,
    words: a.words,
    signed: a.signed,
    limitMinor: a.limit_minor,
    askOn: a.ask_on,
    at: instant(a.at),
    by: a.person,
  };
}

/** What a job comes to by now: its standing invoice, else what was done of the offer that was taken, else what is owed unrepaired. */
function grossOwed(state: JobState, estimate: EstimateView | null, offer: OfferId | null, did: Did): number | null {
  const stands = (kind: string) =>
    state.documents.filter((d) => d.kind === kind && !state.documents.some((c) => c.corrects === d.id)).at(-1);
  const invoice = stands('invoice');
  if (invoice) return invoice.total_minor;
  const returned = stands('unrepaired')?.total_minor ?? null;
  if (offer === null || !estimate) return returned;
  const due = dueOffer(state, estimate, offer, did)?.offer.bill.grossMinor ?? Infinity;
  return due > 0 ? due : (returned ?? due);
}

/**
 * How far a limit reaches by itself; null when it covers nothing. What can wait is not decided for the owner, and nothing that
 * leaves a danger: for that a warning is signed, and a limit signs nothing.
 */
function largestWithin(estimate: EstimateView, limitMinor: number | null): OfferId | null {
  const covered = estimate.offers.filter(
    (o, i) => (o.id !== 'all' || i === 0) && o.unsafe.length === 0 && isWithin(limitMinor, o.bill.grossMinor),
  );
  return covered.at(-1)?.id ?? null;
}

/** What was not wanted before and is not mended since. */
function declinedBefore(state: JobState, repaired: readonly string[]): AgreeView['declinedBefore'] {
  return state.declinedBefore
    .map(({ job, at, line }) => {
      const { label, fault } = line as OfferLine;
      return { label, fault, at: instant(at), job };
    })
    .filter((d) => d.fault === null || !repaired.includes(d.fault));
}
