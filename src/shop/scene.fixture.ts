import sharp from 'sharp';
import { keepPhotograph } from './photographs/keepPhotograph';
import { addPhotographs } from './photographs/photographs';
import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { insertPerson } from '@/data/people';
import { insertShop } from '@/data/shopSettings';
import { insertPartSizes } from '@/data/gauges';
import { shippedParts } from '@/knowledge/parts';
import type { Person } from './access/person';
import type { RecordAnswerDto } from './agree/dto';
import { recordAnswer } from './agree/recordAnswer';
import { hashPassphrase } from './access/passphrases';
import { signIn } from './access/signIn';
import { endWait } from './endWait/endWait';
import { markRepaired } from './markRepaired/markRepaired';
import { moveStage } from './moveStage/moveStage';
import { readJob } from './odds/readJob';
import { recordProof } from './recordProof/recordProof';
import { ProblemError } from './problem';
import { openTestShop } from './testShop.fixture';
import { tickRebuild } from './tickRebuild/tickRebuild';
import type { TakeInDto } from './takeIn/dto';
import { takeIn } from './takeIn/takeIn';

export const PASSPHRASE = 'a bench of one’s own';

/** A shop with one person, parts and a model of each kind, for tests of deeds. */
export async function furnishShop(db: Knex): Promise<{ person: Person; models: Record<string, number> }> {
  const id = await insertPerson(db, {
    sign_in: 'tess',
    name: 'Tess Fennock',
    role: 'technician',
    passphrase_hash: await hashPassphrase(PASSPHRASE),
  });
  await insertShop(db, { name: 'Test bench', zone: 'UTC', mains_v: 120, currency: 'USD', paper: 'A4' });
  await db('part').insert(
    shippedParts.map((p) => ({
      code: p.code,
      label: p.label,
      part_group: p.group,
      price_minor: p.priceMinor,
      stock: 5,
    })),
  );
  await insertPartSizes(
    db,
    shippedParts.flatMap((p) => Object.entries(p.sizesMm ?? {}).map(([name, mm]) => ({ code: p.code, name, mm }))),
  );
  await db('part_station').insert(
    shippedParts.flatMap((p) =>
      Object.entries(p.stations).flatMap(([kind, stations]) =>
        stations.map((station) => ({ code: p.code, kind, station })),
      ),
    ),
  );
  const kinds = ['upright-shaft-belt', 'upright-brush-motor'];
  const rows = await db('model')
    .insert(kinds.map((kind) => ({ maker: 'Hollin', name: kind, kind, mains_v: 120, dropped_stations: [] })))
    .returning(['id', 'kind']);
  return {
    person: { id, name: 'Tess Fennock', role: 'technician' },
    models: Object.fromEntries(rows.map((r) => [r.kind, r.id])),
  };
}

/** The furnished shop of one test file: opened before its tests, dropped after them; its members are there in the tests. */
export function testShop(): { readonly db: Knex; readonly person: Person; readonly models: Record<string, number> } {
  let opened: { db: Knex; close: () => Promise<void>; person: Person; models: Record<string, number> };
  beforeAll(async () => {
    const shop = await openTestShop();
    opened = { ...shop, ...(await furnishShop(shop.db)) };
  });
  afterAll(() => opened.close());
  return {
    get db() {
      return opened.db;
    },
    get person() {
      return opened.person;
    },
    get models() {
      return opened.models;
    },
  };
}

/** The same with a browser that its one person has signed in with. */
export function signedInShop(): ReturnType<typeof testShop> & { readonly session: string } {
  const shop = testShop() as ReturnType<typeof signedInShop>;
  let session: string;
  beforeAll(async () => {
    session = (await signIn({ signIn: 'tess', passphrase: PASSPHRASE }, { address: '10.0.0.1', agent: 'a test' }))
      .token;
  });
  return Object.defineProperty(shop, 'session', { get: () => session });
}

/** Does something while nobody answers where the database should be. */
export async function whileDatabaseIsAway(work: () => Promise<void>): Promise<void> {
  const url = process.env.DATABASE_URL!;
  const held = globalThis as { gritkeeperDatabase?: Knex };
  const ours = held.gritkeeperDatabase;
  delete held.gritkeeperDatabase;
  process.env.DATABASE_URL = 'postgres://nobody:x@127.0.0.1:9/none';
  try {
    await work();
  } finally {
    await (held as { gritkeeperDatabase?: Knex }).gritkeeperDatabase?.destroy();
    held.gritkeeperDatabase = ours!;
    process.env.DATABASE_URL = url;
  }
}

export function newJobDto(modelId: number, complaints: string[], more: Partial<TakeInDto> = {}): TakeInDto {
  return {
    key: randomUUID(),
    newMachine: { modelId, serial: 'S-1', madeYear: 2020, pets: true, hoursPerWeek: 1.5 },
    newCustomer: { name: 'Jory Marsk', kind: 'household', phone: '555 0303', email: '', address: '' },
    words: 'It just sits there.',
    complaints,
    openedBefore: false,
    arrivalSigns: [],
    promisedOn: '2199-01-01',
    ...more,
  };
}

export async function openJob(
  person: Person,
  modelId: number,
  complaints: string[],
  more: Partial<TakeInDto> = {},
): Promise<number> {
  return (await takeIn(person, newJobDto(modelId, complaints, more))).job;
}

/** Key and version for a deed on the job as it stands now. */
export async function base(job: number): Promise<{ key: string; version: number }> {
  return { key: randomUUID(), version: (await readJob(job)).version };
}

/** The owner says yes at the counter. */
export async function agreeTo(person: Person, job: number, more: Partial<RecordAnswerDto> = {}): Promise<void> {
  const yes = { says: 'yes', way: 'counter', who: 'The owner', words: 'Go ahead.' } as const;
  await recordAnswer(person, job, { ...(await base(job)), ...yes, ...more });
}

/** What a test says with a proof that is signed. */
export const SIGNED = { rules: 'Rules in force here', readings: 'Insulation 50 MΩ', tester: 'Tess Fennock' };

/** Passes everything that must be shown before the machine may leave. */
export async function proveAll(person: Person, job: number): Promise<void> {
  for (const { item } of (await readJob(job)).proofs.filter((p) => p.required))
    await recordProof(person, job, { ...(await base(job)), item, result: 'pass', note: '', ...SIGNED });
}

/** Takes a job from Find to Hand back: everything repaired that is to be, unless it is left undone, every step of the rebuild ticked, everything proved. */
export async function toHandBack(person: Person, job: number, undone: readonly string[] = []): Promise<void> {
  await moveStage(person, job, { ...(await base(job)), to: 'fit' });
  const { toMend, repaired } = await readJob(job);
  for (const fault of toMend.filter((f) => !repaired.includes(f) && !undone.includes(f)))
    await markRepaired(person, job, { ...(await base(job)), fault, done: true });
  if ((await readJob(job)).waits.some((w) => w.endedAt === null)) await endWait(person, job, await base(job));
  for (const { id: step, fault } of (await readJob(job)).rebuild)
    if (fault === null || !undone.includes(fault))
      await tickRebuild(person, job, { ...(await base(job)), step, done: true });
  await moveStage(person, job, { ...(await base(job)), to: 'prove' });
  await proveAll(person, job);
  await moveStage(person, job, { ...(await base(job)), to: 'hand-back' });
}

/** The refusal of a deed. @throws Error when it was not refused, or failed otherwise */
export async function refusal(deed: Promise<unknown>): Promise<ProblemError> {
  const end = await deed.then(
    () => null,
    (error: unknown) => error,
  );
  if (end instanceof ProblemError) return end;
  throw end ?? new Error('It was not refused.');
}

/** A photograph of a job, of what it shows; a grey picture of its own. @returns its id */
export async function photographed(person: Person, job: number, shows: string, caption = ''): Promise<number> {
  const noise = { type: 'gaussian' as const, mean: 128, sigma: 40 };
  const picture = sharp({ create: { width: 240, height: 180, channels: 3, background: '#888', noise } });
  const { id } = await keepPhotograph(person, await picture.jpeg().toBuffer());
  await addPhotographs(person, job, { ...(await base(job)), photographs: [id], caption, shows });
  return id;
}
