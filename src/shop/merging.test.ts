import { randomUUID } from 'node:crypto';
import { insertPerson } from '@/data/people';
import type { Person } from './access/person';
import { amendMachine, changeOwner, mergeMachines } from './amendMachine/amendMachine';
import { addCustomer, amendCustomer, customerCard, mergeCustomers, putSite } from './customers/customers';
import { addModel } from './models/models';
import { addPerson, amendPerson } from './people/people';
import { ProblemError } from './problem';
import { newJobDto, refusal, testShop } from './scene.fixture';
import { takeIn } from './takeIn/takeIn';

const shop = testShop();
const K1 = 'upright-shaft-belt';
let owner: Person;
beforeAll(async () => {
  const id = await insertPerson(shop.db, { sign_in: 'own', name: 'Own', role: 'owner', passphrase_hash: 'x' });
  owner = { id, name: 'Own', role: 'owner' };
});

const CARD = { kind: 'household' as const, phone: '', email: '', address: '', standing: '' };
const newCustomer = async (name: string) => (await addCustomer(owner, { key: randomUUID(), name, ...CARD })).id;
const versionOf = async (table: 'customer' | 'machine' | 'person', id: number) =>
  (await shop.db(table).where({ id }).first('version')).version as number;
const newMachine = async (customerId?: number) => {
  const { newCustomer: stranger, ...dto } = newJobDto(shop.models[K1]!, ['squeal']);
  const taken = await takeIn(owner, customerId ? { ...dto, customerId } : { ...dto, newCustomer: stranger! });
  const machine = await shop.db('machine').where({ tag: taken.tag }).first('id', 'tag');
  return { ...taken, ...machine } as { job: number; tag: string; id: number };
};
const close = (job: number) =>
  shop.db('job').where({ id: job }).update({ stage: 'closed', closed_at: shop.db.fn.now() });

/** What was done, or refused in our own words; anything else is a fault of ours. */
async function ends(deeds: Promise<unknown>[]): Promise<(number | 'done')[]> {
  const all = await Promise.allSettled(deeds);
  return all.map((end) => {
    if (end.status === 'fulfilled') return 'done';
    if (end.reason instanceof ProblemError) return end.reason.status;
    throw end.reason;
  });
}

/** Rows on a card that was merged into another. */
async function stranded(): Promise<number> {
  const { rows } = await shop.db.raw(`
    select id from machine where customer_id in (select id from customer where merged_into is not null)
    union all select id from job where customer_id in (select id from customer where merged_into is not null)
    union all select id from job where machine_id in (select id from machine where merged_into is not null)
    union all select id from site where customer_id in (select id from customer where merged_into is not null)`);
  return rows.length;
}

test('taking in for a customer who is being merged: every machine is on the kept card', async () => {
  for (let round = 0; round < 12; round++) {
    const [kept, gone] = [await newCustomer('Vann Orrick'), await newCustomer('Vann Orick')];
    const { newCustomer: _, ...dto } = newJobDto(shop.models[K1]!, ['squeal']);
    const merge = { key: randomUUID(), version: await versionOf('customer', kept), other: gone };
    const all = await ends([
      takeIn(owner, { ...dto, customerId: gone, key: randomUUID() }),
      mergeCustomers(owner, kept, merge),
      takeIn(owner, { ...dto, customerId: gone, key: randomUUID() }),
    ]);
    expect(all).toEqual(['done', 'done', 'done']);
    expect(await stranded()).toBe(0);
    expect((await customerCard(kept)).machines).toHaveLength(2);
  }
});

test('taking a machine in while its book is merged: the job is on the kept one', async () => {
  for (let round = 0; round < 12; round++) {
    const [kept, gone] = [await newMachine(), await newMachine()];
    await close(kept.job);
    await close(gone.job);
    const { newCustomer: _c, newMachine: _m, ...dto } = newJobDto(shop.models[K1]!, ['squeal']);
    const merge = { key: randomUUID(), version: await versionOf('machine', kept.id), other: gone.tag };
    const all = await ends([takeIn(owner, { ...dto, machineId: gone.id }), mergeMachines(owner, kept.tag, merge)]);
    // Taken in first, the merge still finds one open job and goes on.
    expect(all[0]).toBe('done');
    expect(await stranded()).toBe(0);
  }
});

test('two merges crossing: one card is left, nothing fails', async () => {
  for (let round = 0; round < 6; round++) {
    const [a, b] = [await newCustomer('Ilse Marrow'), await newCustomer('Ilse Marow')];
    const into = async (kept: number, other: number) => ({
      key: randomUUID(),
      version: await versionOf('customer', kept),
      other,
    });
    const [one, two] = [await into(a, b), await into(b, a)];
    const all = await ends([mergeCustomers(owner, a, one), mergeCustomers(owner, b, two)]);
    expect(all.filter((end) => end === 'done')).toHaveLength(1);
    const left = await shop.db('customer').whereIn('id', [a, b]).whereNull('merged_into');
    expect(left).toHaveLength(1);
  }
});

test('a day that was agreed, a calendar’s address and the wish for no letters go over with the card', async () => {
  const { db } = shop;
  const [kept, gone, third] = [await newCustomer('Orla Wick'), await newCustomer('O Wick'), await newCustomer('Wick')];
  await db('visit_date').insert([
    { customer_id: gone, on_day: '2031-03-04', words: 'before ten' },
    { customer_id: third, on_day: '2031-02-01', words: 'sooner' },
  ]);
  const feed = (customer: number, n: number) => ({
    scope: 'customer',
    customer_id: customer,
    token_hash: Buffer.from([n]),
    person_id: owner.id,
  });
  await db('calendar_feed').insert([feed(gone, 1), feed(third, 2)]);
  await db('customer').where({ id: gone }).update({ no_letters: true });
  await mergeCustomers(owner, kept, {
    key: randomUUID(),
    version: await versionOf('customer', kept),
    other: gone,
  });
  const [day] = await db('visit_date').where({ customer_id: kept }).select('on_day', 'words');
  expect(day).toEqual({ on_day: '2031-03-04', words: 'before ten' });
  expect((await customerCard(kept)).noLetters).toBe(true);
  await mergeCustomers(owner, kept, { key: randomUUID(), version: await versionOf('customer', kept), other: third });
  expect(await db('visit_date').whereIn('customer_id', [kept, gone, third]).select('customer_id', 'on_day')).toEqual([
    { customer_id: kept, on_day: '2031-02-01' },
  ]);
  const feeds = await db('calendar_feed')
    .whereIn('customer_id', [kept, gone, third])
    .select('customer_id', 'token_hash');
  expect(feeds).toEqual([{ customer_id: kept, token_hash: Buffer.from([1]) }]);
});

test('what was merged is written on no more: refused with the card that is kept', async () => {
  const [kept, gone] = [await newCustomer('Della Quist'), await newCustomer('Della Kwist')];
  await mergeCustomers(owner, kept, { key: randomUUID(), version: 1, other: gone });
  const version = await versionOf('customer', gone);
  const card = { key: randomUUID(), version, name: 'Della', ...CARD };
  const site = { key: randomUUID(), version, label: 'Mill', address: '', note: '' };
  for (const deed of [amendCustomer(owner, gone, card), putSite(owner, gone, site)]) {
    const refused = await refusal(deed);
    expect([refused.status, refused.extra.mergedInto]).toEqual([409, kept]);
  }
  // Over the counter nobody needs to know: the machine goes to the kept card, however long the way.
  const last = await newCustomer('Della Quist of the mill');
  await mergeCustomers(owner, last, { key: randomUUID(), version: 1, other: kept });
  const taken = await newMachine(gone);
  expect((await shop.db('machine').where({ id: taken.id }).first('customer_id')).customer_id).toBe(last);

  const [a, b] = [await newMachine(), await newMachine()];
  await close(b.job);
  await mergeMachines(owner, a.tag, { key: randomUUID(), version: await versionOf('machine', a.id), other: b.tag });
  const dead = await shop.db('machine').where({ id: b.id }).first();
  const change = { key: randomUUID(), version: dead.version, customerId: last };
  expect((await refusal(changeOwner(owner, b.tag, change))).status).toBe(409);
  const amended = {
    key: randomUUID(),
    version: dead.version,
    modelId: shop.models[K1]!,
    siteId: null,
    serial: 'X',
    madeYear: null,
    purchasedOn: null,
    warrantyUntil: null,
    pets: false,
    hoursPerWeek: 1,
    note: '',
  };
  expect((await refusal(amendMachine(owner, b.tag, amended))).extra.mergedInto).toBe(a.id);
});

test('the same new thing twice at once is refused in words, never a fault', async () => {
  const known = await newMachine();
  await close(known.job);
  const { newCustomer: _c, newMachine: _m, ...dto } = newJobDto(shop.models[K1]!, ['squeal']);
  const twice = (deed: () => Promise<unknown>) => ends([deed(), deed(), deed()]);
  expect((await twice(() => takeIn(owner, { ...dto, key: randomUUID(), machineId: known.id }))).sort()).toEqual([
    409,
    409,
    'done',
  ]);
  const person = { signIn: 'twice', name: 'Twice', role: 'counter' as const, passphrase: 'twelve letters and more' };
  expect((await twice(() => addPerson(owner, { key: randomUUID(), ...person }))).sort()).toEqual([400, 400, 'done']);
  const model = {
    maker: 'Ardlow',
    name: 'Twice',
    kind: K1,
    mainsV: 120,
    warrantyMonths: 24,
    belts: [],
    bearings: [],
    filters: [],
    droppedStations: [],
    addedStations: [],
    note: '',
  };
  const models = await twice(() => addModel(owner, { key: randomUUID(), ...model } as never));
  expect(models.filter((end) => end === 'done')).toHaveLength(1);
});

test('two owners who take each other’s role: one stays owner', async () => {
  for (let round = 0; round < 4; round++) {
    const make = async (n: string) =>
      insertPerson(shop.db, { sign_in: `${n}${round}`, name: n, role: 'owner', passphrase_hash: 'x' });
    const [a, b] = [await make('ona'), await make('onb')];
    await shop.db('person').whereNotIn('id', [a, b]).where({ role: 'owner' }).update({ role: 'counter' });
    const demote = (who: number, whom: number) =>
      amendPerson({ id: who, name: 'x', role: 'owner' }, whom, {
        key: randomUUID(),
        version: 1,
        name: 'x',
        role: 'technician',
        locked: false,
      });
    const all = await ends([demote(a, b), demote(b, a)]);
    expect(all).toContain('done');
    expect(await shop.db('person').where({ role: 'owner' })).not.toHaveLength(0);
  }
  await shop.db('person').where({ id: owner.id }).update({ role: 'owner' });
});

test('a key answers one question: another body, deed, thing or person under it is refused and writes nothing', async () => {
  const dto = { key: randomUUID(), name: 'Once Only', ...CARD };
  const { id } = await addCustomer(owner, dto);
  expect(await addCustomer(owner, { ...dto })).toEqual({ id });
  // The order of names is nothing.
  expect(await addCustomer(owner, Object.fromEntries(Object.entries(dto).reverse()) as typeof dto)).toEqual({ id });
  const other = { ...owner, id: shop.person.id };
  for (const deed of [
    addCustomer(owner, { ...dto, name: 'Someone Else' }),
    addCustomer(other, dto),
    takeIn(owner, { ...newJobDto(shop.models[K1]!, ['squeal']), key: dto.key }),
    amendCustomer(owner, id, { ...dto, version: 1 }),
  ]) {
    const refused = await refusal(deed);
    expect([refused.status, refused.fields.map((f) => f.field)]).toEqual([422, ['key']]);
  }
  expect(await shop.db('customer').where({ name: 'Someone Else' })).toEqual([]);
});
