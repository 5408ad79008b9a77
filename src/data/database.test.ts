import type { Knex } from 'knex';
import { claimDeed, deedDoneAt, draftOf, earlierDeed, putDraft, storeDeedAnswer } from './deeds';
import { inTransaction, migrate, prepared, preparedShapes, readiness } from './database';
import { insertMachines } from './exchange';
import { nextTag } from './machines';
import { migrationSource } from './migrations';
import { openTestDatabase } from './testDatabase.fixture';

let db: Knex;
let close: () => Promise<void>;
let person: number;
let machine: number;

beforeAll(async () => {
  ({ db, close } = await openTestDatabase());
  [{ id: person }] = await db('person')
    .insert({ sign_in: 'ada', name: 'Ada', passphrase_hash: 'x', role: 'owner' })
    .returning('id');
  const [customer] = await db('customer').insert({ name: 'Nell Thrale' }).returning('id');
  const [model] = await db('model')
    .insert({ maker: 'Ardlow', name: 'Stave', kind: 'upright-shaft-belt', mains_v: 120 })
    .returning('id');
  [{ id: machine }] = await db('machine')
    .insert({ tag: 'GK-0041', model_id: model.id, customer_id: customer.id })
    .returning('id');
});
afterAll(() => close());

/** The name of the rule that the database refused it by. */
async function refusedBy(promise: Promise<unknown>): Promise<string> {
  const error = await promise.then(
    () => null,
    (e: { constraint?: string }) => e,
  );
  expect(error).not.toBeNull();
  return error!.constraint ?? 'other';
}

const job = (more: object = {}) =>
  db('job')
    .insert({
      machine_id: machine,
      customer_id: db('customer').select('id').limit(1),
      promised_on: '2030-01-01',
      ...more,
    })
    .returning('id');

describe('the schema holds the rules, whoever writes', () => {
  test('one open job per machine, a closed one beside it', async () => {
    const [first] = await job();
    expect(await refusedBy(job())).toBe('job_one_open_per_machine');
    await db('job').where({ id: first.id }).update({ stage: 'closed', closed_at: db.fn.now() });
    const [second] = await job();
    expect(second.id).toBeGreaterThan(first.id);
    await db('job').where({ id: second.id }).update({ stage: 'closed', closed_at: db.fn.now() });
  });

  test('closed means closed', async () => {
    expect(await refusedBy(job({ stage: 'closed' }))).toBe('job_check');
    expect(await refusedBy(job({ stage: 'dreaming' }))).toBe('job_stage_check');
  });

  test('a finding is an outcome or a value with its unit, never both, never neither', async () => {
    const [{ id }] = await job();
    const finding = (row: object) => db('finding').insert({ job_id: id, check_id: 'x', ...row });
    await finding({ outcome: 'stuck' });
    await finding({ value: 1, unit: 'V' });
    for (const row of [{}, { outcome: 'stuck', value: 1, unit: 'V' }, { value: 1 }, { outcome: 'stuck', unit: 'V' }])
      expect(await refusedBy(finding(row))).toMatch(/^finding_check/);
    const wait = (row: object) =>
      db('wait').insert({ job_id: id, kind: 'drying', ends_at: new Date(Date.now() + 1e6), ...row });
    await wait({});
    expect(await refusedBy(wait({}))).toBe('wait_one_running_per_job');
    expect(await refusedBy(wait({ ended_at: db.fn.now(), ends_at: new Date(0) }))).toBe('wait_check');
    await db('job').where({ id }).update({ stage: 'closed', closed_at: db.fn.now() });
  });

  test('sign-in names are one, however they are written', async () => {
    expect(
      await refusedBy(db('person').insert({ sign_in: 'ADA', name: 'Other', passphrase_hash: 'x', role: 'owner' })),
    ).toBe('person_sign_in');
  });

  test('tags, years and hours are what they can be', async () => {
    const row = {
      tag: 'GK-0500',
      model_id: db('model').select('id').limit(1),
      customer_id: db('customer').select('id').limit(1),
    };
    expect(await refusedBy(db('machine').insert({ ...row, tag: 'gk 1' }))).toBe('machine_tag_check');
    expect(await refusedBy(db('machine').insert({ ...row, made_year: 1066 }))).toBe('machine_made_year_check');
    expect(await refusedBy(db('machine').insert({ ...row, hours_per_week: -1 }))).toBe('machine_hours_per_week_check');
  });
});

test('several servers bring the schema up to date at once', async () => {
  await Promise.all([migrate(db), migrate(db), migrate(db)]);
  const names = await migrationSource.getMigrations([]);
  expect(await db('schema_step').orderBy('id').pluck('name')).toEqual(names);
  expect(await readiness(db)).toEqual({ database: true, migrations: true });
});

const mark = (byte: number) => Buffer.alloc(16, byte);

test('a key is claimed once; who comes later gets the first answer', async () => {
  const claim = { key: '6f9d5f7e-6d5c-4a0c-9a53-0d7f3f6f0a11', personId: person, deed: 'deed', mark: mark(1) };
  expect(await claimDeed(db, claim)).toBe('new');
  await storeDeedAnswer(db, claim.key, { job: 7 });
  expect(await claimDeed(db, claim)).toEqual({ answer: { job: 7 } });
  // Another deed, body or person under the same key learns nothing of it.
  for (const other of [{ deed: 'other' }, { mark: mark(2) }, { personId: person + 1 }])
    expect(await earlierDeed(db, { ...claim, ...other })).toBe('other');
  expect(await claimDeed(db, { ...claim, deed: 'other' })).toBe('other');
  expect(await deedDoneAt(db, claim.key, person)).toBeInstanceOf(Date);
  expect(await deedDoneAt(db, claim.key, person + 1)).toBeNull();
});

test('a deed that fails leaves its key free', async () => {
  const claim = { key: '6f9d5f7e-6d5c-4a0c-9a53-0d7f3f6f0a12', personId: person, deed: 'deed', mark: mark(1) };
  const broken = db.transaction(async (tx) => {
    await claimDeed(tx, claim);
    throw new Error('the lights went out');
  });
  await expect(broken).rejects.toThrow('the lights went out');
  expect(await claimDeed(db, claim)).toBe('new');
});

describe('two at the same rows at the same time', () => {
  /** Both hold one row and then want the other’s: one of them is ended by the database, and tried anew. */
  test('a deadlock is tried again, and both are done', async () => {
    const ids = (
      await db('customer')
        .insert([{ name: 'One' }, { name: 'Two' }])
        .returning('id')
    ).map((r) => r.id);
    let tries = 0;
    const cross = (first: number, then: number) =>
      inTransaction(db, async (t) => {
        tries++;
        await t('customer').where({ id: first }).update({ phone: '2' });
        await new Promise((r) => setTimeout(r, 100));
        await t('customer').where({ id: then }).update({ phone: '1' });
      });
    await Promise.all([cross(ids[0]!, ids[1]!), cross(ids[1]!, ids[0]!)]);
    expect(tries).toBeGreaterThan(2);
  });

  test('what is refused for another reason is not tried again', async () => {
    let tries = 0;
    const wrong = inTransaction(db, async (t) => {
      tries++;
      await t('job').insert({ machine_id: machine, customer_id: 999_999, promised_on: '2030-01-01' });
    });
    await expect(wrong).rejects.toMatchObject({ code: '23503' });
    expect(tries).toBe(1);
  });
});

test('a draft is one per person and form, with any letters of the world', async () => {
  await putDraft(db, person, 'take-in', { words: 'first' });
  await putDraft(db, person, 'take-in', { words: 'رائحة · 🧹 · <script>' });
  const kept = await draftOf(db, person, 'take-in');
  expect(kept.content).toEqual({ words: 'رائحة · 🧹 · <script>' });
  // Every keeping has an instant of its own.
  expect(await putDraft(db, person, 'take-in', { words: 'third' })).not.toBe(kept.at);
  expect(await draftOf(db, person, 'other')).toEqual({ content: null, at: null });
});

test('the next tag is one that nobody has; no file and no hand can push the numbers on', async () => {
  expect(await nextTag(db)).toBe('GK-0001');
  const row = { model_id: 1, customer_id: 1, serial: '', made_year: null, purchased_on: null, warranty_until: null };
  const more = { pets: false, hours_per_week: 1, note: '' };
  const far = ['GK-0002', 'GK-99999999', 'GK-9223372036854775', 'GK-00000000000000003'];
  await insertMachines(
    db,
    far.map((tag) => ({ ...row, ...more, tag })),
  );
  expect(await nextTag(db)).toBe('GK-0003');
  // A hand wrote one in past every door of ours.
  await db('machine').insert({ tag: 'GK-0004', model_id: 1, customer_id: 1 });
  expect(await nextTag(db)).toBe('GK-0005');
});

test('a kept statement has a name that the database does not cut off, and each of its shapes one of its own', () => {
  expect(() => prepared('x'.repeat(64))).toThrow(RangeError);
  const [named, other] = [preparedShapes('one'), preparedShapes('other')];
  const names = ['a', 'b', 'a'].map((shape) => named(shape).name);
  expect(names[0]).toBe(names[2]);
  expect(new Set([...names, other('a').name]).size).toBe(3);
  expect(named('y'.repeat(200)).name!.length).toBeLessThan(64);
});

test('calendar dates come back as dates, not as instants of a zone', async () => {
  await db('plan').insert({ machine_id: machine, item: 'x', last_done_on: '2028-02-29', due_on: '2028-03-01' });
  expect(await db('plan').first('last_done_on', 'due_on')).toEqual({
    last_done_on: '2028-02-29',
    due_on: '2028-03-01',
  });
});
