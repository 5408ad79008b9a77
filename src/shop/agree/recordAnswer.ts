import { promiseOf, type OfferId, type OfferLine } from '@/core/agree/offers';
import { moneyText } from '@/core/money/currency';
import { addDays, daysBetween } from '@/core/service/days';
import { insertAnswer, type AnswerWay } from '@/data/agree';
import { endWait, insertWait } from '@/data/jobs';
import { everyone } from '../access/roles';
import { jobDeed, type DeedScene } from '../jobDeed/jobDeed';
import { refuseIf, type FieldProblem } from '../problem';
import { dayInZone } from '../settings/day';
import type { EstimateView } from '../standing/dto';
import { RecordAnswerDto } from './dto';

/** Writes down what the owner said. A yes opens the way; what was not wanted is kept for the next visit. */
export const recordAnswer = jobDeed({
  name: 'record-answer',
  roles: everyone,
  summary: 'Write down what the owner answered',
  dto: RecordAnswerDto,
  work: (scene, dto) => writeAnswer(scene, { ...dto, linkId: null }),
});

export interface Answered {
  says: RecordAnswerDto['says'];
  offer?: OfferId | null;
  way: AnswerWay;
  who: string;
  words: string;
  limitMinor?: number | null;
  askOn?: string | null;
  signed?: string;
  /** The link by which the owner answered. */
  linkId: number | null;
}

const SAYS: Record<Answered['says'], string> = {
  yes: 'Yes',
  'as-is': 'No, back as it is',
  scrap: 'No, scrap it',
  'ask-again': 'Ask again',
  limit: 'Go ahead up to a limit',
};
const WAYS: Record<AnswerWay, string> = {
  counter: 'at the counter',
  phone: 'by phone',
  message: 'by message',
  paper: 'on paper',
  link: 'by the link',
};

/** The same within another deed. @throws ProblemError 400 that names each field */
export async function writeAnswer(scene: DeedScene, dto: Answered): Promise<void> {
  const { db, jobId, person, state, facts, tell, change } = scene;
  const today = dayInZone(new Date(), state.shop.zone);
  const { estimate } = facts.agree;
  refuseIf(answerProblems(dto, estimate, today));
  const money = (minor: number) => moneyText(minor, state.shop.currency, state.shop.locale);
  const offer = dto.says === 'yes' ? (dto.offer ?? null) : null;
  await insertAnswer(db, {
    job_id: jobId,
    estimate_id: estimate?.id ?? null,
    says: dto.says,
    offer,
    way: dto.way,
    who: dto.who.trim(),
    words: dto.words.trim(),
    declined: dto.says === 'limit' || dto.says === 'ask-again' || !estimate ? [] : declinedLines(estimate, offer),
    known: [...new Set([...facts.proved, ...facts.openFaults.map((f) => f.fault)])],
    signed: dto.signed?.trim() ?? '',
    limit_minor: dto.says === 'limit' ? dto.limitMinor! : null,
    ask_on: dto.says === 'ask-again' ? dto.askOn! : null,
    person_id: dto.linkId === null ? person.id : null,
    link_id: dto.linkId,
  });
  const gross = estimate?.offers.find((o) => o.id === offer)?.bill.grossMinor;
  if (estimate && offer) change({ promised_on: promisedBy(estimate, offer, today, state.shop.zone) });
  const more = [
    offer && gross !== undefined ? `${offer}, ${money(gross)}` : '',
    dto.says === 'limit' ? money(dto.limitMinor!) : '',
    dto.says === 'ask-again' ? `on ${dto.askOn}` : '',
  ].filter(Boolean);
  tell(
    'answer',
    `${SAYS[dto.says]}${more.length > 0 ? ` (${more.join(', ')})` : ''}, ${dto.who.trim()} ${WAYS[dto.way]}` +
      (dto.words.trim() ? `: “${dto.words.trim()}”` : '.'),
  );
  const waiting = facts.waits.find((w) => w.endedAt === null);
  if (waiting?.kind === 'answer' && (await endWait(db, jobId))) change({ place: 'bench' });
  if (dto.says === 'ask-again' && (!waiting || waiting.kind === 'answer')) {
    await insertWait(
      db,
      jobId,
      'answer',
      `ask again on ${dto.askOn}`,
      Math.max(1, 24 * daysBetween(today, dto.askOn!)),
    );
    change({ place: 'door-shelf' });
  }
}

/**
 * What was agreed to is what is promised from now on. The day was told for an answer in time: one that comes when it is past
 * leaves the shop as many days as it asked for.
 */
function promisedBy({ terms, at }: EstimateView, offer: OfferId, today: string, zone: string): string {
  const { readyOn } = promiseOf(terms, offer);
  return readyOn >= today ? readyOn : addDays(today, daysBetween(dayInZone(new Date(at), zone), readyOn));
}

function answerProblems(dto: Answered, estimate: EstimateView | null, today: string): FieldProblem[] {
  const offer = estimate?.offers.find((o) => o.id === dto.offer);
  const unsafe = offer ? offer.unsafe.length : 0;
  return [
    ...(dto.who.trim() === '' ? [{ field: 'who', message: 'Who answered.' }] : []),
    ...(dto.says === 'limit' && !dto.limitMinor ? [{ field: 'limitMinor', message: 'Up to which amount.' }] : []),
    ...(dto.says === 'ask-again' && (!dto.askOn || dto.askOn < today || dto.askOn > addDays(today, 365))
      ? [{ field: 'askOn', message: 'A day from today on, within a year.' }]
      : []),
    ...(dto.says === 'yes' && estimate && !offer ? [{ field: 'offer', message: 'To which of the offers.' }] : []),
    ...(dto.says === 'yes' && estimate && estimate.terms.validUntil < today
      ? [{ field: 'offer', message: `These prices held until ${estimate.terms.validUntil}: make the estimate anew.` }]
      : []),
    ...(unsafe > 0 && (dto.signed ?? '').trim() === ''
      ? [{ field: 'signed', message: 'Something that can hurt somebody is left out: who signed the warning.' }]
      : []),
  ];
}

/** What is not in the offer that was taken, one for each fault: all of it, when none was. */
function declinedLines(estimate: EstimateView, offer: OfferId | null): Pick<OfferLine, 'fault' | 'label' | 'group'>[] {
  const taken = new Set(estimate.offers.find((o) => o.id === offer)?.lines.map((l) => l.line));
  const left = estimate.lines.filter((l) => !taken.has(l.id) && l.fault !== null);
  return [...new Map(left.map((l) => [l.fault, l])).values()].map(({ fault, label, group }) => ({
    fault,
    label,
    group,
  }));
}
