import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { SIZES } from './palette';

const UI = join(__dirname, '..');
const sheets = readdirSync(UI, { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.module.css'));

/** The drawings of gauges are in their own measure, not in that of the page. */
const DRAWN = 'gauges/gauge.module.css';

test('letters stand in a few sizes: each more is looked up, measured and cut anew by the browser, and rests no eye', () => {
  expect(sheets.length).toBeGreaterThan(20);
  const found = sheets
    .filter((f) => f !== DRAWN)
    .flatMap((f) =>
      [...readFileSync(join(UI, f), 'utf8').matchAll(/font-size: ([^;]+);/g)].map((m) => `${f}: ${m[1]}`),
    );
  expect(found.length).toBeGreaterThan(30);
  const allowed: readonly string[] = Object.values(SIZES);
  expect(found.filter((line) => !allowed.includes(line.split(': ')[1]!))).toEqual([]);
});
