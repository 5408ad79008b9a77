import { randomUUID } from 'node:crypto';
import { TOTP } from 'otpauth';
import { guard, type Knock } from '../access/guard';
import type { Person } from '../access/person';
import { signIn } from '../access/signIn';
import { readDoorBook } from '../doorBook/doorBook';
import { resetPassphrase } from '../people/people';
import { PASSPHRASE, refusal, testShop } from '../scene.fixture';
import {
  beginFactor,
  changeOwnPassphrase,
  confirmFactor,
  dropFactor,
  endOwnSession,
  lockScreen,
  makeToken,
  me,
  revokeToken,
  unlockScreen,
} from './me';

const shop = testShop();
const from = { address: '10.0.0.7', agent: 'a test' };
const key = () => randomUUID();
const cookie = (token: string, more: Partial<Knock> = {}): Knock => ({
  method: 'GET',
  path: '/',
  host: 'bench:4310',
  origin: 'http://bench:4310',
  fetchSite: null,
  cookie: token,
  authorization: null,
  ...more,
});
const bearer = (token: string, path: string, method = 'GET') =>
  guard(cookie('', { path, method, authorization: `Bearer ${token}` }));

/** Comes in by the door: the person as the guard seals them, and the session's token. */
async function comeIn(more: { code?: string; passphrase?: string } = {}): Promise<{ person: Person; token: string }> {
  const { token } = await signIn({ signIn: 'tess', passphrase: PASSPHRASE, ...more }, from);
  const verdict = await guard(cookie(token));
  if (!('person' in verdict)) throw new Error('not let in');
  return { person: verdict.person, token };
}

test('a second factor: begun, confirmed by its first code, asked for, each code once; a recovery code opens once', async () => {
  const { person } = await comeIn();
  const begun = await beginFactor(person, { key: key(), now: PASSPHRASE });
  expect(begun.square).toContain('<svg');
  // Begun and not confirmed: nothing is asked for yet.
  await comeIn();
  const totp = new TOTP({ secret: begun.letters });
  const wrong = String((Number(totp.generate()) + 1) % 1e6).padStart(6, '0');
  expect((await refusal(confirmFactor(person, { key: key(), code: wrong }))).fields[0]!.field).toBe('code');
  const confirm = { key: key(), code: totp.generate() };
  const { codes } = await confirmFactor(person, confirm);
  expect(await confirmFactor(person, confirm)).toEqual({ codes });

  const asked = await refusal(comeIn());
  expect(asked.fields.map((f) => f.field)).toEqual(['code']);
  // The code that confirmed it is used up; the next one is good, and then no more.
  expect((await refusal(comeIn({ code: confirm.code }))).fields[0]!.field).toBe('code');
  const next = totp.generate({ timestamp: Date.now() + 30_000 });
  await comeIn({ code: next });
  expect((await refusal(comeIn({ code: next }))).fields[0]!.field).toBe('code');
  await comeIn({ code: codes[0]!.toUpperCase() });
  expect((await refusal(comeIn({ code: codes[0]! }))).fields[0]!.field).toBe('code');
  expect((await me(person)).factor).toMatchObject({ codesLeft: 9 });
  // What is stored opens nothing by itself.
  const stored = await shop.db('second_factor').first();
  expect(Buffer.from(stored.sealed).toString('latin1')).not.toContain(begun.letters);

  expect((await refusal(dropFactor(person, { key: key(), now: 'wrong' }))).fields[0]!.field).toBe('now');
  expect(await dropFactor(person, { key: key(), now: PASSPHRASE })).toEqual({ dropped: true });
  await comeIn();
});

test('who guesses under a name, from the same address or another, does not lock its owner out of their own browser', async () => {
  const known = await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, from);
  const guess = (address: string) =>
    refusal(signIn({ signIn: 'tess', passphrase: 'guess' }, { address, agent: 'other' })).then((r) => r.status);
  for (let i = 0; i < 8; i++) expect(await guess(from.address)).toBe(400);
  expect(await guess(from.address)).toBe(429);
  // The owner's own browser, behind that very address, is let in; a new browser from elsewhere too.
  await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, { ...from, browser: known.browser });
  await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, { address: '10.0.0.8', agent: 'new' });
  // A browser that was known to somebody else is a stranger here.
  expect(
    await refusal(signIn({ signIn: 'nobody', passphrase: 'x' }, { ...from, browser: known.browser })),
  ).toMatchObject({
    status: 400,
  });
  await shop.db('failed_sign_in').delete();
});

test('guesses that come all at once are all counted', async () => {
  const many = await Promise.all(
    Array.from({ length: 25 }, (_, i) =>
      refusal(signIn({ signIn: 'tess', passphrase: `guess ${i}` }, { address: '10.0.0.9', agent: 'x' })),
    ),
  );
  const statuses = many.map((r) => r.status);
  expect(statuses.filter((s) => s === 400).length).toBeLessThanOrEqual(8);
  expect(statuses.every((s) => s === 400 || s === 429 || s === 503)).toBe(true);
  await shop.db('failed_sign_in').delete();
});

test('tokens: named, with scope and end, revoked, ended by a reset; shown once, kept in no clear', async () => {
  const { person } = await comeIn();
  const press = { key: key(), label: 'Scales', scope: 'read' as const, days: 30 };
  const made = await makeToken(person, press);
  // A lost answer loses no token.
  expect(await makeToken(person, press)).toEqual(made);
  expect(JSON.stringify(await shop.db('done_deed').select())).not.toContain(made.token);
  expect(await bearer(made.token, '/api/v1/bench')).toMatchObject({ pass: 'person' });
  expect(await bearer(made.token, '/api/v1/finding', 'POST')).toMatchObject({ pass: 'person' });
  for (const path of ['/api/v1/jobs', '/api/v1/gauges/usual', '/api/v1/jobs/1/write-note'])
    expect(await bearer(made.token, path, 'POST')).toMatchObject({ refuse: 403 });
  expect((await me(person)).tokens).toMatchObject([{ label: 'Scales', scope: 'read' }]);
  // A token has no session: it makes no tokens and changes no passphrase.
  const { session: _, ...byToken } = person;
  for (const deed of [
    makeToken(byToken, { ...press, key: key() }),
    revokeToken(byToken, { key: key(), token: made.id }),
    changeOwnPassphrase(byToken, { key: key(), now: PASSPHRASE, passphrase: 'a new one of twelve' }),
    endOwnSession(byToken, { key: key() }),
    beginFactor(byToken, { key: key(), now: PASSPHRASE }),
    confirmFactor(byToken, { key: key(), code: '123456' }),
    dropFactor(byToken, { key: key(), now: PASSPHRASE }),
    lockScreen(byToken, { key: key(), locked: true }),
    unlockScreen(byToken, { key: key(), passphrase: PASSPHRASE }),
  ])
    expect((await refusal(deed)).status).toBe(403);

  await shop
    .db('api_token')
    .where({ id: made.id })
    .update({ expires_at: new Date(Date.now() - 1000) });
  expect(await bearer(made.token, '/api/v1/bench')).toMatchObject({ refuse: 401 });
  const other = await makeToken(person, { ...press, key: key(), scope: 'write', days: null });
  expect(await bearer(other.token, '/api/v1/jobs', 'POST')).toMatchObject({ pass: 'person' });
  await revokeToken(person, { key: key(), token: other.id });
  expect(await bearer(other.token, '/api/v1/jobs', 'POST')).toMatchObject({ refuse: 401 });

  const third = await makeToken(person, { ...press, key: key() });
  const owner = { id: person.id, name: 'The owner', role: 'owner' as const };
  const { version } = await shop.db('person').where({ id: person.id }).first('version');
  await resetPassphrase(owner, person.id, { key: key(), version, passphrase: PASSPHRASE });
  expect(await bearer(third.token, '/api/v1/bench')).toMatchObject({ refuse: 401 });
});

test('one’s own passphrase: asked for, changed, and every other session ends', async () => {
  const [here, there] = [await comeIn(), await comeIn()];
  const wrong = { key: key(), now: 'wrong', passphrase: 'another of twelve' };
  expect((await refusal(changeOwnPassphrase(here.person, wrong))).fields[0]!.field).toBe('now');
  await changeOwnPassphrase(here.person, { key: key(), now: PASSPHRASE, passphrase: 'another of twelve' });
  expect(await guard(cookie(here.token))).toMatchObject({ pass: 'person' });
  expect(await guard(cookie(there.token))).toMatchObject({ refuse: 401 });
  await comeIn({ passphrase: 'another of twelve' });
  expect((await me(here.person)).sessions.filter((s) => s.isThis)).toHaveLength(1);
  const { ended } = await endOwnSession(here.person, { key: key() });
  expect(ended).toBe(1);
  await changeOwnPassphrase(here.person, { key: key(), now: 'another of twelve', passphrase: PASSPHRASE });
});

test('a locked screen opens by its own person’s passphrase; until then every other way in is shut', async () => {
  const { person, token } = await comeIn();
  await lockScreen(person, { key: key(), locked: true });
  for (const path of ['/', '/api/v1/bench', '/machines', '/me'])
    expect(await guard(cookie(token, { path }))).toMatchObject({ refuse: 423 });
  expect(await guard(cookie(token, { path: '/api/v1/jobs', method: 'POST' }))).toMatchObject({ refuse: 423 });
  for (const path of ['/locked', '/api/v1/me/unlock', '/api/sign-out'])
    expect(await guard(cookie(token, { path }))).toMatchObject({ pass: 'person' });
  expect((await refusal(unlockScreen(person, { key: key(), passphrase: 'wrong' }))).fields[0]!.field).toBe(
    'passphrase',
  );
  await unlockScreen(person, { key: key(), passphrase: PASSPHRASE });
  expect(await guard(cookie(token))).toMatchObject({ pass: 'person' });
});

test('the book of the door tells who came in and who was refused, to the owner only, and no secret', async () => {
  expect((await refusal(readDoorBook(shop.person))).status).toBe(403);
  await refusal(signIn({ signIn: 'ghost', passphrase: 'a secret word' }, from));
  const { rows } = await readDoorBook({ ...shop.person, role: 'owner' });
  const told = rows.map((r) => r.what);
  for (const what of ['Signed in', 'Was refused', 'Set a second factor', 'Made a token', 'Changed the own passphrase'])
    expect(told).toContain(what);
  expect(rows.find((r) => r.who === 'ghost')).toMatchObject({ isKnown: false, address: from.address });
  expect(JSON.stringify(rows)).not.toMatch(/secret word|bench of one/);
});
