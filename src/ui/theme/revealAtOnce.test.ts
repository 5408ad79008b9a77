/** @jest-environment jsdom */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { revealAtOnce } from './revealAtOnce';

const COMPILED = join(process.cwd(), 'node_modules/next/dist/compiled/react-dom/cjs');

test('the framework still holds back by that name: else this script is of no use any more', () => {
  const server = readdirSync(COMPILED).filter((f) => /^react-dom-server\.node\.production/.test(f));
  expect(server).not.toEqual([]);
  for (const file of server) expect(readFileSync(join(COMPILED, file), 'utf8')).toMatch(/"number"\s*!==\s*typeof \$RT/);
});

test('the time of the first paint is not kept, and nobody who sets it is stopped', () => {
  window.eval(revealAtOnce);
  window.eval('"use strict"; $RT = 5;');
  expect(window.eval('typeof $RT')).toBe('undefined');
  expect(() => window.eval(revealAtOnce)).not.toThrow();
});
