'use client';

import { preload } from 'react-dom';

/** The letters of every first look: asked for with the page, not when its styles are read. */
const FIRST = [
  new URL(
    '../../../node_modules/@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff2',
    import.meta.url,
  ),
  new URL(
    '../../../node_modules/@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2',
    import.meta.url,
  ),
  new URL('../../../node_modules/@fontsource/b612/files/b612-latin-400-normal.woff2', import.meta.url),
  new URL('../../../node_modules/@fontsource/b612/files/b612-latin-700-normal.woff2', import.meta.url),
];

export function FirstLetters() {
  for (const { pathname } of FIRST) preload(pathname, { as: 'font', type: 'font/woff2', crossOrigin: 'anonymous' });
  return null;
}
