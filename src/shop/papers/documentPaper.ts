import pdfmake from 'pdfmake';
import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces';
import { moneyText } from '@/core/money/currency';
import type { PaperContent, PaperOrder } from './dto';
import { pictureRows } from './pictureRows';
import { prepareTypefaces } from './preparedTypefaces';
import { inTypefaces } from './typefaces';

/** A paper of a job, on the shop’s size, as PDF (ISO 32000) with its typefaces in it. */
export async function documentPaper(order: PaperOrder): Promise<Uint8Array> {
  prepareTypefaces();
  const buffer = await pdfmake.createPdf(layout(order)).getBuffer();
  return new Uint8Array(buffer);
}

const say = (text: string) => inTypefaces(text);

function layout({ view, pictures }: PaperOrder): TDocumentDefinitions {
  const { name, content: c, paper, corrects, correctedBy, qr } = view;
  if (c.kind === 'label') return label(c);
  return {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [48, 52, 48, 60],
    info: { title: `${c.title} ${name}`, author: c.shop.name },
    defaultStyle: { font: 'Barlow', fontSize: 10, lineHeight: 1.15 },
    styles: { head: { fontSize: 11.5, bold: true, margin: [0, 10, 0, 3] } },
    footer: (page, pages) => ({
      margin: [48, 14],
      columns: [
        { text: say([c.shop.footer || c.shop.name, c.shop.taxNumber].filter(Boolean).join('  ·  ')), fontSize: 8 },
        { text: `${name}, page ${page} of ${pages}`, alignment: 'right', fontSize: 8, width: 130 },
      ],
    }),
    content: [
      {
        columns: [
          {
            stack: [
              { text: say(c.shop.name), bold: true, fontSize: 14 },
              { text: say([c.shop.address, c.shop.phone].filter(Boolean).join('\n')), fontSize: 9 },
            ],
          },
          {
            stack: [
              { text: say(c.title), fontSize: 19, bold: true, alignment: 'right' },
              { text: `${name}   ${c.date}`, alignment: 'right' },
            ],
          },
        ],
      },
      { canvas: [{ type: 'line', x1: 0, y1: 3, x2: 499, y2: 3, lineWidth: 1.4 }], margin: [0, 4, 0, 10] },
      {
        columns: [
          { text: say([c.customer.name, c.customer.address].filter(Boolean).join('\n')) },
          {
            text: say(
              `${c.machine.tag}  ${c.machine.maker} ${c.machine.model}${c.machine.serial ? `\nSerial ${c.machine.serial}` : ''}\nJob ${c.job}`,
            ),
            alignment: 'right',
          },
        ],
      },
      ...(corrects ? [{ text: `Takes back ${corrects}.`, bold: true, margin: [0, 8, 0, 0] } as Content] : []),
      ...(correctedBy ? [{ text: `Taken back by ${correctedBy}.`, bold: true, margin: [0, 8, 0, 0] } as Content] : []),
      ...c.said.flatMap((s): Content[] => [
        { text: say(s.title), style: 'head' },
        ...s.texts.map((t) => ({ text: say(t) })),
      ]),
      ...pictureRows(pictures, { columns: 3, width: 158, height: 110 }),
      ...(c.box ? [box(c.box)] : []),
      ...(c.columns.length > 0 ? [table(c)] : []),
      ...c.terms.map((t, i) => ({ text: say(t), margin: [0, i === 0 ? 10 : 2, 0, 0] }) as Content),
      ...(qr
        ? [
            { svg: qr, width: 84, margin: [0, 10, 0, 0] } as Content,
            { text: 'For your bank’s camera.', fontSize: 8 } as Content,
          ]
        : []),
      ...c.signs.map(sign),
    ],
  };
}

function box({ title, texts }: NonNullable<PaperContent['box']>): Content {
  return {
    margin: [0, 12, 0, 4],
    table: {
      widths: ['*'],
      body: [
        [
          {
            stack: [{ text: say(title), bold: true, fontSize: 13 }, ...texts.map((t) => ({ text: say(t) }))],
            margin: [6, 5, 6, 5],
          },
        ],
      ],
    },
    layout: { hLineWidth: () => 2, vLineWidth: () => 2 },
  };
}

function table(c: PaperContent): Content {
  const money = (minor: number | null): TableCell => ({
    text: minor === null ? '' : say(moneyText(minor, c.currency, c.locale)),
    alignment: 'right',
    noWrap: true,
  });
  const rule = (cells: TableCell[]): TableCell[] => cells;
  const body: TableCell[][] = [
    rule([
      { text: '' },
      ...c.columns.map((t): TableCell => ({
        text: c.columns.length > 1 ? say(t) : 'Amount',
        bold: true,
        alignment: 'right',
      })),
    ]),
    ...c.groups.flatMap((g): TableCell[][] => [
      [
        { text: say(g.title), bold: true, colSpan: c.columns.length + 1, margin: [0, 5, 0, 0] },
        ...c.columns.map((): TableCell => ({})),
      ],
      ...g.rows.map((r): TableCell[] => [
        { text: [say(r.label), { text: r.detail ? `   ${inPlain(r.detail)}` : '', fontSize: 8.5, color: '#555' }] },
        ...r.minor.map(money),
      ]),
    ]),
    ...c.totals.map((t): TableCell[] => [
      { text: say(t.label), bold: t.strong, fontSize: t.strong ? 11.5 : 10 },
      ...t.minor.map(
        (m): TableCell => ({ ...(money(m) as object), bold: t.strong, fontSize: t.strong ? 11.5 : 10 }) as TableCell,
      ),
    ]),
  ];
  const first = body.length - c.totals.length;
  return {
    margin: [0, 12, 0, 0],
    table: { headerRows: 1, dontBreakRows: true, widths: ['*', ...c.columns.map(() => 92)], body },
    layout: {
      hLineWidth: (i) => (i === first ? 1.2 : i > 1 && i < body.length ? 0.3 : 0),
      vLineWidth: () => 0,
      hLineColor: () => '#444',
    },
  };
}

const inPlain = (text: string) => text.replace(/[\r\n]+/g, ' ');

function sign({ text, danger }: PaperContent['signs'][number]): Content {
  return {
    unbreakable: true,
    margin: [0, 14, 0, 0],
    stack: [
      { text: say(text), bold: danger },
      {
        text: 'Date ____________   Name ______________________   Signed ______________________',
        margin: [0, 16, 0, 0],
      },
    ],
  };
}

/** A label of 100 by 62 millimetres that stays on the machine. */
function label(c: PaperContent): TDocumentDefinitions {
  return {
    pageSize: { width: 283.5, height: 175.7 },
    pageMargins: 10,
    info: { title: `${c.title} ${c.machine.tag}`, author: c.shop.name },
    defaultStyle: { font: 'Barlow', fontSize: 9.5, lineHeight: 1.1 },
    content: [box(c.box!), { text: say(`${c.shop.name} ${c.shop.phone}`), fontSize: 8, margin: [0, 2, 0, 0] }],
  };
}
