import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { prepareTypefaces } from './preparedTypefaces';
import { inTypefaces as say } from './typefaces';

export interface LettersOrder {
  paper: 'A4' | 'Letter';
  shop: { name: string; address: string; phone: string };
  date: string;
  letters: { name: string; address: string; subject: string; words: string }[];
}

/**
 * Letters to many, each on a page of its own, as one PDF for a print run. Whom it is for stands where a window envelope shows
 * it: 45 to 90 mm from the top (DIN 5008 form B, from memory).
 */
export async function lettersPaper(order: LettersOrder): Promise<Uint8Array> {
  prepareTypefaces();
  return new Uint8Array(await pdfmake.createPdf(layout(order)).getBuffer());
}

const MM = 72 / 25.4;

function layout({ paper, shop, date, letters }: LettersOrder): TDocumentDefinitions {
  return {
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [25 * MM, 20 * MM, 20 * MM, 20 * MM],
    info: { title: `Letters of ${date}`, author: shop.name },
    defaultStyle: { font: 'Barlow', fontSize: 10.5, lineHeight: 1.25 },
    content: letters.flatMap((l, i): Content[] => [
      {
        columns: [
          { text: '' },
          {
            stack: [{ text: say(shop.name), bold: true }, { text: say(shop.address) }, { text: say(shop.phone) }],
            alignment: 'right',
            fontSize: 9,
          },
        ],
        ...(i > 0 ? { pageBreak: 'before' as const } : {}),
      },
      { text: say([l.name, l.address].filter(Boolean).join('\n')), absolutePosition: { x: 25 * MM, y: 50 * MM } },
      { text: date, absolutePosition: { x: 25 * MM, y: 92 * MM } },
      { text: say(l.subject), bold: true, fontSize: 12, absolutePosition: { x: 25 * MM, y: 102 * MM } },
      { text: say(l.words), margin: [0, (114 - 20) * MM - 40, 0, 0] },
    ]),
  };
}
