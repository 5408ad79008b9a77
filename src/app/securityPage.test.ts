import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '../..');
const page = readFileSync(join(root, 'docs/security.md'), 'utf8');

test('every file that the security page names is there', () => {
  const named = [...page.matchAll(/`((?:src|e2e|faults|scripts)\/[\w./-]+)`/g)].map((m) => m[1]!);
  expect(new Set(named).size).toBeGreaterThan(25);
  expect([...new Set(named)].filter((file) => !existsSync(join(root, file)))).toEqual([]);
});

test('what is called met names a test or the place where it is kept, and what is not is told', () => {
  const rows = page
    .slice(page.indexOf('## OWASP'))
    .split('\n')
    .filter((line) => /^\| \d/.test(line))
    .map((line) => line.split('|').map((cell) => cell.trim()));
  expect(rows.length).toBeGreaterThan(40);
  for (const [, section, state, how] of rows) {
    expect(['met', 'part', 'not met', 'none']).toContain(state);
    expect([section, how!.length > 8]).toEqual([section, true]);
  }
  const met = rows.filter((r) => r[2] === 'met' && /`[\w/]+\.(test|spec)\.tsx?`|`faults\//.test(r[3]!));
  expect(met.length).toBeGreaterThan(25);
});
