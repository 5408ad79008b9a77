import { execFileSync } from 'node:child_process';
import fc from 'fast-check';
import { config } from '../proxy';
import { isService } from './isService';

/** Which of these the pages' own door looks at, as the framework reads its matcher. */
function seenByPages(urls: readonly string[]): boolean[] {
  const script = `
    globalThis.AsyncLocalStorage = require('node:async_hooks').AsyncLocalStorage;
    const { unstable_doesMiddlewareMatch: matches } = require('next/experimental/testing/server');
    const { matcher } = JSON.parse(process.env.CONFIG);
    const urls = JSON.parse(require('node:fs').readFileSync(0, 'utf8'));
    process.stdout.write(JSON.stringify(urls.map((url) => matches({ config: { matcher }, nextConfig: {}, url }))));`;
  const CONFIG = JSON.stringify(config);
  return JSON.parse(
    execFileSync(process.execPath, ['-e', script], {
      input: JSON.stringify(urls),
      env: { ...process.env, CONFIG },
    }).toString(),
  ) as boolean[];
}

/** The bundler's own files, as the framework writes their address out. */
const isStatic = (url: string) => new URL(url, 'http://here').pathname.startsWith('/_next/static/');

const piece = fc.constantFrom(
  'api',
  'API',
  '%61pi',
  '_next',
  'data',
  'static',
  'v1',
  'jobs',
  '..',
  '.',
  '',
  '%2e%2e',
  '%2f',
  'x.json',
  'a.rsc',
);
const address = fc.array(piece, { minLength: 1, maxLength: 6 }).map((parts) => `/${parts.join('/')}`);

test('whatever the pages’ door does not look at is asked for at this one, however it is written', () => {
  const urls = fc.sample(address, { numRuns: 3000, seed: 11 });
  const seen = seenByPages(urls);
  expect(seen.some(Boolean) && seen.some((s) => !s)).toBe(true);
  const unguarded = urls.filter((url, i) => !seen[i] && !isService(url) && !isStatic(url));
  expect(unguarded).toEqual([]);
});

test.each([
  ['/api/v1/bench', true],
  ['/api/v1/bench?x=/y', true],
  ['//api/v1/bench', true],
  ['/%61pi/v1/bench', true],
  ['/machines/../api/v1/bench', true],
  ['/_next/data/b/api/v1/bench.json', true],
  ['/machines', false],
  ['/machines?next=/api/v1', false],
  ['/o/api/x', false],
  ['/_next/static/chunks/a.js', false],
  ['/', false],
])('%s: %s', (url, is) => expect(isService(url)).toBe(is));
