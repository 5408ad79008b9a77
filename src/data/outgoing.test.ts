import { createHash } from 'node:crypto';
import type { Knex } from 'knex';
import {
  countWrongLinks,
  deleteOldLinkTries,
  insertLink,
  insertWrongLink,
  openLink,
  revokeLinks,
  sawLink,
} from './links';
import {
  insertMessage,
  insertStandInMail,
  mailSecret,
  messageFailed,
  messages,
  messageSent,
  putMailSecret,
  retryMessage,
  standInMail,
  takeMessages,
} from './mail';
import {
  attachPhotographs,
  deleteLoosePhotographs,
  dropModelPhotographs,
  insertPhotograph,
  largePhotographs,
  photographBytes,
  photographIds,
  photographsOfMachine,
  putModelPhotograph,
  removePhotograph,
  seenPhotographs,
  smallPhotographOfJob,
} from './photographs';
import { openTestDatabase } from './testDatabase.fixture';

let db: Knex;
let close: () => Promise<void>;
const at = { person: 0, other: 0, model: 0, machine: 0, job: 0, otherJob: 0 };

beforeAll(async () => {
  ({ db, close } = await openTestDatabase());
  const id = async (table: string, row: object) => (await db(table).insert(row).returning('id'))[0].id as number;
  const person = (name: string) => id('person', { sign_in: name, name, passphrase_hash: 'x', role: 'owner' });
  at.person = await person('ada');
  at.other = await person('wren');
  const customer = await id('customer', { name: 'Nell Thrale' });
  at.model = await id('model', { maker: 'Ardlow', name: 'Stave', kind: 'upright-shaft-belt', mains_v: 120 });
  const machine = (tag: string) => id('machine', { tag, model_id: at.model, customer_id: customer });
  at.machine = await machine('GK-0001');
  const job = (of: number) => id('job', { machine_id: of, customer_id: customer, promised_on: '2030-01-01' });
  at.job = await job(at.machine);
  at.otherJob = await job(await machine('GK-0002'));
});
afterAll(() => close());

const hash = (text: string) => createHash('sha256').update(text).digest();

describe('messages', () => {
  const write = (subject: string) =>
    insertMessage(db, { job_id: null, address: 'a@b.example', subject, body: 'x', person_id: at.person });
  beforeEach(() => db('message').delete());

  test('whichever server asks, each takes others; what one has taken comes up again when nobody says what became of it', async () => {
    for (let i = 0; i < 6; i++) await write(String(i));
    const taken = await Promise.all([takeMessages(db, 4, 5), takeMessages(db, 4, 5)]);
    expect(
      taken
        .flat()
        .map((m) => m.subject)
        .sort(),
    ).toEqual(['0', '1', '2', '3', '4', '5']);
    expect(await takeMessages(db, 4, 5)).toEqual([]);
    await db('message').update({ next_try_at: db.raw("now() - interval '1 second'") });
    expect((await takeMessages(db, 9, 5)).every((m) => m.tries === 2)).toBe(true);
  });

  test('one that is held by another server is passed over, not waited for', async () => {
    await write('held');
    await write('free');
    await db.transaction(async (t) => {
      await t('message').where({ subject: 'held' }).forUpdate().select('id');
      expect((await takeMessages(db, 9, 5)).map((m) => m.subject)).toEqual(['free']);
    });
  });

  test('sent is sent; what fails is tried later, or given up with its reason, and then only when somebody says so', async () => {
    await write('one');
    await write('two');
    const [one, two] = (await takeMessages(db, 2, 0)).sort((a, b) => a.id - b.id);
    await messageSent(db, one!.id);
    await messageFailed(db, two!.id, 'e'.repeat(900), 3600);
    expect(await takeMessages(db, 9, 5)).toEqual([]);
    await messageFailed(db, two!.id, 'no such box', null);
    expect(await messages(db, 9)).toMatchObject([
      { id: two!.id, state: 'failed', last_error: 'no such box' },
      { id: one!.id, state: 'sent', last_error: '' },
    ]);
    expect([await retryMessage(db, one!.id), await retryMessage(db, two!.id)]).toEqual([false, true]);
    expect((await takeMessages(db, 9, 5)).map((m) => [m.id, m.tries])).toEqual([[two!.id, 1]]);
    expect((await messages(db, 9, two!.id)).map((m) => m.id)).toEqual([one!.id]);
  });

  test('the server’s passphrase is one, changed in its place and dropped', async () => {
    expect(await mailSecret(db)).toBeNull();
    await putMailSecret(db, Buffer.from('one'));
    await putMailSecret(db, Buffer.from('two'));
    expect((await mailSecret(db))!.toString()).toBe('two');
    await putMailSecret(db, null);
    expect(await mailSecret(db)).toBeNull();
  });

  test('what the simulated server took is shown from the newest', async () => {
    await insertStandInMail(db, ['a@b.example'], 'first');
    await insertStandInMail(db, ['c@d.example', 'e@f.example'], 'second');
    expect((await standInMail(db, 1))[0]).toMatchObject({ recipients: ['c@d.example', 'e@f.example'], raw: 'second' });
  });
});

describe('links to the owner', () => {
  test('one opens its job until it runs out or is revoked', async () => {
    await insertLink(db, { job_id: at.job, token_hash: hash('good'), days: 14, person_id: at.person });
    await insertLink(db, { job_id: at.job, token_hash: hash('old'), days: -1, person_id: at.person });
    const link = (await openLink(db, hash('good')))!;
    expect(link).toMatchObject({ job_id: at.job, person_id: at.person });
    expect([await openLink(db, hash('old')), await openLink(db, hash('guessed'))]).toEqual([undefined, undefined]);
    await sawLink(db, link.id);
    expect((await db('customer_link').where({ id: link.id }).first('seen_at')).seen_at).toBeInstanceOf(Date);
    expect(await revokeLinks(db, at.otherJob)).toBe(0);
    expect(await revokeLinks(db, at.job)).toBe(2);
    expect(await openLink(db, hash('good'))).toBeUndefined();
  });

  test('wrong tokens are counted by address and time, and forgotten after a day', async () => {
    await Promise.all(Array.from({ length: 5 }, () => insertWrongLink(db, '10.1.1.1')));
    await insertWrongLink(db, '10.1.1.2');
    expect([await countWrongLinks(db, '10.1.1.1', 10), await countWrongLinks(db, '10.1.1.3', 10)]).toEqual([5, 0]);
    await db('link_try')
      .where({ address: '10.1.1.1' })
      .update({ at: db.raw("now() - interval '25 hours'") });
    expect(await countWrongLinks(db, '10.1.1.1', 10)).toBe(0);
    await deleteOldLinkTries(db);
    expect(await db('link_try').pluck('address')).toEqual(['10.1.1.2']);
  });
});

describe('photographs', () => {
  let n = 0;
  const take = (person = at.person) => {
    const bytes = Buffer.from(`picture ${++n}`);
    return insertPhotograph(db, {
      person_id: person,
      width: 4,
      height: 3,
      sha256: hash(String(n)),
      bytes,
      small: Buffer.from(`small ${n}`),
    });
  };
  const give = (ids: number[], person = at.person, more: object = {}) =>
    attachPhotographs(db, ids, person, { machine_id: at.machine, job_id: at.job, ...more });

  test('a loose one is seen and given only by who sent it; given once it is everybody’s, and given to nothing else', async () => {
    const id = await take();
    expect(await photographBytes(db, id, false, at.other)).toBeUndefined();
    expect((await photographBytes(db, id, true, at.person))!.bytes.toString()).toBe(`small ${n}`);
    expect(await give([id], at.other)).toBe(0);
    expect(await give([id], at.person, { caption: 'Worn', shows: 'step:belt-off' })).toBe(1);
    expect((await photographBytes(db, id, false, at.other))!.bytes.toString()).toBe(`picture ${n}`);
    expect(await give([id])).toBe(0);
    expect(await give([])).toBe(0);
    const [newest] = await photographsOfMachine(db, at.machine, 1);
    expect(newest).toMatchObject({ id, caption: 'Worn', shows: 'step:belt-off', job_id: at.job, person: 'ada' });
    expect((await smallPhotographOfJob(db, id, at.job))!.toString()).toBe(`small ${n}`);
    expect(await smallPhotographOfJob(db, id, at.otherJob)).toBeUndefined();
  });

  test('taken out it is seen nowhere, once, and only by its own job', async () => {
    const [kept, gone] = [await take(), await take()];
    await give([kept, gone]);
    expect(await removePhotograph(db, gone, at.otherJob)).toBe(false);
    expect(await removePhotograph(db, gone, at.job)).toBe(true);
    expect(await removePhotograph(db, gone, at.job)).toBe(false);
    expect(await photographBytes(db, gone, false, at.person)).toBeUndefined();
    expect((await largePhotographs(db, [gone, kept])).map((p) => p.id)).toEqual([kept]);
    expect(await seenPhotographs(db, [gone, kept])).toEqual([kept]);
    expect(await seenPhotographs(db, [])).toEqual([]);
    expect(await photographIds(db, 'GK-0001')).toEqual(expect.arrayContaining([kept]));
    expect(await photographIds(db, 'GK-0001')).not.toContain(gone);
    expect(await photographIds(db, 'GK-0002')).toEqual([]);
  });

  test('a model keeps one of a job at a step, once, whoever presses twice; not one of another job, nor one that was taken out', async () => {
    const [id, gone] = [await take(), await take()];
    await give([id, gone]);
    await removePhotograph(db, gone, at.job);
    const step = { model_id: at.model, step: 'belt-off', person_id: at.person };
    const kept = () => db('model_photograph').where({ model_id: at.model }).pluck('photograph_id');
    expect(await putModelPhotograph(db, step, id, at.otherJob)).toBe(false);
    expect(await putModelPhotograph(db, step, gone, at.job)).toBe(false);
    expect(await Promise.all([1, 2, 3].map(() => putModelPhotograph(db, step, id, at.job)))).toEqual([
      true,
      true,
      true,
    ]);
    expect(await kept()).toEqual([id]);
    await dropModelPhotographs(db, at.model, 'another-step');
    expect(await kept()).toEqual([id]);
    await dropModelPhotographs(db, at.model, 'belt-off');
    expect(await kept()).toEqual([]);
    expect(await seenPhotographs(db, [id])).toEqual([id]);
  });

  test('what nobody took in with a machine is thrown away after two days; what belongs to one stays', async () => {
    const [loose, young, given] = [await take(), await take(), await take()];
    await give([given]);
    await db('photograph')
      .whereIn('id', [loose, given])
      .update({ at: db.raw("now() - interval '49 hours'") });
    expect(await deleteLoosePhotographs(db)).toBe(1);
    expect(await db('photograph').whereIn('id', [loose, young, given]).orderBy('id').pluck('id')).toEqual([
      young,
      given,
    ]);
  });
});
