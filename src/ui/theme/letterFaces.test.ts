/** @jest-environment node */
import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { fallbackFace, families, fonts, furtherFace, OWN_LETTERS } from './palette';

const kept = readFileSync('src/ui/theme/letterFaces.css', 'utf8');

test('what browsers keep is measured off our letters; after a change of them run what its first line says', () => {
  const made = execFileSync('node', ['--import', 'tsx', 'scripts/letterFaces.ts'], { encoding: 'utf8' });
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

const faces = [...kept.matchAll(/@font-face \{\n([^}]*)\}/g)].map(([, body]) =>
  Object.fromEntries(
    body!
      .trim()
      .split(/;\n/)
      .map((line) =>
        line
          .trim()
          .replace(/;$/, '')
          .split(/: (.*)/s),
      ),
  ),
) as Record<string, string>[];
const ofFamily = (name: string) => faces.filter((f) => f['font-family'] === `'${name}'`);

// Of a family with several faces for one weight a browser looks up a stand-in for each that has not come, in every size.
test.each(Object.entries(families))('%s: one face for each weight, asked for with the page', (use, family) => {
  const own = ofFamily(family);
  expect(own.length).toBeGreaterThan(0);
  expect(new Set(own.map((f) => f['font-weight'])).size).toBe(own.length);
  const asked = readFileSync('src/ui/theme/FirstLetters.tsx', 'utf8');
  for (const face of own) expect(asked).toContain(/url\('([^']+)'\)/.exec(face.src!)![1]);
  expect(fonts[use as keyof typeof fonts]).toMatch(new RegExp(`^"${family}", `));
});

test('every face that is named lies where it is said, and every name of a further face is asked after the stand-ins', () => {
  for (const face of faces)
    for (const [, path] of face.src!.matchAll(/url\('([^']+)'\)/g))
      expect(existsSync(`src/ui/theme/${path}`)).toBe(true);
  for (const use of ['text', 'label'] as const) {
    expect(ofFamily(furtherFace(use)).length).toBeGreaterThan(0);
    expect(fonts[use].indexOf(`"${furtherFace(use)}"`)).toBeGreaterThan(
      fonts[use].indexOf(fallbackFace(use, 'DejaVu Sans')),
    );
  }
});
