import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { threadPool } from './threadPool';

const room = mkdtempSync(join(tmpdir(), 'threads-'));
const file = join(room, 'tasks.cjs');
writeFileSync(
  file,
  `module.exports = {
  add: ([a, b]) => a + b,
  sleep: (ms) => new Promise((done) => setTimeout(done, ms, 'slept')),
  hoard: () => { const all = []; for (;;) all.push(new Array(1e6).fill(0.5)); },
};`,
);
afterAll(() => rmSync(room, { recursive: true }));

const one = { least: 1, most: 1, nicer: 5 };

test('it is shut until it is opened, does what it is asked, and is one by its name', async () => {
  const pool = threadPool('sums', 4, 'Full.');
  expect(pool.isOpen()).toBe(false);
  pool.open(file, one);
  const again = threadPool('sums', 4, 'Full.');
  expect(again.isOpen()).toBe(true);
  expect(await again.run('add', [2, 3])).toBe(5);
  await again.close();
  expect(pool.isOpen()).toBe(false);
});

test('who comes when the queue is full is told so, and those before are served', async () => {
  const pool = threadPool('full', 2, 'More than can be just now.');
  pool.open(file, one);
  const before = [pool.run('sleep', 200), pool.run('sleep', 1), pool.run('sleep', 1)];
  // One runs, two wait.
  await expect(pool.run('add', [1, 1])).rejects.toMatchObject({ status: 503, title: 'More than can be just now.' });
  expect(await Promise.all(before)).toEqual(['slept', 'slept', 'slept']);
  expect(await pool.run('add', [1, 1])).toBe(2);
  await pool.close();
});

test('what is not wanted any more ends, and what wants too much memory takes only its own thread with it', async () => {
  const pool = threadPool('ends', 4, 'Full.');
  pool.open(file, { ...one, mostMegabytes: 40 });
  const stop = new AbortController();
  const long = pool.run('sleep', 60_000, stop.signal);
  stop.abort();
  await expect(long).rejects.toMatchObject({ name: 'AbortError' });
  await expect(pool.run('hoard', null)).rejects.toThrow(/memory/i);
  expect(await pool.run('add', [20, 1])).toBe(21);
  await pool.close();
});
