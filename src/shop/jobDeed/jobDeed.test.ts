import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import { afterwardsDone } from '../afterwards/afterwards';
import { bench } from '../bench/bench';
import type { Person } from '../access/person';
import { fitPart } from '../fitPart/fitPart';
import { readJob } from '../odds/readJob';
import { moveStage } from '../moveStage/moveStage';
import { recordFindings } from '../recordFindings/recordFindings';
import { base, furnishShop, openJob } from '../scene.fixture';
import { tickRebuild } from '../tickRebuild/tickRebuild';
import { openTestShop } from '../testShop.fixture';
import { writeNote } from '../writeNote/writeNote';

const K1 = 'upright-shaft-belt';
let db: Knex;
let close: () => Promise<void>;
let person: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person, models } = await furnishShop(db));
});
afterAll(() => close());

interface Asked {
  sql: string;
  /** The transaction it ran in; absent for one that ran by itself. */
  __knexTxId?: string;
}

/** The statements of the transactions that a piece of work needs, one list per transaction. */
async function statementsOf(work: () => Promise<unknown>): Promise<string[][]> {
  await afterwardsDone();
  const asked: Asked[] = [];
  const hear = (query: Asked) => asked.push(query);
  db.on('query', hear);
  try {
    await work();
  } finally {
    db.off('query', hear);
  }
  const transactions = new Map<string, string[]>();
  for (const { sql, __knexTxId: id } of asked)
    if (id !== undefined) transactions.set(id, [...(transactions.get(id) ?? []), sql]);
  return [...transactions.values()];
}

describe('a press is one short transaction', () => {
  /** With BEGIN and COMMIT. */
  const MOST = 8;

  test.each([
    ['a first answer', [{ check: 'finger-turn', outcome: 'normal-drag' }]],
    [
      'several answers',
      [
        { check: 'finger-turn', outcome: 'stiff' },
        { check: 'bag-or-bin', outcome: 'over-full' },
      ],
    ],
  ])('%s', async (_what, findings) => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning', 'weak-suction']);
    const dto = { ...(await base(job)), findings };
    const transactions = await statementsOf(() => recordFindings(person, job, dto));
    expect(transactions).toHaveLength(1);
    expect(transactions[0]!.length).toBeLessThanOrEqual(MOST);
    expect(transactions[0]![0]).toMatch(/^begin/i);
    expect(transactions[0]!.at(-1)).toMatch(/^commit/i);
  });

  test('an answer that replaces another', async () => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning']);
    await recordFindings(person, job, { ...(await base(job)), findings: [{ check: 'finger-turn', outcome: 'stuck' }] });
    const dto = { ...(await base(job)), findings: [{ check: 'finger-turn', outcome: 'stiff' }] };
    const [statements] = await statementsOf(() => recordFindings(person, job, dto));
    expect(statements!.length).toBeLessThanOrEqual(MOST);
  });

  test('a note, a step, a stage', async () => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning']);
    const note = { ...(await base(job)), what: 'note' as const, text: 'Rug fringe.' };
    expect((await statementsOf(() => writeNote(person, job, note)))[0]!.length).toBeLessThanOrEqual(MOST);
    const stage = { ...(await base(job)), to: 'fit' as const };
    expect((await statementsOf(() => moveStage(person, job, stage)))[0]!.length).toBeLessThanOrEqual(MOST);
    const step = (await readJob(job)).rebuild[0]!;
    const tick = { ...(await base(job)), step: step.id, done: true };
    expect((await statementsOf(() => tickRebuild(person, job, tick)))[0]!.length).toBeLessThanOrEqual(MOST);
  });
});

describe('a press answers with what changed', () => {
  test('an answer to a check: findings, what follows from them, and no more', async () => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning']);
    const before = await readJob(job);
    const told = await recordFindings(person, job, {
      ...(await base(job)),
      findings: [{ check: 'sole-plate-look', outcome: 'belt-missing' }],
    });
    expect(told).toMatchObject({ id: job, version: before.version + 1, proved: ['belt-broken'] });
    expect(told.open).toContain('sole-plate');
    expect(told.oddsKey).not.toBe(before.oddsKey);
    for (const same of ['words', 'machine', 'customer', 'photographs', 'parts', 'past'] as const)
      expect(told).not.toHaveProperty(same);
    // Laid over what was shown before, it is the job as it stands.
    const { odds: _old, ...shown } = before;
    const { odds: _new, ...now } = await readJob(job);
    expect({ ...shown, ...told }).toEqual(now);
  });

  test('a fitted part: the part, its age and the stock that is left', async () => {
    const job = await openJob(person, models[K1]!, ['rattle']);
    const { parts } = await readJob(job);
    const stock = parts.find((p) => p.code === 'FB-10-300')!.stock;
    const told = await fitPart(person, job, {
      ...(await base(job)),
      code: 'FB-10-300',
      station: 'flat-belt',
      quantity: 1,
    });
    expect(told.fitted).toMatchObject([{ code: 'FB-10-300' }]);
    expect(told.parts!.find((p) => p.code === 'FB-10-300')!.stock).toBe(stock - 1);
  });

  test('the same press twice: the second is told the job as it is, and nothing is done again', async () => {
    const job = await openJob(person, models[K1]!, ['rattle']);
    const dto = { ...(await base(job)), what: 'note' as const, text: 'Once.' };
    const first = await writeNote(person, job, dto);
    const second = await writeNote(person, job, dto);
    expect(second).toMatchObject({ id: job, version: first.version, stage: 'find' });
    expect(await db('timeline').where({ job_id: job, what: 'note' })).toHaveLength(1);
  });

  test('a job that is not there', async () => {
    const dto = { key: randomUUID(), version: 1, what: 'note' as const, text: 'Nobody.' };
    await expect(writeNote(person, 999_999, dto)).rejects.toMatchObject({ status: 404 });
    expect(await db('done_deed').where({ key: dto.key })).toEqual([]);
  });
});

describe('the next thing for the hands', () => {
  const nextOf = async (job: number) => (await bench()).strips.find((s) => s.job === job)!.next;

  test('is found after the press was answered, for the version that is shown', async () => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning']);
    await afterwardsDone();
    const before = await nextOf(job);
    await recordFindings(person, job, {
      ...(await base(job)),
      findings: [{ check: 'finger-turn', outcome: 'free-no-drag' }],
    });
    await afterwardsDone();
    const after = await nextOf(job);
    expect(after).not.toBeNull();
    expect(after).not.toEqual(before);
  });

  test('what a server that died did not keep is worked out when the Bench is looked at', async () => {
    const job = await openJob(person, models[K1]!, ['roll-not-turning']);
    await afterwardsDone();
    const kept = await nextOf(job);
    for (const lost of [null, JSON.stringify({ version: 0, text: 'Something else', minutes: 9 })]) {
      await db('job').where({ id: job }).update({ next_action: lost });
      // Nothing that belongs to another state is shown.
      expect(await nextOf(job)).toBeNull();
      await afterwardsDone();
      expect(await nextOf(job)).toEqual(kept);
    }
  });
});

test('the Bench says how many machines it does not draw', async () => {
  const before = (await bench()).strips.length;
  const [model] = await db('model').select('id');
  await db.raw(
    `with c as (insert into customer (name) values ('Many') returning id),
     m as (insert into machine (tag, model_id, customer_id)
       select 'X' || n + 1000, ?, c.id from c, generate_series(1, 230) n returning id, customer_id)
     insert into job (machine_id, customer_id, promised_on) select id, customer_id, date '2198-01-01' from m`,
    [model.id],
  );
  const view = await bench();
  expect(view.strips.length).toBe(200);
  expect(view.more).toBe(before + 230 - 200);
});
