import fc from 'fast-check';
import { ownPath } from './ownPath';

test.each([
  ['/machines?q=library', '/machines?q=library'],
  ['/jobs/7/find#log', '/jobs/7/find#log'],
  ['/machines?q=%C5%81', '/machines?q=%C5%81'],
  ['//elsewhere.test', '/'],
  ['/\\elsewhere.test', '/'],
  ['\\\\elsewhere.test', '/'],
  ['/\t/elsewhere.test', '/'],
  ['/\n/elsewhere.test', '/'],
  ['/.//elsewhere.test', '/'],
  ['/x/..//elsewhere.test', '/'],
  ['http://elsewhere.test', '/'],
  ['javascript:alert(1)', '/'],
  ['machines', '/'],
  [undefined, '/'],
  [['/machines', '/x'], '/'],
])('%j leads to %j', (asked, path) => {
  expect(ownPath(asked)).toBe(path);
});

test('whatever is asked for, a browser stays on our site', () => {
  const odd = fc.array(
    fc.constantFrom(
      '/',
      '\\',
      '.',
      '..',
      '\t',
      '\n',
      '\r',
      '@',
      ':',
      '%09',
      '%0a',
      '%5c',
      '%2f',
      'a',
      'elsewhere.test',
      '?',
      '#',
      '//',
    ),
    { maxLength: 12 },
  );
  fc.assert(
    fc.property(odd, (parts) => {
      const led = new URL(ownPath(`/${parts.join('')}`), 'http://bench:4310');
      expect(led.origin).toBe('http://bench:4310');
    }),
    { numRuns: 3000 },
  );
});
