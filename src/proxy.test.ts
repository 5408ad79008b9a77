import { NextRequest } from 'next/server';
import { insertApiToken } from '@/data/tokens';
import { PERSON_HEADER, SESSION_COOKIE } from './shop/access/guard';
import { newToken, tokenHash, unseal } from './shop/access/secrets';
import { signedInShop, whileDatabaseIsAway } from './shop/scene.fixture';
import { proxy } from './proxy';

const shop = signedInShop();

interface Knock {
  method?: string;
  headers?: Record<string, string>;
  cookie?: string;
}
function knock(path: string, { method = 'GET', headers = {}, cookie }: Knock = {}): Promise<Response> {
  return proxy(
    new NextRequest(`http://bench:4310${path}`, {
      method,
      headers: { host: 'bench:4310', ...headers, ...(cookie ? { cookie: `${SESSION_COOKIE}=${cookie}` } : {}) },
    }),
  );
}
/** What stands behind the door is given these headers of the request. */
const passedOn = (response: Response, name: string) => response.headers.get(`x-middleware-request-${name}`);

describe('every answer', () => {
  test.each([
    ['a page that is let through', '/', true],
    ['a page that leads to the door', '/machines', false],
    ['what is open to all', '/healthz', false],
  ])('%s carries the policy and a request id', async (_what, path, isIn) => {
    const response = await knock(path, isIn ? { cookie: shop.session } : {});
    const policy = response.headers.get('content-security-policy')!;
    for (const rule of ["default-src 'self'", "object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'"])
      expect(policy).toContain(rule);
    expect(policy).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
    expect(policy.split(';').find((r) => r.includes('script-src'))).not.toContain('unsafe');
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    expect(response.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
  });

  test('the nonce is another one each time', async () => {
    const nonce = async () =>
      /'nonce-([^']+)'/.exec((await knock('/sign-in')).headers.get('content-security-policy')!)![1];
    expect(await nonce()).not.toBe(await nonce());
  });
});

describe('who stands behind the door', () => {
  test('is told by the guard, sealed; what a client says of itself is thrown away', async () => {
    const forged = { [PERSON_HEADER]: 'eyJpZCI6MX0.AAAA' };
    const open = await knock('/sign-in', { headers: forged });
    expect(passedOn(open, PERSON_HEADER)).toBeNull();
    const known = await knock('/', { headers: forged, cookie: shop.session });
    expect(unseal(passedOn(known, PERSON_HEADER))).toMatchObject({ id: shop.person.id, name: 'Tess Fennock' });
  });

  test('a bearer token opens no page', async () => {
    const token = newToken();
    await insertApiToken(shop.db, shop.person.id, 'test', tokenHash(token));
    const headers = { authorization: `Bearer ${token}` };
    expect((await knock('/', { headers })).headers.get('location')).toContain('/sign-in');
  });
});

test('where the line is enciphered the browser is told to keep to it, and nowhere else', async () => {
  const tls = await knock('/sign-in', { headers: { 'x-forwarded-proto': 'https' } });
  expect(tls.headers.get('strict-transport-security')).toMatch(/max-age=\d{8}/);
  expect((await knock('/sign-in')).headers.get('strict-transport-security')).toBeNull();
});

describe('who has no key', () => {
  test('is led to the door, and back to where they wanted to go', async () => {
    const response = await knock('/machines?q=gull');
    expect(response.status).toBe(307);
    expect(response.headers.get('location')).toBe('http://bench:4310/sign-in?next=%2Fmachines%3Fq%3Dgull');
    expect((await knock('/')).headers.get('location')).toBe('http://bench:4310/sign-in');
  });

  test('is led to the address that the browser used, behind another host too', async () => {
    const headers = { 'x-forwarded-host': 'shop.example', 'x-forwarded-proto': 'https' };
    expect((await knock('/wall', { headers })).headers.get('location')).toBe(
      'https://shop.example/sign-in?next=%2Fwall',
    );
  });

  test('a write from another site is refused, whoever is signed in', async () => {
    const write = { method: 'POST', cookie: shop.session, headers: { origin: 'http://elsewhere' } };
    const refused = await knock('/machines', write);
    expect(refused.status).toBe(403);
    expect(refused.headers.get('content-type')).toBe('application/problem+json');
    const own = { ...write, headers: { origin: 'http://bench:4310' } };
    expect(passedOn(await knock('/machines', own), PERSON_HEADER)).not.toBeNull();
  });
});

test('while the database is away a page says so and comes back by itself', async () => {
  await whileDatabaseIsAway(async () => {
    const page = await knock('/', { cookie: shop.session });
    expect(page.status).toBe(503);
    expect(page.headers.get('retry-after')).toBe('5');
    const html = await page.text();
    expect(html).toContain('http-equiv="refresh"');
    // Its own style carries the nonce of its own policy.
    const nonce = /'nonce-([^']+)'/.exec(page.headers.get('content-security-policy')!)![1];
    expect(html).toContain(`<style nonce="${nonce}">`);
  });
});
