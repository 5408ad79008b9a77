import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { create, type Font } from 'fontkit';

const FILES = join(process.cwd(), 'node_modules/@fontsource');
const file = (face: string, part: string, weight: number) =>
  join(FILES, face, 'files', `${face}-${part}-${weight}-normal.woff`);

/** Our own hand first, then what has the letters of other alphabets; each part of a typeface is a file of its own. */
const PARTS = [
  { family: 'Barlow', face: 'barlow-semi-condensed', part: 'latin' },
  { family: 'BarlowExt', face: 'barlow-semi-condensed', part: 'latin-ext' },
  { family: 'BarlowViet', face: 'barlow-semi-condensed', part: 'vietnamese' },
  { family: 'Greek', face: 'noto-sans', part: 'greek' },
  { family: 'GreekExt', face: 'noto-sans', part: 'greek-ext' },
  { family: 'Cyrillic', face: 'noto-sans', part: 'cyrillic' },
  { family: 'CyrillicExt', face: 'noto-sans', part: 'cyrillic-ext' },
] as const;
type Family = (typeof PARTS)[number]['family'];

/** What pdfmake is told of the typefaces: our own packages, no other file. */
export const TYPEFACES = Object.fromEntries(
  PARTS.map(({ family, face, part }) => {
    const [normal, bold] = [file(face, part, 500), file(face, part, 700)];
    return [family, { normal, bold, italics: normal, bolditalics: bold }];
  }),
);
export const TYPEFACE_FILES = FILES;

/** A letter that no typeface here has. */
const MISSING = '?';
/** A word without a break is broken after so many letters: a line takes about twice as many. */
const LONGEST_WORD = 40;

let faces: { family: Family; font: Font }[] | null = null;

/** The typeface that has a letter, or null. */
function familyOf(letter: string): Family | null {
  faces ??= PARTS.map(({ family, face, part }) => ({
    family,
    font: create(readFileSync(file(face, part, 500))) as Font,
  }));
  const code = letter.codePointAt(0)!;
  return faces.find((f) => f.font.hasGlyphForCodePoint(code))?.family ?? null;
}

const known = new Map<string, Family | null>();
function cached(letter: string): Family | null {
  let family = known.get(letter);
  if (family === undefined) known.set(letter, (family = familyOf(letter)));
  return family;
}

export interface Run {
  text: string;
  font: Family;
}

/**
 * Text as runs of one typeface each: letters outside of the first are set in the one that has them; what none has is a question
 * mark. Signs that cannot be seen are left out, words without end are broken.
 * @example inTypefaces('Łukasz') // [{ text: 'Ł', font: 'BarlowExt' }, { text: 'ukasz', font: 'Barlow' }]
 */
export function inTypefaces(text: string): Run[] {
  const runs: Run[] = [];
  const plain = text
    .normalize('NFC')
    .replace(/[\p{Cf}\p{Cs}]|[^\P{Cc}\n]/gu, (sign) => (/\s/.test(sign) ? ' ' : ''))
    .replace(new RegExp(`(\\S{${LONGEST_WORD}})(?=\\S)`, 'gu'), '$1 ');
  for (const letter of plain) {
    const last = runs.at(-1);
    // A space is the same in every hand, and a run that ends in one may end a line.
    const font = /\s/.test(letter) ? (last?.font ?? 'Barlow') : cached(letter);
    const shown = font === null ? MISSING : letter;
    const family = font ?? 'Barlow';
    if (last?.font === family) last.text += shown;
    else runs.push({ text: shown, font: family });
  }
  return runs.length > 0 ? runs : [{ text: '', font: 'Barlow' }];
}
