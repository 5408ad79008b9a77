import type { Knex } from 'knex';
import { insertApiToken } from '@/data/tokens';
import { openTestShop } from '../testShop.fixture';
import { ProblemError } from '../problem';
import { furnishShop, PASSPHRASE } from '../scene.fixture';
import { guard, type Knock } from './guard';
import { shopSecret } from '@/environment';
import { newToken, seal, tokenHash, unseal } from './secrets';
import { signIn, signOut } from './signIn';

let db: Knex;
let close: () => Promise<void>;
let personId: number;
const from = { address: '127.0.0.1', agent: 'test' };
const knock = (more: Partial<Knock>): Knock => ({
  method: 'GET',
  path: '/',
  host: 'bench:4310',
  origin: null,
  fetchSite: null,
  cookie: undefined,
  authorization: null,
  ...more,
});

beforeAll(async () => {
  ({ db, close } = await openTestShop());
  personId = (await furnishShop(db)).person.id;
});
afterAll(() => close());

describe('the guard', () => {
  test('opens only sign-in and health without a key', async () => {
    for (const path of ['/sign-in', '/healthz', '/readyz'])
      expect(await guard(knock({ path }))).toEqual({ pass: 'open' });
    for (const path of ['/', '/machines', '/api/v1/finding', '/sign-in/x', '/nothing'])
      expect(await guard(knock({ path }))).toMatchObject({ refuse: 401 });
  });

  test('knows a session until it is signed out, and no other', async () => {
    const { token } = await signIn({ signIn: 'Tess', passphrase: PASSPHRASE }, from);
    expect(await guard(knock({ cookie: token }))).toMatchObject({ pass: 'person', person: { name: 'Tess Fennock' } });
    expect(await guard(knock({ cookie: `${token}x` }))).toMatchObject({ refuse: 401 });
    await signOut(token);
    expect(await guard(knock({ cookie: token }))).toMatchObject({ refuse: 401 });
  });

  test('ends with the session’s time and with the person’s lock', async () => {
    const { token } = await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, from);
    await db('session').update({ expires_at: new Date(Date.now() - 1000) });
    expect(await guard(knock({ cookie: token }))).toMatchObject({ refuse: 401 });
    await db('session').update({ expires_at: new Date(Date.now() + 100_000) });
    await db('person').update({ locked_at: new Date() });
    expect(await guard(knock({ cookie: token }))).toMatchObject({ refuse: 401 });
    await db('person').update({ locked_at: null });
  });

  test('takes writes from our own pages only', async () => {
    const { token } = await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, from);
    const write = (more: Partial<Knock>) =>
      guard(knock({ method: 'POST', path: '/api/v1/jobs', cookie: token, ...more }));
    expect(await write({ origin: 'http://bench:4310' })).toMatchObject({ pass: 'person' });
    expect(await write({ fetchSite: 'same-origin' })).toMatchObject({ pass: 'person' });
    for (const origin of ['http://elsewhere', 'null', 'http://bench:4311'])
      expect(await write({ origin })).toMatchObject({ refuse: 403 });
    expect(await write({ fetchSite: 'cross-site' })).toMatchObject({ refuse: 403 });
    expect(await write({})).toMatchObject({ refuse: 403 });
    expect(await guard(knock({ method: 'POST', path: '/api/sign-in', origin: 'http://elsewhere' }))).toMatchObject({
      refuse: 403,
    });
  });

  test('a bearer token opens /api/v1 only, and only until it is revoked', async () => {
    const token = newToken();
    await insertApiToken(db, personId, 'test', tokenHash(token));
    const bearer = (path: string, method = 'POST') => guard(knock({ path, method, authorization: `Bearer ${token}` }));
    expect(await bearer('/api/v1/finding')).toMatchObject({ pass: 'person' });
    expect(await bearer('/machines', 'GET')).toMatchObject({ refuse: 403 });
    await db('api_token').update({ revoked_at: new Date() });
    expect(await bearer('/api/v1/finding')).toMatchObject({ refuse: 401 });
    const stored = await db('api_token').first();
    expect(stored.token_hash.toString('utf8')).not.toContain(token);
  });
});

describe('signing in', () => {
  test('a wrong passphrase and an unknown name are refused alike, and too many are stopped', async () => {
    const refused = async (signInName: string) =>
      (await signIn({ signIn: signInName, passphrase: 'wrong' }, from).catch((e: unknown) => e)) as ProblemError;
    const [known, unknown] = [await refused('tess'), await refused('nobody')];
    expect(known).toMatchObject({ status: 400, title: unknown.title });
    for (let i = 0; i < 7; i++) await refused('tess');
    expect(await refused('tess')).toMatchObject({ status: 429 });
    // Not even the right passphrase gets in while it is stopped.
    await expect(signIn({ signIn: 'tess', passphrase: PASSPHRASE }, from)).rejects.toMatchObject({ status: 429 });
  });

  test('passphrases are stored as argon2id', async () => {
    expect((await db('person').first()).passphrase_hash).toMatch(/^\$argon2id\$/);
  });
});

describe('secrets', () => {
  test('a missing, default or short secret is refused', () => {
    for (const secret of [undefined, 'changeme', 'secret', 'x'.repeat(31)])
      expect(() => shopSecret({ GRITKEEPER_SECRET: secret })).toThrow(/GRITKEEPER_SECRET/);
    expect(shopSecret({ GRITKEEPER_SECRET: 'y'.repeat(32) })).toHaveLength(32);
  });

  test('what was sealed here opens here; a changed or foreign seal does not', () => {
    const sealed = seal({ id: 7 });
    expect(unseal(sealed)).toEqual({ id: 7 });
    expect(unseal(sealed.replace(/^./, (c) => (c === 'e' ? 'f' : 'e')))).toBeNull();
    expect(unseal(`${Buffer.from('{"id":1}').toString('base64url')}.forged`)).toBeNull();
    expect(unseal(null)).toBeNull();
  });
});
