import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { insertPerson, insertSession, personBySession } from '@/data/people';
import { openTestShop } from './testShop.fixture';
import type { Person } from './access/person';
import { newToken, tokenHash } from './access/secrets';
import { hashPassphrase } from './access/passphrases';
import { signIn } from './access/signIn';
import { amendMachine, changeOwner, mergeMachines } from './amendMachine/amendMachine';
import type { AmendMachineDto } from './amendMachine/dto';
import { readAudit } from './audit/audit';
import {
  addCustomer,
  amendCustomer,
  customerCard,
  findCustomers,
  mergeCustomers,
  putContact,
  putSite,
} from './customers/customers';
import { readJob } from './odds/readJob';
import { machineCard, machineTimeline, scanned } from './machines/machines';
import { addModel, amendModel, modelList } from './models/models';
import type { PutModelDto } from './models/dto';
import { addPerson, amendPerson, endSession, peopleOf, resetPassphrase } from './people/people';
import { furnishShop, newJobDto, openJob, PASSPHRASE } from './scene.fixture';
import { amendShop, shopOf } from './shopBook/shopBook';
import { takeIn } from './takeIn/takeIn';

let db: Knex;
let close: () => Promise<void>;
let owner: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  const scene = await furnishShop(db);
  models = scene.models;
  const id = await insertPerson(db, {
    sign_in: 'wren',
    name: 'Wren',
    role: 'owner',
    passphrase_hash: await hashPassphrase(PASSPHRASE),
  });
  owner = { id, name: 'Wren', role: 'owner' };
});
afterAll(() => close());
const K1 = 'upright-shaft-belt';
const key = () => randomUUID();
const someone = (name: string, more = {}) => ({
  key: key(),
  name,
  kind: 'household' as const,
  phone: '',
  email: '',
  address: '',
  standing: '',
  ...more,
});

async function machine(serial: string, name = 'Jory Marsk'): Promise<{ tag: string; job: number }> {
  const job = await openJob(owner, models[K1]!, ['squeal'], {
    newMachine: { modelId: models[K1]!, serial, pets: false, hoursPerWeek: 1 },
    newCustomer: { name, kind: 'household', phone: '', email: '', address: '' },
  });
  return { job, tag: (await readJob(job)).machine.tag };
}

async function asSent(tag: string, more: Partial<AmendMachineDto> = {}): Promise<AmendMachineDto> {
  const c = await machineCard(tag);
  return {
    key: key(),
    version: c.version,
    modelId: c.modelId,
    siteId: c.siteId,
    serial: c.serial,
    madeYear: c.madeYear,
    purchasedOn: c.purchasedOn,
    warrantyUntil: c.warrantyUntil,
    pets: c.pets,
    hoursPerWeek: c.hoursPerWeek,
    note: c.note,
    ...more,
  };
}

describe('a machine’s card', () => {
  test('is corrected; the old value stays in the audit, with who and in which deed', async () => {
    const { tag } = await machine('WRONG-1');
    const after = await amendMachine(
      owner,
      tag,
      await asSent(tag, { serial: 'RIGHT-1', purchasedOn: '2026-01-31', note: 'Short screw at the back.' }),
    );
    expect(after).toMatchObject({ serial: 'RIGHT-1', warrantyUntil: '2028-01-31', note: 'Short screw at the back.' });
    const { rows } = await readAudit(owner, { machine: after.id });
    const change = rows.find((r) => r.deed === 'amend-machine' && r.rowOf === 'machine')!;
    expect(change).toMatchObject({ by: 'Wren' });
    expect(change.changes).toEqual(expect.arrayContaining([{ field: 'serial', before: 'WRONG-1', after: 'RIGHT-1' }]));
    expect((await scanned(tag)).startsWith('/jobs/')).toBe(true);
  });

  test('saved by two, the second is refused with the card as it is; the same press twice is one change', async () => {
    const { tag } = await machine('TWO-1');
    const [mine, theirs] = [await asSent(tag, { note: 'mine' }), await asSent(tag, { note: 'theirs' })];
    await amendMachine(owner, tag, theirs);
    await expect(amendMachine(owner, tag, mine)).rejects.toMatchObject({
      status: 409,
      extra: { current: { note: 'theirs' } },
    });
    const again = await asSent(tag, { note: 'once' });
    const [a, b] = await Promise.all([amendMachine(owner, tag, again), amendMachine(owner, tag, again)]);
    expect(b.version).toBe(a.version);
    expect((await machineTimeline(tag, { what: ['note'] })).rows.map((r) => r.text)).toEqual(['once', 'theirs']);
  });

  test('changes hands: the book goes along, the site does not', async () => {
    const { tag } = await machine('HANDS-1', 'First Owner');
    const { id } = await addCustomer(owner, someone('Second Owner'));
    const { version } = await machineCard(tag);
    const after = await changeOwner(owner, tag, { key: key(), version, customerId: id });
    expect(after.customer.name).toBe('Second Owner');
    expect(after.timeline[0]).toMatchObject({ what: 'owner', text: 'From First Owner to Second Owner.' });
    await expect(changeOwner(owner, tag, { key: key(), version: after.version, customerId: id })).rejects.toMatchObject(
      { status: 400 },
    );
  });

  test('two books of one machine become one, and the old tag leads there', async () => {
    const kept = await machine('', 'Double Owner');
    const double = await machine('DBL-9', 'Double Owner');
    const refused = async (other: string) => {
      const { version } = await machineCard(kept.tag);
      return mergeMachines(owner, kept.tag, { key: key(), version, other });
    };
    await expect(refused(double.tag)).rejects.toMatchObject({
      fields: [{ message: 'Both have an open job: hand one back first.' }],
    });
    await expect(refused(kept.tag)).rejects.toMatchObject({ status: 400 });
    await expect(refused('GK-9999')).rejects.toMatchObject({ status: 400 });
    await db('job').where({ id: double.job }).update({ stage: 'closed', closed_at: db.fn.now() });
    const after = await refused(double.tag);
    expect(after.serial).toBe('DBL-9');
    expect(after.jobs.map((j) => j.id).sort()).toEqual([kept.job, double.job].sort());
    expect((await machineCard(double.tag)).mergedInto).toBe(kept.tag);
    expect(await scanned(double.tag)).toBe(`/jobs/${kept.job}`);
    // Taken in by its old card it is the kept machine, which is here already.
    await expect(
      takeIn(owner, {
        ...newJobDto(0, ['squeal']),
        newMachine: undefined!,
        newCustomer: undefined!,
        machineId: (await machineCard(double.tag)).id,
      }),
    ).rejects.toMatchObject({ status: 409, extra: { openJob: kept.job } });
    // The audit of the one tells of the other as well.
    const { rows } = await readAudit(owner, { machine: after.id });
    expect(rows.some((r) => r.rowOf === 'machine' && r.changes.some((c) => c.field === 'merged_into'))).toBe(true);
  });

  test('the timeline is filtered and searched in the database, page by page', async () => {
    const { tag, job } = await machine('LONG-1');
    const { id } = await machineCard(tag);
    await db('timeline').insert(
      Array.from({ length: 130 }, (_, i) => ({
        machine_id: id,
        job_id: job,
        what: i % 2 ? 'note' : 'reading',
        text: i % 13 ? `entry ${i}` : `Wäre ${i}`,
        at: new Date(Date.now() - i * 60_000),
      })),
    );
    const first = await machineTimeline(tag, {});
    expect(first.rows).toHaveLength(60);
    const second = await machineTimeline(tag, { before: first.rows.at(-1)!.id });
    const third = await machineTimeline(tag, { before: second.rows.at(-1)!.id });
    const ids = [...first.rows, ...second.rows, ...third.rows].map((r) => r.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(third.more).toBe(false);
    expect((await machineTimeline(tag, { words: 'ware' })).rows).toHaveLength(10);
    expect((await machineTimeline(tag, { what: ['note'], words: 'WÄRE' })).rows).toHaveLength(5);
  });
});

describe('a customer’s card', () => {
  test('sites, contacts, standing instructions; found by any of them', async () => {
    const { id } = await addCustomer(owner, someone('Heron Yard surgery', { kind: 'business' }));
    const v = async () => (await customerCard(id)).version;
    await putSite(owner, id, {
      key: key(),
      version: await v(),
      label: 'Ferry ramp',
      address: '9 Gull Steps',
      note: '',
    });
    await putContact(owner, id, {
      key: key(),
      version: await v(),
      name: 'Quill Ormsay',
      phone: '555 4747',
      email: '',
      task: 'keys',
    });
    const card = await amendCustomer(owner, id, {
      ...someone('Heron Yard surgery', { kind: 'business', standing: 'Ring first.' }),
      version: await v(),
    });
    expect(card).toMatchObject({
      standing: 'Ring first.',
      sites: [{ label: 'Ferry ramp' }],
      contacts: [{ task: 'keys' }],
    });
    for (const words of ['ferry ramp', 'quill', '5554747', 'gull steps', 'hern yard'])
      expect((await findCustomers({ words: words })).rows.map((r) => r.id)).toContain(id);
    const site = card.sites[0]!;
    const changed = await putSite(owner, id, {
      key: key(),
      version: card.version,
      id: site.id,
      label: 'Ramp two',
      address: '',
      note: '',
    });
    expect(changed.sites).toEqual([{ id: site.id, label: 'Ramp two', address: '', note: '' }]);
    await expect(
      putSite(owner, id, { key: key(), version: changed.version, id: 9999, label: 'x', address: '', note: '' }),
    ).rejects.toMatchObject({ status: 400 });
    await expect(amendCustomer(owner, id, { ...someone('   '), version: changed.version })).rejects.toMatchObject({
      fields: [{ field: 'name' }],
    });
  });

  test('two cards of one person become one', async () => {
    const { tag } = await machine('C-1', 'Ada Twice');
    const from = (await machineCard(tag)).customer.id;
    const { id } = await addCustomer(owner, someone('Ada Twice', { standing: 'Always mornings.' }));
    const after = await mergeCustomers(owner, id, { key: key(), version: 1, other: from });
    expect(after.machines.map((m) => m.tag)).toEqual([tag]);
    expect((await customerCard(from)).mergedInto).toBe(id);
    expect((await findCustomers({ words: 'Ada Twice' })).rows.map((r) => r.id)).toEqual([id]);
    await expect(mergeCustomers(owner, id, { key: key(), version: after.version, other: from })).rejects.toMatchObject({
      status: 400,
    });
  });
});

describe('models', () => {
  const dto = (more: Partial<PutModelDto> = {}): PutModelDto => ({
    key: key(),
    maker: 'Tussock',
    name: 'Harrow',
    kind: K1,
    mainsV: 230,
    warrantyMonths: 12,
    belts: ['flat, 10 × 300'],
    bearings: [],
    filters: ['foam'],
    droppedStations: ['cut-out'],
    addedStations: [{ line: 'power', after: 'cord', id: 'leakage-switch', label: 'leakage switch' }],
    note: '',
    ...more,
  });

  test('are the shop’s own list, with stations dropped and added', async () => {
    const { id } = await addModel(owner, dto());
    const model = (await modelList()).find((m) => m.id === id)!;
    expect(model).toMatchObject({
      warrantyMonths: 12,
      droppedStations: ['cut-out'],
      addedStations: [{ id: 'leakage-switch' }],
    });
    const changed = await amendModel(owner, id, { ...dto({ name: 'Harrow 2' }), version: model.version });
    expect(changed).toMatchObject({ name: 'Harrow 2', version: model.version + 1 });
    await expect(amendModel(owner, id, { ...dto(), version: model.version })).rejects.toMatchObject({
      status: 409,
      extra: { current: { name: 'Harrow 2' } },
    });
  });

  test('what does not fit is named', async () => {
    await expect(
      addModel(
        owner,
        dto({
          name: 'Odd',
          droppedStations: ['squeegee'],
          addedStations: [{ line: 'water', after: '', id: 'cord', label: 'x' }],
        }),
      ),
    ).rejects.toMatchObject({
      fields: [{ field: 'droppedStations[0]' }, { field: 'addedStations[0].id' }, { field: 'addedStations[0].line' }],
    });
    await expect(addModel(owner, dto({ maker: 'Hollin', name: K1 }))).rejects.toMatchObject({
      fields: [{ field: 'name' }],
    });
    const known = (await modelList()).find((m) => m.id === models[K1])!;
    await expect(
      amendModel(owner, known.id, {
        ...dto({ maker: 'Hollin', name: K1, kind: 'upright-brush-motor', droppedStations: [], addedStations: [] }),
        version: known.version,
      }),
    ).rejects.toMatchObject({ fields: [{ field: 'kind' }] });
  });
});

describe('people', () => {
  test('are added, locked and given a new passphrase; a locked one is out at once', async () => {
    const { id } = await addPerson(owner, {
      key: key(),
      signIn: 'mab',
      name: 'Mab',
      role: 'counter',
      passphrase: 'a dozen characters',
    });
    await expect(
      addPerson(owner, { key: key(), signIn: 'MAB', name: 'Mab 2', role: 'counter', passphrase: 'a dozen characters' }),
    ).rejects.toMatchObject({ fields: [{ field: 'signIn' }] });
    const from = { address: '', agent: 'phone' };
    const { token } = await signIn({ signIn: 'mab', passphrase: 'a dozen characters' }, from);
    const of = async () => (await peopleOf(owner)).find((p) => p.id === id)!;
    expect((await of()).sessions).toHaveLength(1);
    await resetPassphrase(owner, id, {
      key: key(),
      version: (await of()).version,
      passphrase: 'another dozen of them',
    });
    expect(await personBySession(db, tokenHash(token))).toBeUndefined();
    await expect(signIn({ signIn: 'mab', passphrase: 'a dozen characters' }, from)).rejects.toMatchObject({
      status: 400,
    });
    const second = await signIn({ signIn: 'mab', passphrase: 'another dozen of them' }, from);
    await amendPerson(owner, id, {
      key: key(),
      version: (await of()).version,
      name: 'Mab C.',
      role: 'technician',
      locked: true,
    });
    expect(await personBySession(db, tokenHash(second.token))).toBeUndefined();
    expect(await of()).toMatchObject({ name: 'Mab C.', role: 'technician', locked: true, sessions: [] });
    // No passphrase and no hash of one stands in the audit.
    const { rows } = await readAudit(owner, {});
    expect(JSON.stringify(rows.filter((r) => r.rowOf === 'person'))).not.toMatch(/argon2|dozen/);
    expect(rows.some((r) => r.changes.some((c) => c.field === 'passphrase' && c.after === 'changed'))).toBe(true);
  });

  test('one session is ended, the others stay', async () => {
    const tokens = [newToken(), newToken()];
    for (const t of tokens) await insertSession(db, owner.id, tokenHash(t), '', 1);
    const me = (await peopleOf(owner)).find((p) => p.id === owner.id)!;
    await endSession(owner, owner.id, { key: key(), version: me.version, session: me.sessions[0]!.id });
    const left = (await peopleOf(owner)).find((p) => p.id === owner.id)!;
    expect(left.sessions).toHaveLength(me.sessions.length - 1);
    await expect(
      endSession(owner, owner.id, { key: key(), version: left.version, session: me.sessions[0]!.id }),
    ).rejects.toMatchObject({ status: 400 });
  });

  test('the shop keeps an owner, also when two lock each other at once', async () => {
    const { id } = await addPerson(owner, {
      key: key(),
      signIn: 'osric',
      name: 'Osric',
      role: 'owner',
      passphrase: 'a dozen characters',
    });
    const of = async (who: number) => (await peopleOf(owner)).find((p) => p.id === who)!;
    const lock = async (who: number) => ({
      key: key(),
      version: (await of(who)).version,
      name: 'x',
      role: 'owner' as const,
      locked: true,
    });
    const [a, b] = [await lock(id), await lock(owner.id)];
    const ended = await Promise.allSettled([amendPerson(owner, id, a), amendPerson(owner, owner.id, b)]);
    expect(ended.filter((e) => e.status === 'rejected')).toHaveLength(1);
    expect((await peopleOf(owner)).filter((p) => p.role === 'owner' && !p.locked)).toHaveLength(1);
    await db('person').whereIn('id', [owner.id]).update({ locked_at: null });
  });

  test('a technician sees neither people nor audit', async () => {
    const technician: Person = { ...owner, role: 'technician' };
    await expect(peopleOf(technician)).rejects.toMatchObject({ status: 403 });
    await expect(readAudit(technician, {})).rejects.toMatchObject({ status: 403 });
  });
});

test('the audit cannot be changed, by nobody', async () => {
  await expect(db('audit').update({ deed: 'x' })).rejects.toThrow('append-only');
  await expect(db('audit').where({ id: 1 }).delete()).rejects.toThrow('append-only');
  await expect(db.raw('truncate audit')).rejects.toThrow('append-only');
});

test('the shop’s own card: a zone that is none is refused, a good one is kept', async () => {
  const shop = await shopOf();
  const dto = {
    key: key(),
    version: shop.version,
    name: 'Bench & Co',
    zone: 'Europe/Oslo',
    mainsV: 230,
    paper: 'A4' as const,
    benches: 3,
    units: 'inch' as const,
  };
  await expect(amendShop(owner, { ...dto, zone: 'Mars/Olympus' })).rejects.toMatchObject({
    fields: [{ field: 'zone' }],
  });
  expect(await amendShop(owner, { ...dto, key: key() })).toMatchObject({
    zone: 'Europe/Oslo',
    benches: 3,
    units: 'inch',
    version: shop.version + 1,
  });
});
