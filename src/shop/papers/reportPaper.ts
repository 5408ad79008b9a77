import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { ReportSection, ServiceReportView } from './dto';
import { pictureRows } from './pictureRows';
import { prepareTypefaces } from './preparedTypefaces';
import { inTypefaces as say } from './typefaces';

export interface ReportOrder {
  view: ServiceReportView;
  pictures: { caption: string; jpegBase64: string }[];
}

/** The report of a visit, on the shop’s size, as PDF (ISO 32000) with its typefaces in it. */
export async function reportPaper(order: ReportOrder): Promise<Uint8Array> {
  prepareTypefaces();
  return new Uint8Array(await pdfmake.createPdf(layout(order)).getBuffer());
}

function layout({ view, pictures }: ReportOrder): TDocumentDefinitions {
  return {
    pageSize: view.paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [42, 44, 42, 48],
    info: { title: `Service report ${view.tag}, job ${view.job}`, author: view.shop },
    defaultStyle: { font: 'Barlow', fontSize: 9.5, lineHeight: 1.15 },
    styles: { head: { fontSize: 11.5, bold: true, margin: [0, 10, 0, 3] } },
    footer: (page, pages) => ({
      margin: [42, 12],
      columns: [
        { text: say(view.shop), fontSize: 8 },
        { text: say(`${view.tag}, page ${page} of ${pages}`), alignment: 'right', fontSize: 8 },
      ],
    }),
    content: [
      {
        columns: [
          { stack: [{ text: 'Service report', fontSize: 19, bold: true }, ...view.of.map((t) => ({ text: say(t) }))] },
          {
            stack: [{ text: say(view.shop), bold: true }, ...view.facts.map((t) => ({ text: say(t) }))],
            alignment: 'right',
            width: 170,
          },
        ],
      },
      { canvas: [{ type: 'line', x1: 0, y1: 3, x2: 511, y2: 3, lineWidth: 1.4 }], margin: [0, 3, 0, 6] },
      ...(view.warning
        ? [
            {
              table: {
                widths: ['*'],
                body: [[{ text: say(view.warning), bold: true, fontSize: 12, margin: [5, 4, 5, 4] }]],
              },
              layout: { hLineWidth: () => 2, vLineWidth: () => 2 },
            } as Content,
          ]
        : []),
      ...view.sections.flatMap(section),
      ...(pictures.length > 0
        ? [
            { text: 'Photographs', style: 'head' } as Content,
            ...pictureRows(pictures, { columns: 2, width: 245, height: 180 }),
          ]
        : []),
    ],
  };
}

function section({ title, rows }: ReportSection): Content[] {
  const columns = Math.max(...rows.map((r) => r.length));
  return [
    { text: say(title), style: 'head' },
    columns === 1
      ? { stack: rows.map((r) => ({ text: say(r[0]!) })) }
      : {
          layout: 'lightHorizontalLines',
          table: {
            headerRows: 0,
            widths: columns === 2 ? [190, '*'] : [170, 'auto', '*'],
            body: rows.map((r) => r.map((text) => ({ text: say(text) }))),
          },
        },
  ];
}
