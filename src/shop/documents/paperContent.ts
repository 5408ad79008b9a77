import {
  GROUP_TITLES,
  OFFER_TITLES,
  promiseOf,
  type DueOffer,
  type Offer,
  type OfferPromise,
  type PricedLine,
} from '@/core/agree/offers';
import { billOf, type BillLine } from '@/core/money/bill';
import { moneyText } from '@/core/money/currency';
import { chargesOf, taxesOf } from '@/core/money/terms';
import { addDays } from '@/core/service/days';
import type { DocumentKind } from '@/data/documents';
import type { JobState } from '@/data/jobState';
import { faultLabel, holdsBackPower, knowledge } from '@/knowledge';
import { ideaAnswered } from '@/knowledge/ownersIdea';
import { followed, schoolsOf, type SchoolChoices } from '@/knowledge/schools';
import { DOCUMENT_TITLES } from '../standing/documentName';
import { didOf, dueOffer } from '../standing/dueOffer';
import type { EstimateView } from '../standing/dto';
import type { WrittenFacts } from '../jobView/jobFacts';
import { refuseIf } from '../problem';
import { letterheadOf } from '../terms/terms';
import type { PaperContent } from '../papers/dto';

export interface PaperGiven {
  facts: WrittenFacts;
  state: JobState;
  letterhead: object;
  shopName: string;
  today: string;
}

/** What stands on every paper of a job. */
function headOf(kind: DocumentKind, { facts, state, letterhead, shopName, today }: PaperGiven): PaperContent {
  const { payDays: _, ...head } = letterheadOf(letterhead);
  return {
    kind,
    title: DOCUMENT_TITLES[kind],
    shop: { name: shopName, ...head },
    customer: {
      name: state.customer.name,
      address: state.customer.address,
      business: state.customer.kind === 'business',
      exempt: state.customer.taxExempt,
    },
    machine: {
      tag: facts.machine.tag,
      maker: facts.machine.maker,
      model: facts.machine.model,
      serial: facts.machine.serial,
    },
    job: facts.id,
    date: today,
    locale: state.shop.locale,
    currency: state.shop.currency,
    said: [],
    pictures: [],
    columns: [],
    groups: [],
    totals: [],
    terms: [],
    signs: [],
    box: null,
    bill: null,
    pay: null,
  };
}

/** What the owner told, what was found, and the answer to their own idea. */
function foundOf({ facts }: PaperGiven): PaperContent['said'] {
  const found = facts.proved.map(faultLabel);
  const idea = facts.customerDiagnosis;
  // What it came for is what must be done; a weakness besides is no answer to the owner's question.
  const asked = new Set(
    facts.agree.estimate?.lines.flatMap((l) => (l.group === 'must' && l.fault !== null ? [l.fault] : [])),
  );
  const causes = facts.proved.filter((f) => asked.size === 0 || asked.has(f)).map(faultLabel);
  const became = idea === null ? 'open' : ideaAnswered(idea, facts.proved, facts.complaints);
  return [
    { title: 'You told us', texts: facts.words ? [`“${facts.words}”`] : [] },
    { title: 'We found', texts: found.length > 0 ? [`${found.join('. ')}.`] : [] },
    {
      title: 'Your own idea',
      texts:
        idea === null || became === 'open'
          ? []
          : [
              became === 'right'
                ? `${faultLabel(idea)}: you were right.`
                : `${faultLabel(idea)}: that is not what we found. It was: ${causes.join(', ').toLowerCase()}.`,
            ],
    },
  ].filter((s) => s.texts.length > 0);
}

function detailOf(line: PricedLine, { state }: PaperGiven): string {
  if (line.minutes !== null) return `${line.minutes} min`;
  const each = moneyText(line.eachMinor, state.shop.currency, state.shop.locale);
  return line.thousandths === 1000 ? '' : `${line.thousandths / 1000} × ${each}`;
}

/** More would push the prices off the page. */
const MOST_PICTURES = 3;

/** The photographs of what was found, the cause first: with them the owner sees what their own idea is answered by. */
function picturesOf({ facts }: PaperGiven): PaperContent['pictures'] {
  return facts.proved
    .flatMap((fault) => facts.photographs.filter((p) => p.shows === `fault:${fault}`))
    .slice(0, MOST_PICTURES)
    .map(({ id, shows, caption }) => ({ id, caption: caption || faultLabel(shows.slice('fault:'.length)) }));
}

/** Offers side by side, each column adding up by itself. */
function table(
  offers: readonly DueOffer[],
  estimate: EstimateView,
  given: PaperGiven,
): Pick<PaperContent, 'columns' | 'groups' | 'totals'> {
  const groupOf = new Map(estimate.lines.map((l) => [l.id, l]));
  const all = [...new Map(offers.flatMap((o) => o.lines).map((l) => [l.line, l])).values()];
  const told = (offer: DueOffer, line: string | null) => {
    const i = offer.lines.findIndex((l) => l.line === line);
    return i === -1 ? null : offer.bill.lines[i]!.toldMinor;
  };
  const groups = (['must', 'now', 'wait'] as const).map((group) => ({
    title: GROUP_TITLES[group],
    rows: all
      .filter((l) => (l.line === null ? group === 'must' : groupOf.get(l.line)?.group === group))
      .map((l) => ({
        label: l.label,
        detail: [
          detailOf(l, given),
          l.line === null ? '' : groupOf.get(l.line)!.until && `by ${groupOf.get(l.line)!.until}`,
        ]
          .filter(Boolean)
          .join(', '),
        minor: offers.map((o) => told(o, l.line)),
      })),
  }));
  return {
    columns: offers.map((o) => OFFER_TITLES[o.id]),
    groups: groups.filter((g) => g.rows.length > 0),
    totals: totalsOf(offers),
  };
}

function totalsOf(offers: readonly DueOffer[]): PaperContent['totals'] {
  const bills = offers.map((o) => o.bill);
  const row = (label: string, of: (b: Offer['bill']) => number, strong = false) => ({
    label,
    minor: bills.map(of),
    strong,
  });
  const taxes = [...new Map(bills.flatMap((b) => b.taxes).map((t) => [t.id, t])).values()];
  const hasTax = taxes.length > 0;
  return [
    ...(bills.some((b) => b.offMinor > 0) ? [row('Discount', (b) => -b.offMinor)] : []),
    ...(hasTax ? [row('Net', (b) => b.netMinor)] : []),
    ...taxes.map((t) =>
      row(`${t.label} ${t.per100k / 1000} %`, (b) => b.taxes.find((x) => x.id === t.id)?.taxMinor ?? 0),
    ),
    row('To pay', (b) => b.grossMinor, true),
  ];
}

/** Lines that can hurt somebody and are in no smaller offer: a warning that is signed. */
function warnings(estimate: EstimateView, offers: readonly Offer[]): PaperContent['signs'] {
  const left = [...new Set(offers.flatMap((o) => o.unsafe))].map((id) => estimate.lines.find((l) => l.id === id)!);
  const faults = [...new Set(left.flatMap((l) => (l.fault === null ? [] : [faultLabel(l.fault)])))];
  if (faults.length === 0) return [];
  return [
    {
      text: `I was told that this can hurt somebody and I leave it as it is: ${faults.join(', ').toLowerCase()}.`,
      danger: true,
    },
  ];
}

/** Schools that the work follows, where they matter. */
function schoolTerms({ facts, state }: PaperGiven): string[] {
  const shop = state.shop.schools as SchoolChoices;
  return schoolsOf(facts.proved)
    .filter((s) => s.id in facts.agree.schools || s.id === 'interlock')
    .map((s) => `${s.question} ${s[followed(s, shop, facts.agree.schools)]}. ${s.why}`);
}

function needsEstimate({ facts }: PaperGiven): EstimateView {
  const { estimate } = facts.agree;
  refuseIf(estimate ? [] : [{ field: 'kind', message: 'There is no estimate yet.' }]);
  return estimate!;
}

function needsAgreed(given: PaperGiven): { estimate: EstimateView; offer: Offer } {
  const estimate = needsEstimate(given);
  const { standing, offer } = given.facts.agree;
  const taken = estimate.offers.find((o) => o.id === offer);
  refuseIf(
    taken && (standing === 'agreed' || standing === 'within-limit' || standing === 'found-since')
      ? []
      : [{ field: 'kind', message: 'The owner has agreed to no offer yet.' }],
  );
  return { estimate, offer: taken! };
}

function estimatePaper(given: PaperGiven): PaperContent {
  const estimate = needsEstimate(given);
  const { terms } = estimate;
  const { state } = given;
  const money = (minor: number) => moneyText(minor, state.shop.currency, state.shop.locale);
  // A repair and its parts are told once.
  const not = estimate.lines.filter((l) => l.group === 'not' && l.reason.trim() !== '');
  const notWorth = not.filter(
    (l) => l.sort === 'labour' || l.fault === null || !not.some((o) => o.sort === 'labour' && o.fault === l.fault),
  );
  const fee = chargesOf(state.shop.charges).diagnosisMinor;
  return {
    ...headOf('estimate', given),
    said: [
      ...foundOf(given),
      ...besides(given, estimate),
      ...(terms.words ? [{ title: 'To say', texts: [terms.words] }] : []),
      ...(notWorth.length > 0
        ? [{ title: 'Not worth it', texts: notWorth.map((l) => `${l.label}: ${l.reason}`) }]
        : []),
    ],
    pictures: picturesOf(given),
    ...table(estimate.offers, estimate, given),
    terms: [
      ...promisesOf(estimate),
      `These prices hold until ${terms.validUntil}.`,
      ...(terms.depositMinor > 0 ? [`Before we begin we ask for ${money(terms.depositMinor)}.`] : []),
      ...(fee > 0 ? [`Looking for the fault costs ${money(fee)}; it falls away when we repair it.`] : []),
      ...(terms.included && !terms.exempt ? ['Prices are told with their taxes.'] : []),
      ...schoolTerms(given),
    ],
    signs: [...warnings(estimate, estimate.offers), { text: 'I agree to: ____________________', danger: false }],
  };
}

const promiseWords = ({ readyOn, warrantyDays }: OfferPromise) =>
  `Ready on ${readyOn}. We stand for our work for ${warrantyDays} days.`;

/** One sentence where all offers are promised alike, otherwise one for each. */
function promisesOf({ offers, terms }: EstimateView): string[] {
  const each = offers.map((o) => promiseWords(promiseOf(terms, o.id)));
  return new Set(each).size === 1
    ? [each[0]!.replace('.', ' if you answer in time.')]
    : offers.map((o, i) => `${OFFER_TITLES[o.id]}: ${each[i]!.replace('Ready', 'ready')}`);
}

/** A second weakness is said before money is spent on the first. */
function besides({ facts }: PaperGiven, estimate: EstimateView): PaperContent['said'] {
  const waiting = estimate.lines.flatMap((l) => (l.group === 'wait' && l.fault !== null ? [l.fault] : []));
  const found = facts.proved.filter((f) => waiting.includes(f)).map(faultLabel);
  if (found.length === 0) return [];
  return [
    {
      title: 'Before you decide',
      texts: [
        `Found besides: ${found.join(', ').toLowerCase()}. It can wait, but think of it before you spend money on the rest: ask us what we would do.`,
      ],
    },
  ];
}

function orderPaper(given: PaperGiven): PaperContent {
  const { estimate, offer } = needsAgreed(given);
  const answer = given.facts.agree.answers.at(-1)!;
  return {
    ...headOf('order', given),
    said: [
      ...foundOf(given),
      {
        title: 'You agreed',
        texts: [`${answer.who}, ${answer.at.slice(0, 10)}${answer.words ? `: “${answer.words}”` : '.'}`],
      },
    ],
    pictures: picturesOf(given),
    ...table([offer], estimate, given),
    terms: [promiseWords(promiseOf(estimate.terms, offer.id)), ...schoolTerms(given)],
    signs: warnings(estimate, [offer]),
  };
}

function invoicePaper(given: PaperGiven): PaperContent {
  const { estimate, offer: agreed } = needsAgreed(given);
  const { facts, letterhead, today } = given;
  const isBilled = facts.agree.documents.some(
    (d) => d.kind === 'invoice' && !facts.agree.documents.some((c) => c.corrects === d.id),
  );
  refuseIf(isBilled ? [{ field: 'kind', message: 'It is billed already: take that invoice back first.' }] : []);
  const { payDays } = letterheadOf(letterhead);
  const { offer, undone } = dueOffer(given.state, estimate, agreed.id, didOf(facts))!;
  refuseIf(
    offer.bill.grossMinor > 0 || undone.length === 0
      ? []
      : [
          {
            field: 'kind',
            message: 'Nothing that was agreed is done: give the paper of a machine returned unrepaired.',
          },
        ],
  );
  const shown = table([offer], estimate, given);
  const due = offer.bill.grossMinor - facts.agree.paidMinor;
  return {
    ...headOf('invoice', given),
    said: [
      ...foundOf(given).filter((s) => s.title !== 'You told us'),
      ...(undone.length > 0
        ? [
            {
              title: 'Agreed, and not done',
              texts: [`${undone.join('. ')}. ${undone.length > 1 ? 'They are' : 'It is'} not charged.`],
            },
          ]
        : []),
    ],
    ...shown,
    totals: [
      ...shown.totals,
      ...(facts.agree.paidMinor > 0
        ? [
            { label: 'Paid before', minor: [-facts.agree.paidMinor], strong: false },
            { label: 'Still to pay', minor: [due], strong: true },
          ]
        : []),
    ],
    terms: [
      payDays > 0 ? `To be paid by ${addDays(today, payDays)}.` : 'To be paid on receipt.',
      `We stand for our work for ${promiseOf(estimate.terms, offer.id).warrantyDays} days.`,
      ...(given.state.customer.taxExempt ? ['No tax is charged: the customer is exempt.'] : []),
    ],
    bill: {
      lines: offer.lines.map(({ label, sort, thousandths, eachMinor }) => ({ label, sort, thousandths, eachMinor })),
      bill: offer.bill,
    },
    pay: { dueOn: addDays(today, payDays), minor: Math.max(0, due), paidMinor: facts.agree.paidMinor },
  };
}

function unrepairedPaper(given: PaperGiven): PaperContent {
  const { facts } = given;
  const charges = chargesOf(given.state.shop.charges);
  const fees: [string, number][] = [['Looking for the fault', charges.diagnosisMinor]];
  const lines = fees
    .filter(([, minor]) => minor > 0)
    .map(([label, eachMinor]): BillLine & { label: string } => ({ label, sort: 'fee', thousandths: 1000, eachMinor }));
  const bill = billOf(lines, taxesOf(given.state.shop.taxes), { exempt: given.state.customer.taxExempt });
  const answer = facts.agree.answers.at(-1);
  const held = facts.cautions.filter(holdsBackPower).map((id) => knowledge.cautions.find((c) => c.id === id)!.label);
  return {
    ...headOf('unrepaired', given),
    said: [
      ...foundOf(given),
      ...(answer ? [{ title: 'You answered', texts: [`${answer.who}: “${answer.words || answer.says}”`] }] : []),
    ],
    pictures: picturesOf(given),
    columns: ['To pay'],
    groups:
      lines.length > 0
        ? [
            {
              title: 'Our work',
              rows: lines.map((l, i) => ({ label: l.label, detail: '', minor: [bill.lines[i]!.toldMinor] })),
            },
          ]
        : [],
    totals: totalsOf([{ id: 'minimum', lines: [], bill }]),
    box: {
      title: held.length > 0 ? `Not to be used: ${held.join(', ').toLowerCase()}` : 'Not repaired and not tested here',
      texts: ['Have it seen to before it is used.', ...facts.leftOpen.map(faultLabel)],
    },
    bill: { lines, bill },
  };
}

function bridgePapers(kind: 'consent' | 'label', given: PaperGiven): PaperContent {
  const interlocks = given.facts.proved.filter((f) => schoolsOf([f]).some((s) => s.id === 'interlock'));
  refuseIf(
    interlocks.length > 0 ? [] : [{ field: 'kind', message: 'No tilt or seat switch was found to have failed here.' }],
  );
  const what = interlocks.map(faultLabel).join(', ');
  const danger =
    'This protection is bridged: the machine no longer stops by itself. Switch it off by hand before you stand it up, leave it, or reach into it.';
  if (kind === 'label')
    return {
      ...headOf('label', given),
      box: { title: 'Protection bridged', texts: [danger, `${what}. ${given.today}`, given.facts.machine.tag] },
    };
  return {
    ...headOf('consent', given),
    said: [
      { title: 'What has failed', texts: [`${what}.`] },
      {
        title: 'What is done instead',
        texts: ['It is not replaced but bridged, as you wish. The machine carries a label, and its history says so.'],
      },
      {
        title: 'What that means',
        texts: [
          danger,
          'Local rules win over this paper: where one forbids it, it is not done. You may have the switch replaced at any time.',
        ],
      },
    ],
    signs: [
      {
        text: 'I know what is bridged and what can happen, and I want it so. In my own words: ____________________',
        danger: true,
      },
    ],
  };
}

/** What stands on a paper of a job. @throws ProblemError 400 when there is nothing to put on it yet */
export function paperContent(
  kind: 'estimate' | 'order' | 'invoice' | 'unrepaired' | 'consent' | 'label',
  given: PaperGiven,
): PaperContent {
  switch (kind) {
    case 'estimate':
      return estimatePaper(given);
    case 'order':
      return orderPaper(given);
    case 'invoice':
      return invoicePaper(given);
    case 'unrepaired':
      return unrepairedPaper(given);
    default:
      return bridgePapers(kind, given);
  }
}

/** The credit note that takes an invoice back: the same lines, all below nought. */
export function creditContent(invoice: PaperContent, name: string, why: string, today: string): PaperContent {
  const minus = (n: number) => (n === 0 ? 0 : -n);
  return {
    ...invoice,
    kind: 'credit',
    title: DOCUMENT_TITLES.credit,
    date: today,
    said: [{ title: `Takes back ${name}`, texts: [why] }],
    groups: invoice.groups.map((g) => ({
      ...g,
      rows: g.rows.map((r) => ({ ...r, minor: r.minor.map((m) => (m === null ? null : minus(m))) })),
    })),
    totals: invoice.totals
      .filter((t) => !['Paid before', 'Still to pay'].includes(t.label))
      .map((t) => ({ ...t, minor: t.minor.map(minus) })),
    terms: [],
    pay: null,
  };
}

/** What was paid, and what is still to pay. */
export function receiptContent(
  given: PaperGiven,
  paid: { how: string; amountMinor: number; givenMinor: number | null; note: string },
): PaperContent {
  const change = paid.givenMinor === null ? 0 : paid.givenMinor - paid.amountMinor;
  const how = { cash: 'in cash', card: 'by card', transfer: 'by transfer' }[paid.how] ?? paid.how;
  return {
    ...headOf('receipt', given),
    said: paid.note ? [{ title: 'For', texts: [paid.note] }] : [],
    columns: ['Paid'],
    groups: [],
    totals: [
      { label: `Received ${how}`, minor: [paid.amountMinor], strong: true },
      ...(paid.givenMinor === null
        ? []
        : [
            { label: 'Handed over', minor: [paid.givenMinor], strong: false },
            { label: 'Change given', minor: [change], strong: false },
          ]),
    ],
  };
}
