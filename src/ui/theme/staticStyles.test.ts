/** @jest-environment node */
import { readFileSync } from 'node:fs';
import { staticStyles } from './staticStyles';
import { day, night } from './palette';

const kept = readFileSync('src/ui/theme/theme.css', 'utf8');

test('what browsers keep is what the theme says; after a change of it: node --import tsx scripts/themeCss.ts', () => {
  expect(kept).toBe(staticStyles());
});

test('both benches are in it, colour by colour', () => {
  const [light, dark] = ['light', 'dark'].map(
    (b) => new RegExp(`\\[data-bench="${b}"\\]\\{([^}]*)\\}`).exec(kept)![1]!,
  );
  for (const [sheet, colours] of [
    [light!, day],
    [dark!, night],
  ] as const)
    for (const [name, colour] of Object.entries(colours))
      if (typeof colour === 'string') expect(sheet).toContain(`--mui-palette-bench-${name}:${colour};`);
});
