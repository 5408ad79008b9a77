import fc from 'fast-check';
import { inTypefaces } from './typefaces';

test.each([
  ['Łukasz Dvořák', ['Barlow', 'BarlowExt']],
  ['10 Ω, Ελένη', ['Barlow', 'Greek']],
  ['Ирина', ['Cyrillic']],
  ['Ngô Bảo', ['Barlow', 'BarlowViet']],
])('%s is set, letter by letter, in what has its letters', (text, fonts) => {
  const runs = inTypefaces(text);
  expect(runs.map((r) => r.text).join('')).toBe(text);
  expect([...new Set(runs.map((r) => r.font))].sort()).toEqual(fonts);
});

test('letters in two pieces are one; signs that steer and cannot be seen are gone; what none has is a question mark', () => {
  const said = (text: string) =>
    inTypefaces(text)
      .map((r) => r.text)
      .join('');
  expect(said('Ze\u0301ro')).toBe('Zéro');
  expect(said('abc\u202Edef\u2066\u200B\u0000\u0007')).toBe('abcdef');
  expect(said('一 🧹')).toBe('? ?');
  expect(said('one\ntwo\tthree')).toBe('one\ntwo three');
});

test('no word is longer than a line, however many letters somebody typed without a space', () => {
  const runs = inTypefaces('x'.repeat(20_000));
  const words = runs
    .map((r) => r.text)
    .join('')
    .split(/\s/);
  expect(Math.max(...words.map((w) => w.length))).toBeLessThanOrEqual(40);
  expect(words.join('').length).toBe(20_000);
});

test('any text is set, and comes out as long as it went in or shorter by what cannot be seen', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
      const runs = inTypefaces(text);
      expect(runs.length).toBeGreaterThan(0);
      for (const { text: piece } of runs) expect(piece.isWellFormed()).toBe(true);
    }),
    { numRuns: 500 },
  );
});
