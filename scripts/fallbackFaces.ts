// Prints fallbackFaces.css: the letters that a machine has of its own, cut to the measure of ours, for the moment until ours have
// come. Without them a page on a slow line is set twice, and jumps under the finger.
import { createFontStack } from '@capsizecss/core';
import arial from '@capsizecss/metrics/arial';
import roboto from '@capsizecss/metrics/roboto';
import { fromFile } from '@capsizecss/unpack/fs';
import { fallbackFace, OWN_LETTERS } from '../src/ui/theme/palette';

const PACKAGES = 'node_modules/@fontsource';
const OURS = {
  text: `${PACKAGES}-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2`,
  label: `${PACKAGES}/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff2`,
  reading: `${PACKAGES}/b612/files/b612-latin-400-normal.woff2`,
} as const;
/** Measures of what machines have; the last as read with the same package off the file that Debian 12 carries (2.37). */
const METRICS = {
  Arial: arial,
  Roboto: roboto,
  'DejaVu Sans': { ascent: 1901, descent: -483, lineGap: 0, unitsPerEm: 2048, xWidthAvg: 1041 },
} satisfies Record<keyof typeof OWN_LETTERS, object>;
/** The letters that ours have: all others go on to the face that is fetched for them. */
const LATIN = 'U+0000-00FF, U+0131, U+0152-0153, U+2000-206F, U+20AC, U+2122, U+2212';

const faces: string[] = [];
for (const [use, file] of Object.entries(OURS)) {
  const ours = await fromFile(file);
  for (const [own, names] of Object.entries(OWN_LETTERS)) {
    const theirs = { familyName: own, ...METRICS[own as keyof typeof OWN_LETTERS] };
    const made = createFontStack([ours, theirs as typeof arial], { fontFaceFormat: 'styleObject' }).fontFaces[0]!;
    const face = made['@font-face'] as unknown as Record<string, string>;
    faces.push(
      [
        '@font-face {',
        `  font-family: '${fallbackFace(use, own)}';`,
        `  src: ${names.map((n) => `local('${n}')`).join(', ')};`,
        ...(['ascentOverride', 'descentOverride', 'lineGapOverride', 'sizeAdjust'] as const)
          .filter((k) => face[k])
          .map((k) => `  ${k.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`)}: ${face[k]};`),
        `  unicode-range: ${LATIN};`,
        '}',
      ].join('\n'),
    );
  }
}
console.log(
  `/* Made from our letters: node --import tsx scripts/fallbackFaces.ts > src/ui/theme/fallbackFaces.css */\n${faces.join('\n')}`,
);
