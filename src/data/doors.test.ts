import { createHash, randomBytes } from 'node:crypto';
import type { Knex } from 'knex';
import { doorEvents, insertDoorEvent } from './doorEvents';
import {
  confirmSecondFactor,
  countTries,
  dropSecondFactor,
  forgetBrowsers,
  forgiveTries,
  insertBrowser,
  insertTry,
  knowsBrowser,
  putRecoveryCodes,
  putSecondFactor,
  recoveryCodesLeft,
  secondFactorOf,
  takeRecoveryCode,
  takeStep,
} from './doorKeys';
import {
  deleteSession,
  endOtherSessions,
  endSessions,
  insertPerson,
  insertSession,
  lockOwners,
  lockSession,
  people,
  personBySession,
  personBySignIn,
  sessionsOf,
  sessionStands,
  touchSession,
  updatePerson,
  workers,
  type PersonRow,
} from './people';
import { openTestDatabase } from './testDatabase.fixture';
import { insertApiToken, personByApiToken, revokeTokens, tokensOf, touchToken } from './tokens';

let db: Knex;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = await openTestDatabase());
});
afterAll(() => close());

let made = 0;
const hash = (text: string) => createHash('sha256').update(text).digest();
const someHash = () => hash(randomBytes(8).toString('hex'));

/** A person that no other test knows. */
async function person(more: Partial<PersonRow> = {}): Promise<number> {
  const n = ++made;
  return insertPerson(db, {
    sign_in: `person-${n}`,
    name: `Person ${n}`,
    passphrase_hash: 'x',
    role: 'technician',
    ...more,
  });
}

describe('people', () => {
  test('a sign-in name is found however it is written, and a name that is nobody’s is nobody', async () => {
    const id = await person({ sign_in: 'Tess.Fennock' });
    expect((await personBySignIn(db, 'tess.FENNOCK'))?.id).toBe(id);
    expect(await personBySignIn(db, 'tess.fennoc')).toBeUndefined();
    expect(await personBySignIn(db, 'tess%')).toBeUndefined();
  });

  test('whoever is locked is given no work, and every change counts the version on', async () => {
    const id = await person({ name: 'Zz Locked' });
    expect((await workers(db)).map((w) => w.id)).toContain(id);
    await updatePerson(db, id, { locked_at: new Date() });
    await updatePerson(db, id, { name: 'Zz Locked Still' });
    expect((await workers(db)).map((w) => w.id)).not.toContain(id);
    const row = (await people(db)).find((p) => p.id === id)!;
    expect([row.name, row.version, row.locked_at instanceof Date]).toEqual(['Zz Locked Still', 3, true]);
  });

  test('two who would lock the last owner wait for each other, and the second sees what the first did', async () => {
    await db('person').where({ role: 'owner' }).update({ role: 'technician' });
    const [one, two] = [await person({ role: 'owner' }), await person({ role: 'owner' })];
    /** Locks an owner unless it is the last. */
    const lock = (id: number) =>
      db.transaction(async (t) => {
        const owners = await lockOwners(t);
        if (owners.length < 2) return 'is the last';
        await t.raw('select pg_sleep(0.15)');
        await updatePerson(t, id, { locked_at: new Date() });
        return 'locked';
      });
    expect((await Promise.all([lock(one), lock(two)])).sort()).toEqual(['is the last', 'locked']);
    expect(await lockOwners(db)).toHaveLength(1);
  });
});

describe('sessions', () => {
  test('one opens the shop until it ends, is ended, locked, or its person is locked', async () => {
    const id = await person();
    const [open, old] = [someHash(), someHash()];
    await insertSession(db, id, open, 'a browser', 1);
    await insertSession(db, id, old, 'a browser', -1);
    const found = (await personBySession(db, open))!;
    expect(found).toMatchObject({ person: { id, role: 'technician' }, locked: false, unseenForAMinute: false });
    expect(await personBySession(db, old)).toBeUndefined();
    expect((await sessionsOf(db, id)).map((s) => s.id)).toEqual([found.session]);
    expect(await sessionStands(db, found.session)).toBe(true);

    await lockSession(db, id, found.session, true);
    const [{ locked_at: first }] = await db('session').where({ id: found.session }).select('locked_at');
    await lockSession(db, id, found.session, true);
    const [{ locked_at: second }] = await db('session').where({ id: found.session }).select('locked_at');
    // Locked by two tabs it is locked since the first.
    expect(second).toEqual(first);
    expect([await sessionStands(db, found.session), (await personBySession(db, open))!.locked]).toEqual([false, true]);
    await lockSession(db, id + 1, found.session, false);
    expect(await sessionStands(db, found.session)).toBe(false);
    await lockSession(db, id, found.session, false);
    expect(await sessionStands(db, found.session)).toBe(true);

    await updatePerson(db, id, { locked_at: new Date() });
    expect([await sessionStands(db, found.session), await personBySession(db, open)]).toEqual([false, undefined]);
    await updatePerson(db, id, { locked_at: null });
    await deleteSession(db, open);
    expect(await sessionStands(db, found.session)).toBe(false);
  });

  test('when it was seen is told to the minute, and told again after it was used', async () => {
    const id = await person();
    const token = someHash();
    await insertSession(db, id, token, 'a browser', 1);
    await db('session')
      .where({ token_hash: token })
      .update({ last_seen_at: db.raw("now() - interval '61 seconds'") });
    expect((await personBySession(db, token))!.unseenForAMinute).toBe(true);
    await touchSession(db, token);
    expect((await personBySession(db, token))!.unseenForAMinute).toBe(false);
    const row = (await people(db)).find((p) => p.id === id)!;
    expect([row.sessions, row.last_seen_at instanceof Date]).toEqual([1, true]);
  });

  test('a person ends one, all but this one, or all; nobody ends another’s', async () => {
    const [id, other] = [await person(), await person()];
    const tokens = [someHash(), someHash(), someHash()];
    for (const t of tokens) await insertSession(db, id, t, '', 1);
    const ids = (await sessionsOf(db, id)).map((s) => s.id);
    expect(await endSessions(db, other, ids[0])).toBe(0);
    expect(await endSessions(db, id, ids[0])).toBe(1);
    expect(await endOtherSessions(db, id, ids[1]!)).toBe(1);
    expect((await sessionsOf(db, id)).map((s) => s.id)).toEqual([ids[1]]);
    expect(await endSessions(db, id)).toBe(1);
  });
});

describe('tokens', () => {
  test('one is good until it ends or is revoked, and does what it was made for', async () => {
    const id = await person();
    const [read, short, gone] = [someHash(), someHash(), someHash()];
    const readId = await insertApiToken(db, id, 'reads', read, { scope: 'read' });
    await insertApiToken(db, id, 'a day', short, { days: 1 });
    await insertApiToken(db, id, 'ended', gone, { days: -1 });
    expect(await personByApiToken(db, read)).toMatchObject({
      person: { id },
      scope: 'read',
      id: readId,
      unusedForAMinute: true,
    });
    expect((await personByApiToken(db, short))?.scope).toBe('write');
    expect(await personByApiToken(db, gone)).toBeUndefined();
    expect((await tokensOf(db, id)).map((t) => t.label)).toEqual(['a day', 'reads']);
    await touchToken(db, readId);
    expect((await personByApiToken(db, read))!.unusedForAMinute).toBe(false);
    expect(await revokeTokens(db, await person(), readId)).toBe(0);
    expect(await revokeTokens(db, id, readId)).toBe(1);
    expect(await revokeTokens(db, id, readId)).toBe(0);
    expect(await personByApiToken(db, read)).toBeUndefined();
  });

  test('with its person locked it opens nothing', async () => {
    const id = await person();
    const token = someHash();
    await insertApiToken(db, id, 'mine', token);
    await updatePerson(db, id, { locked_at: new Date() });
    expect(await personByApiToken(db, token)).toBeUndefined();
  });
});

describe('wrong tries', () => {
  const hand = (signIn: string, address: string, browser: Buffer | null = null) => ({ signIn, address, browser });

  test('many at once are all counted: by name and address together, by each alone, by a known browser apart', async () => {
    const mine = hand('Count.Me', '10.9.9.1');
    await Promise.all(Array.from({ length: 12 }, () => insertTry(db, mine)));
    await insertTry(db, hand('count.me', '10.9.9.2'));
    await insertTry(db, hand('another', '10.9.9.1'));
    const browser = someHash();
    await insertTry(db, hand('count.me', '10.9.9.1', browser));
    expect(await countTries(db, mine, 15)).toEqual({ browser: 0, pair: 12, name: 13, address: 13 });
    expect(await countTries(db, { ...mine, browser }, 15)).toMatchObject({ browser: 1 });
    expect(await countTries(db, hand('nobody', '10.9.9.9'), 15)).toEqual({ browser: 0, pair: 0, name: 0, address: 0 });
  });

  test('those of before the last minutes count no more', async () => {
    const mine = hand('old.try', '10.9.8.1');
    const id = await insertTry(db, mine);
    await db('failed_sign_in')
      .where({ id })
      .update({ at: db.raw("now() - interval '16 minutes'") });
    expect((await countTries(db, mine, 15)).pair).toBe(0);
    expect((await countTries(db, mine, 20)).pair).toBe(1);
  });

  test('a right one forgives those of the same hand, and of nobody else', async () => {
    const [mine, theirs] = [hand('forgive.me', '10.9.7.1'), hand('forgive.me', '10.9.7.2')];
    await insertTry(db, mine);
    await insertTry(db, theirs);
    await forgiveTries(db, await insertTry(db, mine), mine);
    expect((await countTries(db, mine, 15)).pair).toBe(0);
    expect((await countTries(db, theirs, 15)).pair).toBe(1);
  });

  test('a browser is known to the person who signed in with it, and forgotten when they say so', async () => {
    const [id, other] = [await person(), await person()];
    const token = someHash();
    await insertBrowser(db, id, token);
    await insertBrowser(db, id, token);
    expect([await knowsBrowser(db, id, token), await knowsBrowser(db, other, token)]).toEqual([true, false]);
    await forgetBrowsers(db, id);
    expect(await knowsBrowser(db, id, token)).toBe(false);
  });
});

describe('a second factor', () => {
  test('a code’s step is taken once, whoever else shows it at the same moment, and none before it after', async () => {
    const id = await person();
    await putSecondFactor(db, id, Buffer.from('sealed'));
    expect((await secondFactorOf(db, id))!.confirmed_at).toBeNull();
    const taken = await Promise.all(Array.from({ length: 8 }, () => takeStep(db, id, 100)));
    expect(taken.filter(Boolean)).toHaveLength(1);
    expect([await takeStep(db, id, 99), await takeStep(db, id, 101)]).toEqual([false, true]);
    await confirmSecondFactor(db, id);
    expect((await secondFactorOf(db, id))!.confirmed_at).toBeInstanceOf(Date);
    // Begun anew it is to be confirmed anew, and its steps begin again.
    await putSecondFactor(db, id, Buffer.from('another'));
    expect(await secondFactorOf(db, id)).toMatchObject({ confirmed_at: null, last_step: 0 });
  });

  test('a recovery code opens once; new ones take the place of all old ones; dropped they are gone', async () => {
    const id = await person();
    await putSecondFactor(db, id, Buffer.from('sealed'));
    await putRecoveryCodes(db, id, ['one', 'two'].map(hash));
    const used = await Promise.all(Array.from({ length: 6 }, () => takeRecoveryCode(db, id, hash('one'))));
    expect(used.filter(Boolean)).toHaveLength(1);
    expect(await recoveryCodesLeft(db, id)).toBe(1);
    expect(await takeRecoveryCode(db, await person(), hash('two'))).toBe(false);
    await putRecoveryCodes(db, id, ['three'].map(hash));
    expect([await takeRecoveryCode(db, id, hash('two')), await recoveryCodesLeft(db, id)]).toEqual([false, 1]);
    expect([await dropSecondFactor(db, id), await dropSecondFactor(db, id)]).toEqual([true, false]);
    expect(await recoveryCodesLeft(db, id)).toBe(0);
  });
});

test('what happened at the door is paged from the newest, of all or of one person, and no text is too long for it', async () => {
  const id = await person({ name: 'Door Person' });
  await insertDoorEvent(db, { what: 'signed-in', personId: id, address: '10.0.0.1' });
  await insertDoorEvent(db, {
    what: 'refused',
    signIn: 'x'.repeat(500),
    address: 'y'.repeat(500),
    detail: 'z'.repeat(500),
  });
  await insertDoorEvent(db, { what: 'signed-out', personId: id });
  const all = await doorEvents(db, 2);
  expect(all.map((e) => e.what)).toEqual(['signed-out', 'refused']);
  expect(all[1]).toMatchObject({ person: null, sign_in: 'x'.repeat(60), detail: 'z'.repeat(200) });
  expect((await doorEvents(db, 9, { before: all[1]!.id })).map((e) => [e.what, e.person])).toEqual([
    ['signed-in', 'Door Person'],
  ]);
  expect((await doorEvents(db, 9, { personId: id })).map((e) => e.what)).toEqual(['signed-out', 'signed-in']);
});
