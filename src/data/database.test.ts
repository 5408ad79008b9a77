import type { Knex } from 'knex';
import { claimDeed, draftOf, putDraft, storeDeedAnswer } from './deeds';
import { migrate, readiness } from './database';
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

test('a key is claimed once; who comes later gets the first answer', async () => {
  const key = '6f9d5f7e-6d5c-4a0c-9a53-0d7f3f6f0a11';
  expect(await claimDeed(db, key, person, 'deed')).toBeNull();
  await storeDeedAnswer(db, key, { job: 7 });
  expect(await claimDeed(db, key, person, 'deed')).toEqual({ answer: { job: 7 } });
  // Another deed under the same key learns nothing of it.
  expect(await claimDeed(db, key, person, 'other')).toEqual({ answer: null });
});

test('a deed that fails leaves its key free', async () => {
  const key = '6f9d5f7e-6d5c-4a0c-9a53-0d7f3f6f0a12';
  const broken = db.transaction(async (tx) => {
    await claimDeed(tx, key, person, 'deed');
    throw new Error('the lights went out');
  });
  await expect(broken).rejects.toThrow('the lights went out');
  expect(await claimDeed(db, key, person, 'deed')).toBeNull();
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

test('the next tag is one that nobody has, also when a file has used the numbers to come', async () => {
  expect(await nextTag(db)).toBe('GK-0001');
  const row = { model_id: 1, customer_id: 1, serial: '', made_year: null, purchased_on: null, warranty_until: null };
  const more = { pets: false, hours_per_week: 1, note: '' };
  await insertMachines(db, [{ ...row, ...more, tag: 'GK-0002' }]);
  expect(await nextTag(db)).toBe('GK-0042');
  // A hand wrote one in past every door of ours.
  await db('machine').insert({ tag: 'GK-0043', model_id: 1, customer_id: 1 });
  expect(await nextTag(db)).toBe('GK-0044');
});

test('calendar dates come back as dates, not as instants of a zone', async () => {
  await db('plan').insert({ machine_id: machine, item: 'x', last_done_on: '2028-02-29', due_on: '2028-03-01' });
  expect(await db('plan').first('last_done_on', 'due_on')).toEqual({
    last_done_on: '2028-02-29',
    due_on: '2028-03-01',
  });
});
