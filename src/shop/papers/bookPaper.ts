import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { faultLabel, knowledge } from '@/knowledge';
import { endings } from '@/knowledge/counter';
import { planItems } from '@/knowledge/plans';
import { dayInZone } from '../settings/day';
import { prepareTypefaces } from './preparedTypefaces';
import { inTypefaces } from './typefaces';

/** What of a machine's book stands on paper. */
export interface BookOnPaper {
  exportedAt: string;
  shop: { name: string; zone: string };
  machine: {
    tag: string;
    maker: string;
    model: string;
    serial: string;
    madeYear: number | null;
    purchasedOn: string | null;
    warrantyUntil: string | null;
    mainsV: number;
    hoursPerWeek: number;
    pets: boolean;
    note: string;
  };
  owner: { name: string; phone: string; address: string };
  plans: { label: string; dueOn: string | null }[];
  openFaults: { fault: string; at: string }[];
  meter: { at: string; hours: number }[];
  jobs: {
    id: number;
    takenInAt: string;
    closedAt: string | null;
    comebackOf: number | null;
    words: string;
    complaints: string[];
    faults: string[];
    foundWords: string;
    ending: string | null;
    ownersWord: string;
    served: string[];
    fitted: { label: string; quantity: number }[];
    proofs: {
      item: string;
      result: string;
      before: number | null;
      after: number | null;
      unit: string | null;
      said: { rules?: string; readings?: string; tester?: string };
    }[];
    advice: string;
  }[];
  timeline: { at: string; text: string; by: string | null }[];
  photographs: { at: string; caption: string; jpegBase64: string }[];
}

const planLabel = (id: string) => planItems.find((i) => i.id === id)?.label ?? id;
const complaintLabel = (id: string) => knowledge.complaints.find((c) => c.id === id)?.label ?? id;

/** Small beside what a server has on its way to anybody. */
const PIECE_BYTES = 65_536;

export interface BookOrder {
  book: BookOnPaper;
  paper: 'A4' | 'Letter';
}

/** A machine's whole book on paper of the shop's size, as PDF (ISO 32000) with its typefaces in it, piece by piece. */
export async function* bookPaper({ book, paper }: BookOrder): AsyncGenerator<Uint8Array> {
  prepareTypefaces();
  const pages = await pdfmake.createPdf(layout(book, paper)).getStream();
  pages.end();
  for await (const written of pages as AsyncIterable<Uint8Array>)
    // Copied: a view would take the whole paper with it through a port.
    for (let at = 0; at < written.length; at += PIECE_BYTES)
      yield new Uint8Array(written.subarray(at, at + PIECE_BYTES));
}

function layout(book: BookOnPaper, paper: 'A4' | 'Letter'): TDocumentDefinitions {
  const { machine: m, owner } = book;
  const day = (iso: string) => dayInZone(new Date(iso), book.shop.zone);
  const facts: [string, string][] = [
    ['Owner', [owner.name, owner.phone, owner.address].filter(Boolean).join(', ')],
    ['Serial', m.serial || 'not written down'],
    ['Made', m.madeYear ? String(m.madeYear) : 'not known'],
    ['Bought', m.purchasedOn ?? 'not known'],
    ['Warranty', m.warrantyUntil ? `until ${m.warrantyUntil}` : 'not known'],
    ['Mains', `${m.mainsV} V`],
    ['Use', `about ${m.hoursPerWeek} h a week${m.pets ? ', pets at home' : ''}`],
    ['For the next technician', m.note || 'nothing'],
  ];
  return {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [42, 48, 42, 48],
    info: { title: `Book of ${m.tag}`, author: book.shop.name },
    defaultStyle: { font: 'Barlow', fontSize: 9.5, lineHeight: 1.15 },
    styles: { head: { fontSize: 12.5, bold: true, margin: [0, 12, 0, 4] } },
    footer: (page, pages) => ({
      margin: [42, 12],
      columns: [
        { text: inTypefaces(`${book.shop.name}, written out on ${day(book.exportedAt)}`), fontSize: 8 },
        { text: `${m.tag}, page ${page} of ${pages}`, alignment: 'right', fontSize: 8 },
      ],
    }),
    content: [
      { text: inTypefaces(`${m.tag}  ${m.maker} ${m.model}`), fontSize: 19, bold: true },
      { canvas: [{ type: 'line', x1: 0, y1: 2, x2: 511, y2: 2, lineWidth: 1.6 }], margin: [0, 0, 0, 8] },
      rows(facts),
      ...section('Due', book.plans.length > 0 && rows(book.plans.map((p) => [p.dueOn ?? 'not known', p.label]))),
      ...section(
        'Found and not mended',
        book.openFaults.length > 0 && rows(book.openFaults.map((f) => [day(f.at), faultLabel(f.fault)])),
      ),
      ...section('Jobs', book.jobs.length > 0 && book.jobs.flatMap((j) => jobLines(j, day))),
      ...section('Hour meter', book.meter.length > 0 && rows(book.meter.map((r) => [day(r.at), `${r.hours} h`]))),
      ...section(
        'All that happened',
        rows(book.timeline.map((t) => [day(t.at), `${t.text}${t.by ? ` (${t.by})` : ''}`])),
      ),
      ...(book.photographs.length > 0 ? pictures(book, day) : []),
    ],
  };
}

function section(title: string, content: Content | Content[] | false): Content[] {
  if (content === false) return [];
  return [{ text: title, style: 'head' }, ...(Array.isArray(content) ? content : [content])];
}

function rows(list: [string, string][]): Content {
  return {
    layout: 'lightHorizontalLines',
    table: {
      headerRows: 0,
      widths: [110, '*'],
      body:
        list.length > 0
          ? list.map(([a, b]) => [{ text: inTypefaces(a) }, { text: inTypefaces(b) }])
          : [['', 'nothing']],
    },
  };
}

function jobLines(job: BookOnPaper['jobs'][number], day: (iso: string) => string): Content[] {
  const told = [
    job.words ? `“${job.words}”` : '',
    `Complaints: ${job.complaints.map(complaintLabel).join(', ')}`,
    job.faults.length > 0 ? `Found: ${job.faults.map(faultLabel).join(', ')}` : '',
    job.foundWords ? `In words: ${job.foundWords}` : '',
    job.ending && job.ending !== 'repaired' ? `Ended: ${endings.find((e) => e.id === job.ending)!.says}` : '',
    job.ownersWord ? `The owner: ${job.ownersWord}` : '',
    job.served.length > 0 ? `Service: ${job.served.map(planLabel).join(', ')}` : '',
    job.fitted.length > 0 ? `Fitted: ${job.fitted.map((f) => `${f.quantity} × ${f.label}`).join(', ')}` : '',
    ...job.proofs
      .filter((p) => p.after !== null)
      .map((p) => `${p.item.replaceAll('-', ' ')}: ${p.before ?? '–'} to ${p.after} ${p.unit}`),
    ...job.proofs
      .filter((p) => p.said.rules)
      .map((p) => `${p.item.replaceAll('-', ' ')} ${p.result}: ${p.said.rules}; ${p.said.readings}; ${p.said.tester}`),
    job.advice ? `Advice: ${job.advice}` : '',
  ].filter(Boolean);
  return [
    {
      stack: [
        {
          text: `Job ${job.id}, ${day(job.takenInAt)}${job.closedAt ? ` to ${day(job.closedAt)}` : ', open'}${job.comebackOf ? `, came back after job ${job.comebackOf}` : ''}`,
          bold: true,
          margin: [0, 4, 0, 1],
        },
        ...told.map((text) => ({ text: inTypefaces(text) })),
      ],
      unbreakable: told.join('').length < 1500,
    },
  ];
}

function pictures(book: BookOnPaper, day: (iso: string) => string): Content[] {
  return book.photographs.map((p, i) => ({
    stack: [
      // The heading stays with the first of them.
      ...(i === 0 ? [{ text: 'Photographs', style: 'head' }] : []),
      { image: `data:image/jpeg;base64,${p.jpegBase64}`, fit: [240, 180] },
      { text: inTypefaces(`${day(p.at)} ${p.caption}`), margin: [0, 2, 0, 8] },
    ],
    unbreakable: true,
  }));
}
