import type { Content } from 'pdfmake/interfaces';
import { inTypefaces } from './typefaces';

/** Photographs side by side with what they show, so many in a row; points. */
export function pictureRows(
  pictures: readonly { caption: string; jpegBase64: string }[],
  { columns, width, height }: { columns: number; width: number; height: number },
): Content[] {
  const rows = Array.from({ length: Math.ceil(pictures.length / columns) }, (_, i) =>
    pictures.slice(columns * i, columns * (i + 1)),
  );
  return rows.map((row): Content => ({
    columns: row.map((p) => ({
      width: 'auto',
      stack: [
        { image: `data:image/jpeg;base64,${p.jpegBase64}`, fit: [width, height] },
        { text: inTypefaces(p.caption), fontSize: 8 },
      ],
      margin: [0, 4, 8, 4],
    })),
    unbreakable: true,
  }));
}
