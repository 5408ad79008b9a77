/** @jest-environment node */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fallbackFace, fonts, OWN_LETTERS } from './palette';

const kept = readFileSync('src/ui/theme/fallbackFaces.css', 'utf8');

test('what browsers keep is measured off our letters; after a change of them run what its first line says', () => {
  const made = execFileSync('node', ['--import', 'tsx', 'scripts/fallbackFaces.ts'], { encoding: 'utf8' });
  expect(kept).toBe(made);
});

test.each(Object.entries(fonts))('%s: a machine’s own letters stand in after ours, before all others', (use, stack) => {
  const names = stack.split(', ').map((n) => n.replaceAll('"', ''));
  const own = Object.keys(OWN_LETTERS).map((o) => fallbackFace(use, o));
  for (const name of own) {
    expect(kept).toContain(`font-family: '${name}';`);
    expect(names.indexOf(name)).toBeGreaterThan(0);
    expect(names.indexOf(name)).toBeLessThan(names.indexOf('Noto Sans'));
  }
});

test('they are narrowed or widened by what the letters differ, never out of all measure', () => {
  const sizes = [...kept.matchAll(/size-adjust: ([\d.]+)%/g)].map((m) => Number(m[1]));
  expect(sizes).toHaveLength(Object.keys(fonts).length * Object.keys(OWN_LETTERS).length);
  for (const size of sizes) expect(Math.abs(Math.log(size / 100))).toBeLessThan(0.3);
});
