// Prints letterFaces.css: our letters, and those that a machine has of its own, cut to the measure of ours, for the moment until
// ours have come. Without these a page on a slow line is set twice, and jumps under the finger.
import { readFileSync } from 'node:fs';
import { createFontStack } from '@capsizecss/core';
import arial from '@capsizecss/metrics/arial';
import roboto from '@capsizecss/metrics/roboto';
import { fromFile } from '@capsizecss/unpack/fs';
import { fallbackFace, families, furtherFace, OWN_LETTERS } from '../src/ui/theme/palette';

const PACKAGES = 'node_modules/@fontsource';
const FROM_STYLES = '../../../';
/** Where our letters lie; of each use the first weight is the one that is measured. */
const OURS = {
  text: {
    in: `${PACKAGES}-variable/atkinson-hyperlegible-next`,
    weights: { '200 800': (letters) => `atkinson-hyperlegible-next-${letters}-wght-normal` },
    further: ['latin-ext'],
  },
  label: {
    in: `${PACKAGES}/barlow-semi-condensed`,
    weights: { '600': (letters) => `barlow-semi-condensed-${letters}-600-normal` },
    further: ['latin-ext', 'vietnamese'],
  },
  reading: {
    in: `${PACKAGES}/b612`,
    weights: { '400': (letters) => `b612-${letters}-400-normal`, '700': (letters) => `b612-${letters}-700-normal` },
    further: [],
  },
} satisfies Record<
  keyof typeof families,
  { in: string; weights: Record<string, (letters: string) => string>; further: string[] }
>;
/** Measures of what machines have; the last as read with the same package off the file that Debian 12 carries (2.37). */
const METRICS = {
  Arial: arial,
  Roboto: roboto,
  'DejaVu Sans': { ascent: 1901, descent: -483, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1041 },
} satisfies Record<keyof typeof OWN_LETTERS, object>;
/** The letters that ours have: all others go on to the face that is fetched for them. */
const LATIN = 'U+0000-00FF, U+0131, U+0152-0153, U+2000-206F, U+20AC, U+2122, U+2212';

const written = (says: Record<string, string>) =>
  `@font-face {\n${Object.entries(says)
    .map(([name, value]) => `  ${name}: ${value};\n`)
    .join('')}}`;

const faces: string[] = [];
for (const [use, ours] of Object.entries(OURS)) {
  const ranges = JSON.parse(readFileSync(`${ours.in}/unicode.json`, 'utf8')) as Record<string, string>;
  // A family of several faces has a stand-in looked up for each that has not come, in every size, even where no letter asks
  // for it: so the family of each use has the one, and what few names need goes by a name of its own.
  for (const letters of ['latin', ...ours.further])
    for (const [weight, file] of Object.entries<(letters: string) => string>(ours.weights))
      faces.push(
        written({
          'font-family': `'${letters === 'latin' ? families[use as keyof typeof families] : furtherFace(use)}'`,
          'font-weight': weight,
          'font-display': 'swap',
          src: `url('${FROM_STYLES}${ours.in}/files/${file(letters)}.woff2')`,
          'unicode-range': ranges[letters]!.replaceAll(',', ', '),
        }),
      );
  const measured = await fromFile(
    `${ours.in}/files/${Object.values<(letters: string) => string>(ours.weights)[0]!('latin')}.woff2`,
  );
  for (const [own, names] of Object.entries(OWN_LETTERS)) {
    const theirs = { familyName: own, ...METRICS[own as keyof typeof OWN_LETTERS] };
    const made = createFontStack([measured, theirs as typeof arial], { fontFaceFormat: 'styleObject' }).fontFaces[0]!;
    const face = made['@font-face'] as unknown as Record<string, string>;
    const cut = {
      'ascent-override': face.ascentOverride,
      'descent-override': face.descentOverride,
      'line-gap-override': face.lineGapOverride,
      'size-adjust': face.sizeAdjust,
    };
    faces.push(
      written({
        'font-family': `'${fallbackFace(use, own)}'`,
        src: names.map((n) => `local('${n}')`).join(', '),
        ...(Object.fromEntries(Object.entries(cut).filter(([, value]) => value)) as Record<string, string>),
        'unicode-range': LATIN,
      }),
    );
  }
}
console.log(
  `/* Made from our letters: node --import tsx scripts/letterFaces.ts > src/ui/theme/letterFaces.css */\n${faces.join('\n')}`,
);
