import { openJob, testShop } from '@/shop/scene.fixture';
import { up } from './011_steps';
import { repair } from './012_doors';

const shop = testShop();

test('what was measured of the bristles is told as the steps tell it, on the kinds that have steps', async () => {
  const told = async (kind: string) => {
    const job = await openJob(shop.person, shop.models[kind]!, ['roll-slow']);
    const rows = [
      { value: 3.2, unit: 'mm' },
      { value: 9, unit: 'mm' },
      { value: -1, unit: 'mm' },
      { outcome: 'bristles-proud' },
      { outcome: 'bristles-short' },
    ];
    await shop.db('finding').insert(rows.map((r) => ({ job_id: job, check_id: 'bristle-height', ...r })));
    await shop.db.raw(up);
    await shop.db.raw(up);
    return shop.db('finding').where({ job_id: job }).orderBy('id').select('outcome', 'value');
  };
  expect((await told('upright-shaft-belt')).map((r) => r.outcome)).toEqual([
    'stands-right',
    'too-proud',
    'short-on-last',
    'stands-right',
    'short-on-last',
  ]);
  // A kind whose roll sits where it sits keeps its millimetres.
  expect((await told('upright-brush-motor')).map((r) => r.outcome ?? r.value)).toEqual([
    3.2,
    9,
    -1,
    'bristles-proud',
    'bristles-short',
  ]);
});

test('what was stranded on cards that were merged goes to the kept ones; two open jobs are both left workable', async () => {
  const { db, person, models } = shop;
  const kind = 'upright-shaft-belt';
  const machineOf = async (job: number) =>
    (await db('job').where({ id: job }).first('machine_id')).machine_id as number;
  const jobs: number[] = [];
  for (let i = 0; i < 5; i++) jobs.push(await openJob(person, models[kind]!, ['squeal']));
  const [kept, stranded, keptBusy, strandedBusy, plain] = (await Promise.all(jobs.map(machineOf))) as number[];
  await db('job').whereIn('id', [jobs[0]!, jobs[1]!]).update({ stage: 'closed', closed_at: db.fn.now() });
  const customers = await db('customer').orderBy('id').limit(2).pluck('id');
  // As it was before the step: nothing in the schema refused it.
  await db.raw('alter table machine disable trigger a_standing_customer; alter table job disable trigger user');
  await db('machine').where({ id: stranded }).update({ merged_into: kept });
  await db('machine').where({ id: strandedBusy }).update({ merged_into: keptBusy });
  await db('machine').where({ id: plain }).update({ customer_id: customers[1] });
  await db('customer').where({ id: customers[1] }).update({ merged_into: customers[0] });
  await db.raw('alter table machine enable trigger a_standing_customer; alter table job enable trigger user');
  await db.raw(repair);
  await db.raw(repair);
  expect(await machineOf(jobs[1]!)).toBe(kept);
  // One open job for each machine: the second lives again instead.
  expect(await machineOf(jobs[3]!)).toBe(strandedBusy);
  expect((await db('machine').where({ id: strandedBusy }).first('merged_into')).merged_into).toBeNull();
  expect((await db('machine').where({ id: plain }).first('customer_id')).customer_id).toBe(customers[0]);
});
