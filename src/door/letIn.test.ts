import type { IncomingMessage, ServerResponse } from 'node:http';
import { insertApiToken } from '@/data/tokens';
import { isAdmitted, OPEN_HEADER } from '@/shop/access/admit';
import { PERSON_HEADER, SESSION_COOKIE } from '@/shop/access/guard';
import { newToken, tokenHash, unseal } from '@/shop/access/secrets';
import { signedInShop, whileDatabaseIsAway } from '@/shop/scene.fixture';
import { forgetClaims, letIn } from './letIn';

const shop = signedInShop();

/** Knocks at the service; what stands behind it would see these headers of the request. */
async function knock(path: string, more: { method?: string; headers?: Record<string, string> } = {}) {
  const request = {
    method: more.method ?? 'GET',
    headers: { host: 'bench:4310', ...more.headers },
  } as unknown as IncomingMessage;
  const answered = new Map<string, string>();
  const response = {
    setHeader: (name: string, value: string) => answered.set(name, value),
  } as unknown as ServerResponse;
  forgetClaims(request);
  const refusal = await letIn(request, response, path);
  return { refusal, answered, seen: request.headers as Record<string, string | undefined> };
}
const signedIn = () => ({ cookie: `gk_browser=abc; ${SESSION_COOKIE}=${shop.session}` });

test('whoever is signed in is told of by us, sealed; what a client says of itself is thrown away', async () => {
  const forged = { [PERSON_HEADER]: 'eyJpZCI6MX0.AAAA', [OPEN_HEADER]: 'eyJvcGVuIjp0cnVlfQ.AAAA' };
  const stranger = await knock('/api/v1/bench', { headers: forged });
  expect(stranger.refusal).toEqual({ status: 401, title: 'Sign in first.' });
  expect(stranger.seen[PERSON_HEADER]).toBeUndefined();
  expect(isAdmitted(new Headers(forged))).toBe(false);
  const { refusal, seen } = await knock('/api/v1/bench', { headers: { ...forged, ...signedIn() } });
  expect(refusal).toBeNull();
  expect(unseal(seen[PERSON_HEADER])).toMatchObject({ id: shop.person.id, name: 'Tess Fennock' });
  expect(seen[OPEN_HEADER]).toBeUndefined();
});

test('what is open to all is let in as nobody, and as nobody only', async () => {
  const { refusal, seen } = await knock('/api/sign-in', { method: 'POST', headers: { origin: 'http://bench:4310' } });
  expect(refusal).toBeNull();
  expect(seen[PERSON_HEADER]).toBeUndefined();
  expect(isAdmitted(new Headers({ [OPEN_HEADER]: seen[OPEN_HEADER]! }))).toBe(true);
});

test('a bearer token opens the service; one that is not known does not', async () => {
  const token = newToken();
  await insertApiToken(shop.db, shop.person.id, 'test', tokenHash(token));
  const by = (bearer: string) => knock('/api/v1/bench', { headers: { authorization: `Bearer ${bearer}` } });
  expect(unseal((await by(token)).seen[PERSON_HEADER])).toMatchObject({ id: shop.person.id });
  expect((await by(newToken())).refusal).toMatchObject({ status: 401 });
});

test('a write from another site is refused, whoever is signed in', async () => {
  const write = (origin: string) =>
    knock('/api/v1/jobs/1/move-job', { method: 'POST', headers: { ...signedIn(), origin } });
  expect((await write('http://elsewhere')).refusal).toMatchObject({ status: 403 });
  expect((await write('http://bench:4310')).refusal).toBeNull();
});

test('every answer carries the policy and an id, refused or not; over TLS the browser is told to keep to it', async () => {
  const [refused, tls] = [
    await knock('/api/v1/bench'),
    await knock('/api/v1/bench', { headers: { ...signedIn(), 'x-forwarded-proto': 'https' } }),
  ];
  for (const { answered, seen } of [refused, tls]) {
    expect(answered.get('content-security-policy')).toContain("object-src 'none'");
    expect(answered.get('x-content-type-options')).toBe('nosniff');
    expect(answered.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    expect(answered.get('x-request-id')).toBe(seen['x-request-id']);
  }
  expect(tls.answered.get('strict-transport-security')).toMatch(/max-age=\d{8}/);
  expect(refused.answered.has('strict-transport-security')).toBe(false);
});

test('while the database is away it is said so', async () => {
  const said = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  try {
    await whileDatabaseIsAway(async () => {
      const { refusal } = await knock('/api/v1/bench', { headers: signedIn() });
      expect(refusal).toMatchObject({ status: 503, title: expect.stringContaining('does not answer') });
      expect(said.mock.calls.join()).toContain('guard failed');
    });
  } finally {
    said.mockRestore();
  }
});
