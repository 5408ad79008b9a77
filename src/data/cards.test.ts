import type { Knex } from 'knex';
import { auditOf, setActor } from './audit';
import {
  countCustomers,
  holdKeptCustomer,
  insertCustomer,
  lockCustomers,
  searchCustomers,
  updateCustomer,
} from './customers';
import {
  alikeMachines,
  countMachines,
  insertMachine,
  lockKeptMachine,
  machineByTag,
  mergeModelRows,
  modelById,
  modelNamed,
  models,
  nextTag,
  putModel,
  refreshSearch,
  searchMachines,
  tagNow,
  updateMachine,
  type ModelRow,
} from './machines';
import { openTestDatabase } from './testDatabase.fixture';

let db: Knex;
let close: () => Promise<void>;
beforeAll(async () => {
  ({ db, close } = await openTestDatabase());
});
afterAll(() => close());

const customer = (name: string, more: object = {}) =>
  insertCustomer(db, { kind: 'household', name, phone: '', email: '', address: '', ...more });
const MODEL: Omit<ModelRow, 'id' | 'version'> = {
  maker: 'Ardlow',
  name: 'Stave',
  kind: 'upright-shaft-belt',
  mains_v: 120,
  belts: [],
  bearings: [],
  filters: [],
  dropped_stations: [],
  added_stations: [],
  plates: {},
} as unknown as Omit<ModelRow, 'id' | 'version'>;
let named = 0;
const model = async (more: Partial<ModelRow> = {}) =>
  (await putModel(db, null, { ...MODEL, name: `Stave ${++named}`, ...more }))!;
async function machine(of: { customer: number; model: number; serial?: string }): Promise<string> {
  const tag = await nextTag(db);
  const id = await insertMachine(db, {
    tag,
    model_id: of.model,
    customer_id: of.customer,
    serial: of.serial ?? '',
  } as Parameters<typeof insertMachine>[1]);
  await refreshSearch(db, id);
  return tag;
}
const idOf = async (tag: string) => (await machineByTag(db, tag))!.id;
const names = (rows: { name: string }[]) => rows.map((r) => r.name);

describe('customers are found', () => {
  let ids: Record<string, number>;
  beforeAll(async () => {
    ids = {
      nell: await customer('Nell Thrale', { phone: '555 0142', address: '7 Sluice Lane' }),
      neil: await customer('Neil Tharp'),
      bakery: await customer('Staithe bakery', { kind: 'business' }),
      row: await customer('Lantern Row bakery', { kind: 'business' }),
    };
  });

  test.each([
    ['by the beginnings of their words', 'nel thr', 'Nell Thrale'],
    ['by the words in any order', 'bakery staithe', 'Staithe bakery'],
    ['by a telephone number', '5550142', 'Nell Thrale'],
    ['by where they live', 'sluice', 'Nell Thrale'],
    ['mistyped, a letter left out of each word', 'stathe bakry', 'Staithe bakery'],
  ])('%s', async (_how, words, name) => {
    expect(names(await searchCustomers(db, words, 5))[0]).toBe(name);
  });

  test('what is meant as it is typed shuts out what only looks like it; asked not to guess, nothing is guessed', async () => {
    expect(names(await searchCustomers(db, 'thrale', 9))).toEqual(['Nell Thrale']);
    expect(await searchCustomers(db, 'stathe bakry', 9, 0, { forgiving: false })).toEqual([]);
    expect(await countCustomers(db, 'bakery', 9)).toBe(2);
    expect(await countCustomers(db, '', 3)).toBe(3);
    expect(await countCustomers(db, 'xyzzyx', 9)).toBe(0);
  });

  test('a new name is found at once and the old one no more; a merged card is found by nobody', async () => {
    await updateCustomer(db, ids.neil!, { name: 'Osric Venn' });
    expect(names(await searchCustomers(db, 'osric', 9))).toEqual(['Osric Venn']);
    expect(await searchCustomers(db, 'tharp', 9, 0, { forgiving: false })).toEqual([]);
    await updateCustomer(db, ids.neil!, { merged_into: ids.nell! });
    expect(await searchCustomers(db, 'osric', 9, 0, { forgiving: false })).toEqual([]);
    expect((await holdKeptCustomer(db, ids.neil!))!.id).toBe(ids.nell);
    expect((await holdKeptCustomer(db, ids.nell!))!.id).toBe(ids.nell);
    expect(await holdKeptCustomer(db, 999_999)).toBeUndefined();
  });

  test('in an order of one’s own, paged, none twice and none left out', async () => {
    for (let i = 0; i < 7; i++) await customer(`Paged ${i % 3}`);
    const how = { forgiving: false, order: { by: 'name', desc: true } } as const;
    const all = await searchCustomers(db, 'paged', 99, 0, how);
    const paged = [];
    for (let from = 0; from < 9; from += 2) paged.push(...(await searchCustomers(db, 'paged', 2, from, how)));
    expect(paged.map((c) => c.id)).toEqual(all.map((c) => c.id));
    expect(names(all)).toEqual([...names(all)].sort().reverse());
    expect(all).toHaveLength(7);
  });

  test('two who hold the same two, whichever they name first, do not wait for each other for ever', async () => {
    const [one, two] = [ids.bakery!, ids.row!];
    const hold = (order: number[]) =>
      db.transaction(async (t) => {
        const rows = await lockCustomers(t, order);
        await t.raw('select pg_sleep(0.05)');
        return rows.map((r) => r.id);
      });
    const held = await Promise.all([hold([one, two]), hold([two, one]), hold([one, two]), hold([two, one])]);
    for (const h of held) expect(h).toEqual([one, two].sort((a, b) => a - b));
  });
});

describe('machines', () => {
  test('tags are each given once, whoever asks at the same moment, and the one given is free', async () => {
    const taken = await Promise.all(Array.from({ length: 20 }, () => nextTag(db)));
    expect(new Set(taken).size).toBe(20);
    for (const tag of taken) expect(await machineByTag(db, tag)).toBeUndefined();
  });

  test('a tag that somebody wrote by hand is passed over', async () => {
    const of = { customer: await customer('By Hand'), model: await model() };
    const last = await machine(of);
    const number = Number(/\d+$/.exec(last)![0]);
    const byHand = last.replace(/\d+$/, (d) => String(number + 1).padStart(d.length, '0'));
    await db('machine').insert({ tag: byHand, model_id: of.model, customer_id: of.customer });
    expect(await nextTag(db)).not.toBe(byHand);
  });

  test('one is found by tag and serial exactly first, by owner and model, and mistyped; a merged one leads to the kept', async () => {
    const of = {
      customer: await customer('Corrin Quillane'),
      model: await model({ maker: 'Mirefield', name: 'Bellows' }),
    };
    const [first, second] = [await machine({ ...of, serial: 'ZX-4410' }), await machine(of)];
    const found = async (words: string) => (await searchMachines(db, words, 5, 0)).map((m) => m.tag);
    expect((await found(first.toLowerCase()))[0]).toBe(first);
    expect(await found('zx-4410')).toEqual([first]);
    expect(new Set(await found('quillane bellows'))).toEqual(new Set([first, second]));
    expect(new Set(await found('quilane bellows'))).toEqual(new Set([first, second]));
    expect(await countMachines(db, 'quillane', 9)).toBe(2);

    expect(await alikeMachines(db, (await machineByTag(db, second))!)).toMatchObject([{ tag: first }]);
    await updateMachine(db, await idOf(second), { merged_into: await idOf(first) });
    expect([await tagNow(db, second.toLowerCase()), await tagNow(db, first), await tagNow(db, 'GK-99999')]).toEqual([
      first,
      first,
      undefined,
    ]);
    expect((await db.transaction(async (t) => lockKeptMachine(t, await idOf(second))))!.tag).toBe(first);
    expect(await countMachines(db, 'quillane', 9)).toBe(1);
  });
});

describe('models', () => {
  test('another of the same maker and name is not made; the same is changed by its version', async () => {
    const id = await model({ name: 'Twice' });
    expect(await putModel(db, null, { ...MODEL, name: 'Twice' })).toBeNull();
    expect(await putModel(db, await model(), { ...MODEL, name: 'Twice' })).toBeNull();
    expect(await putModel(db, id, { ...MODEL, name: 'Twice', mains_v: 230 })).toBe(id);
    expect(await modelById(db, id)).toMatchObject({ mains_v: 230, version: 2 });
    expect((await db.transaction((t) => modelNamed(t, 'ARDLOW', 'twice')))!.id).toBe(id);
  });

  test('two who read the same plate at once make one model of it', async () => {
    const make = () =>
      db.transaction(async (t) => {
        const known = await modelNamed(t, 'Hollin', 'Gannet');
        return known?.id ?? (await putModel(t, null, { ...MODEL, maker: 'Hollin', name: 'Gannet' }));
      });
    expect(new Set(await Promise.all([make(), make(), make(), make()])).size).toBe(1);
  });

  test('merged into one: machines and what was learned go over, and what was counted is counted once', async () => {
    const [kept, gone] = [await model(), await model()];
    const tag = await machine({ customer: await customer('Merging'), model: gone });
    const tally = (of: number, jobs: number) => db('job_tally').insert({ kind: MODEL.kind, model_id: of, jobs });
    const fault = (of: number, confirmed: number) =>
      db('fault_tally').insert({ kind: MODEL.kind, model_id: of, fault: 'belt-broken', confirmed });
    await Promise.all([tally(kept, 3), tally(gone, 4), fault(kept, 1), fault(gone, 2)]);
    await db.transaction((t) => mergeModelRows(t, gone, kept));
    expect((await machineByTag(db, tag))!.model_id).toBe(kept);
    expect(await modelById(db, gone)).toBeUndefined();
    expect(await db('job_tally').where({ model_id: kept }).pluck('jobs')).toEqual([7]);
    expect(await db('fault_tally').where({ model_id: kept }).pluck('confirmed')).toEqual([3]);
    expect(await db('job_tally').where({ model_id: gone })).toEqual([]);
    expect((await models(db)).find((m) => m.id === kept)).toMatchObject({ machines: 1 });
  });
});

test('a change is written down with who made it, in which deed and what stood there before, paged from the newest', async () => {
  const [person] = await db('person')
    .insert({ sign_in: 'ada', name: 'Ada', passphrase_hash: 'x', role: 'owner' })
    .returning('id');
  const id = await customer('Before');
  for (const name of ['Middle', 'After'])
    await db.transaction(async (t) => {
      await setActor(t, person.id, 'amend-customer');
      await updateCustomer(t, id, { name });
    });
  const changes = (await auditOf(db, { customer: id }, 9)).filter((a) => a.deed === 'amend-customer');
  expect(changes.map((a) => [a.person, a.before?.name, a.after?.name])).toEqual([
    ['Ada', 'Middle', 'After'],
    ['Ada', 'Before', 'Middle'],
  ]);
  const [newest] = changes;
  expect((await auditOf(db, { customer: id }, 1, newest!.id))[0]!.after?.name).toBe('Middle');
  expect(await auditOf(db, { person: person.id }, 9)).toHaveLength(2);
  // Outside of a deed nobody is named.
  await updateCustomer(db, id, { name: 'By a script' });
  expect((await auditOf(db, { customer: id }, 1))[0]).toMatchObject({ person: null });
});
