import { bodyLimitBytes } from '../shop/doors/bodyLimits';
import { refusedAtDoor, type Caller } from './atTheDoor';

const caller = (more: Partial<Caller>): Caller => ({
  method: 'POST',
  url: '/api/v1/jobs/1/record-findings',
  contentLength: '200',
  transferEncoding: undefined,
  carriesKey: true,
  ...more,
});
const status = (more: Partial<Caller>) => refusedAtDoor(caller(more))?.status ?? null;

test.each([
  ['a deed', {}, null],
  ['a page', { method: 'GET', url: '/machines?q=a%20b&sort=due', contentLength: undefined }, null],
  ['letters of other alphabets', { method: 'GET', url: '/machines?q=%C5%81ukasz' }, null],
  ['TRACE', { method: 'TRACE' }, 405],
  ['PATCH', { method: 'PATCH' }, 405],
  ['no length', { contentLength: undefined, transferEncoding: 'chunked' }, 411],
  ['a length that is none', { contentLength: '1e9' }, 413],
  ['a length below nothing', { contentLength: '-1' }, 400],
  ['words for a length', { contentLength: 'many' }, 400],
  ['the character zero', { url: '/api/v1/machines/%00' }, 400],
  ['the character zero in a query', { url: '/machines?q=%00', method: 'GET' }, 400],
  ['a broken escape', { url: '/machines/%E0%A4%A', method: 'GET' }, 400],
  ['a broken escape in a query', { url: '/machines?q=%zz', method: 'GET' }, 400],
  ['a tab in the path', { url: '/%09/elsewhere.test', method: 'GET' }, 400],
  ['a backslash in the path', { url: '/%5celsewhere.test', method: 'GET' }, 400],
  ['an address of another server', { url: 'http://elsewhere.test/', method: 'GET' }, 400],
  ['an endless address', { url: `/machines?q=${'a'.repeat(9000)}`, method: 'GET' }, 414],
])('%s', (_what, more, expected) => {
  expect(status(more)).toBe(expected);
});

test('a body is measured against its path before it is read, and a stranger’s against the smallest', () => {
  for (const url of [
    '/api/sign-in',
    '/api/v1/jobs',
    '/api/v1/jobs/7/write-note',
    '/api/v1/photographs',
    '/api/v1/import/customers.csv',
    '/api/v1/gauges/pack',
    '/api/v1/drafts/take-in',
    '/',
  ]) {
    const most = bodyLimitBytes(url);
    expect(status({ url, contentLength: String(most) })).toBe(null);
    expect(status({ url, contentLength: String(most + 1) })).toBe(413);
    expect(status({ url, contentLength: String(4096), carriesKey: false })).toBe(null);
    expect(status({ url, contentLength: String(4097), carriesKey: false })).toBe(413);
  }
  expect([bodyLimitBytes('/api/sign-in'), bodyLimitBytes('/api/v1/jobs/7/write-note')]).toEqual([4096, 65_536]);
});
