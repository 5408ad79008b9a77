import type { LineId } from '@/core/diagnosis/knowledge';

/** Colours of the bench: enamel, paper and brass by day; the same bench under a lamp by night. */
export interface BenchColours {
  paper: string;
  sheet: string;
  well: string;
  ink: string;
  soft: string;
  rule: string;
  action: string;
  onAction: string;
  brass: string;
  brassFill: string;
  hazard: string;
  hazardWash: string;
  lines: Record<LineId, string>;
}

export const day: BenchColours = {
  paper: '#f3ede1',
  sheet: '#fbf8f1',
  well: '#e9e0cf',
  ink: '#1e1b17',
  soft: '#5a5146',
  rule: '#c9bea9',
  action: '#1d4f3b',
  onAction: '#fbf8f1',
  brass: '#7d590d',
  brassFill: '#c59a3d',
  hazard: '#962b1c',
  hazardWash: '#f6e3dc',
  lines: {
    power: '#6a3a6d',
    drive: '#7a4718',
    air: '#28547a',
    water: '#17666a',
    traction: '#50483e',
    frame: '#6a6154',
  },
};

export const night: BenchColours = {
  paper: '#181512',
  sheet: '#221e19',
  well: '#2e2821',
  ink: '#efe6d6',
  soft: '#b9ad99',
  rule: '#4d4437',
  action: '#8acbab',
  onAction: '#10241b',
  brass: '#e2b860',
  brassFill: '#b98a2f',
  hazard: '#f39a86',
  hazardWash: '#43221b',
  lines: {
    power: '#cf9fd3',
    drive: '#dda877',
    air: '#8fbbe2',
    water: '#7fcac9',
    traction: '#c9bfb0',
    frame: '#b3a894',
  },
};

type Names<T> = { [K in keyof T]: T[K] extends string ? string : Names<T[K]> };

const named = <T extends object>(colours: T, path: string): Names<T> =>
  Object.fromEntries(
    Object.entries(colours).map(([name, c]) => [
      name,
      typeof c === 'string' ? `var(--mui-palette-${path}-${name})` : named(c as object, `${path}-${name}`),
    ]),
  ) as Names<T>;

/** The colours of the bench by their names in the style sheet, for drawings: whatever lamp is on, or is put on later. */
export const benchInks: Names<BenchColours> = named(day, 'bench');

/** Letters that machines have of their own, by the name of their measures, and the names under which they lie there. */
export const OWN_LETTERS = {
  Arial: ['Arial', 'ArialMT', 'Liberation Sans', 'Arimo'],
  Roboto: ['Roboto', 'Roboto Regular', 'Roboto-Regular'],
  'DejaVu Sans': ['DejaVu Sans', 'DejaVuSans'],
} as const;

/** The name of a machine's own letters that are cut to the measure of ours for a use (letterFaces.css). */
export const fallbackFace = (use: string, own: string) => `${use} in ${own}`;

/** The name of those of our letters for a use that few names need (letterFaces.css). */
export const furtherFace = (use: string) => `further ${use}`;

const until = (use: string) =>
  Object.keys(OWN_LETTERS)
    .map((own) => `"${fallbackFace(use, own)}"`)
    .join(', ');

/** The sizes of letters on a screen; those of a reading within a line are of the line that it stands in. */
export const SIZES = {
  small: '0.84rem',
  text: '0.92rem',
  label: '1.02rem',
  head: '1.2rem',
  title: '1.6rem',
  reading: '0.88em',
} as const;

/** Our letters by what they are for. */
export const families = {
  text: 'Atkinson Hyperlegible Next Variable',
  label: 'Barlow Semi Condensed',
  reading: 'B612',
} as const;

export const fonts = {
  text: `"${families.text}", ${until('text')}, "${furtherFace('text')}", "Noto Sans", sans-serif`,
  label: `"${families.label}", ${until('label')}, "${furtherFace('label')}", "${families.text}", "Noto Sans", sans-serif`,
  reading: `"${families.reading}", ${until('reading')}, "Noto Sans", ui-monospace, monospace`,
} as const;
