import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import type { Knex } from 'knex';
import { gauges } from '@/core/gauges/catalogue';
import { readFields } from '@/core/gauges/readFields';
import { openTestShop } from '../testShop.fixture';
import type { Person } from '../access/person';
import { readJob } from '../odds/readJob';
import { machineTimeline } from '../machines/machines';
import { openapi } from '../openapi/openapi';
import { ProblemError } from '../problem';
import { furnishShop, newJobDto, refusal } from '../scene.fixture';
import { takeIn } from '../takeIn/takeIn';
import { gaugeDesk, keepUsual, keptInputs, matchedParts, reckonGauge } from './gauges';
import { keepGauge, takeBackGauge } from '../keepGauge/keepGauge';

let db: Knex;
let close: () => Promise<void>;
let person: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  ({ person, models } = await furnishShop(db));
});
afterAll(() => close());

const belt = gauges.find((g) => g.id === 'belt')!.example;

async function newJob(): Promise<number> {
  const { job } = await takeIn(person, newJobDto(models['upright-shaft-belt']!, ['roll-not-turning']));
  return job;
}
const keep = async (id: number, gauge: string, inputs: object, use: ('finding' | 'wait' | 'plan' | 'proof')[] = []) => {
  const { version } = await readJob(id);
  await keepGauge(person, id, { key: randomUUID(), version, gauge, inputs: inputs as Record<string, unknown>, use });
  return readJob(id);
};

test.each(gauges.map((g) => [g.id, g] as const))(
  '%s: the route answers its example and names what is wrong',
  async (id, g) => {
    expect((await reckonGauge(id, g.example)).says).not.toBe('');
    const nothing = await refusal(reckonGauge(id, {}));
    expect(nothing.status).toBe(400);
    const byField = (list: { field: string; message: string }[]) =>
      Object.fromEntries(list.map(({ field, message }) => [field, message]));
    // The form says the same word for word, of nothing and of nonsense in any field.
    expect(byField(readFields(g.fields, {}).problems)).toEqual(byField(nothing.fields));
    for (const field of Object.keys(g.fields))
      for (const nonsense of ['twelve or so', '-1e99', '1,234', '']) {
        const raw = { ...g.example, [field]: nonsense };
        const { problems } = readFields(g.fields, raw);
        if (problems.length === 0) continue;
        expect(byField((await refusal(reckonGauge(id, raw))).fields)).toEqual(byField(problems));
      }
    expect((await refusal(reckonGauge(id, { ...g.example, wish: 1 }))).fields.map((f) => f.field)).toEqual(['wish']);
    expect(readFields(g.fields, g.example).problems).toEqual([]);
  },
);

test('whatever is sent, it is a 400 with fields, never a fault', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...gauges.filter((g) => !g.heavy)),
      fc.jsonValue(),
      fc.string(),
      async (g, junk, name) => {
        const field = Object.keys(g.fields)[name.length % Object.keys(g.fields).length]!;
        for (const body of [junk, { ...g.example, [field]: junk }]) {
          const error = await reckonGauge(g.id, body).then(
            () => null,
            (e: unknown) => e,
          );
          if (error) {
            expect(error).toBeInstanceOf(ProblemError);
            expect((error as ProblemError).status).toBe(400);
            expect((error as ProblemError).fields.length).toBeGreaterThan(0);
          }
        }
      },
    ),
    { seed: 31, numRuns: 120 },
  );
  expect((await refusal(reckonGauge('crystal-ball', {}))).status).toBe(404);
});

test('kept with the job: inputs as typed, the answer, the method’s version; it answers the finder’s check', async () => {
  const id = await newJob();
  const view = await keep(id, 'belt', belt, ['finding']);
  expect(view.gauges).toMatchObject([
    { gauge: 'belt', version: gauges.find((g) => g.id === 'belt')!.version, by: person.name },
  ]);
  expect(view.gauges[0]!.says).toMatch(/^Worn out/);
  expect(await keptInputs(id, view.gauges[0]!.id, 'belt')).toEqual(belt);
  expect(await keptInputs(id, view.gauges[0]!.id, 'bearing')).toBeUndefined();
  expect(view.findings.at(-1)).toMatchObject({ check: 'belt-against-new', unit: '%' });
  const past = await machineTimeline(view.machine.tag, {});
  expect(past.rows.map((t) => t.text)).toEqual(expect.arrayContaining([expect.stringMatching(/^Belt: Worn out/)]));
  const again = await takeBackGauge(person, id, {
    key: randomUUID(),
    version: view.version,
    result: view.gauges[0]!.id,
  });
  expect(again.gauges).toEqual([]);
  expect(
    (await refusal(takeBackGauge(person, id, { key: randomUUID(), version: again.version, result: 999 }))).status,
  ).toBe(400);
});

test('a discharge log is kept beside its result and reckons the same again; the job and the audit stay short', async () => {
  const id = await newJob();
  const file = Array.from({ length: 20_000 }, (_, i) => `${i},${(25 - i / 2500).toFixed(3)},2`).join('\n');
  const inputs = { asks: 'log', file, cutOff: '18', rated: '12', ratedHours: '5', peukert: '1.03' };
  const view = await keep(id, 'pack', inputs);
  expect(JSON.stringify(view).length).toBeLessThan(file.length / 2);
  const again = await keptInputs(id, view.gauges[0]!.id, 'pack');
  expect(again).toEqual(inputs);
  expect((await reckonGauge('pack', again)).says).toBe(view.gauges[0]!.says);
  const [audit] = await db('audit').where({ row_of: 'gauge_result', job_id: id }).select('after');
  expect(JSON.stringify(audit.after)).not.toContain('12345,');
});

test('a wait and a plan begin from what was measured', async () => {
  const id = await newJob();
  const drying = gauges.find((g) => g.id === 'dry-and-wait')!.example;
  const waits = (await keep(id, 'dry-and-wait', drying, ['wait'])).waits;
  expect(waits).toMatchObject([{ kind: 'drying' }]);
  const roll = gauges.find((g) => g.id === 'roll')!.example;
  const { machine } = await keep(id, 'roll', roll, ['plan']);
  expect(await db('plan').where({ machine_id: machine.id, item: 'bristles' }).count()).toEqual([{ count: 1 }]);
});

test('a safety test and a roll’s speed prove what the machine must show', async () => {
  const id = await newJob();
  const safety = { ...gauges.find((g) => g.id === 'safety-test')!.example, touch: '0.1 mA' };
  const { proofs } = await keep(id, 'safety-test', safety, ['proof']);
  expect(proofs.find((p) => p.item === 'electrical-check')).toMatchObject({
    result: 'pass',
    details: {
      rules: 'IEC (from memory), class I',
      readings: expect.stringMatching(/^protective earth .*Ω, insulation .*Ω, touch current/),
      tester: 'Tess Fennock',
    },
  });
  const named = { ...safety, instrument: 'tester no. 3', who: 'a licensed electrician' };
  expect(
    (await keep(id, 'safety-test', named, ['proof'])).proofs.find((p) => p.item === 'electrical-check'),
  ).toMatchObject({
    details: { readings: expect.stringMatching(/, with tester no\. 3$/), tester: 'a licensed electrician' },
  });
  const after = await keep(id, 'belt', { ...belt, rollRpm: '3900' }, ['proof']);
  expect(after.proofs.find((p) => p.item === 'roll-speed')).toMatchObject({ result: 'pass', after: 3900 });
  // Not everything was measured: nothing is proved.
  const asked = gauges.find((g) => g.id === 'safety-test')!.example;
  expect((await refusal(keep(id, 'safety-test', asked, ['proof']))).fields[0]!.field).toBe('use');
});

test('what a result is not is refused, and nothing is written', async () => {
  const id = await newJob();
  const { version } = await readJob(id);
  expect((await refusal(keep(id, 'belt', belt, ['wait']))).fields).toEqual([
    { field: 'use', message: 'This result is no wait.' },
  ]);
  expect((await refusal(keep(id, 'belt', { ...belt, centre: '20 mm' }))).fields.map((f) => f.field)).toEqual([
    'centre',
  ]);
  // A kind without a pack has no such check.
  expect((await refusal(keep(id, 'pack', gauges.find((g) => g.id === 'pack')!.example, ['finding']))).status).toBe(400);
  expect(await readJob(id)).toMatchObject({ version, gauges: [] });
});

test('pressed twice is once; on an old version both are shown', async () => {
  const id = await newJob();
  const dto = { key: randomUUID(), version: (await readJob(id)).version, gauge: 'belt', inputs: belt, use: [] };
  await keepGauge(person, id, dto);
  expect((await keepGauge(person, id, dto)).gauges).toHaveLength(1);
  expect((await refusal(keepGauge(person, id, { ...dto, key: randomUUID() }))).status).toBe(409);
});

test('a worn belt is found in the list by its size', async () => {
  const [first] = await matchedParts({
    group: 'belt',
    sizes: [
      { name: 'length', mm: 355, sigmaMm: 1 },
      { name: 'width', mm: 10, sigmaMm: 0.5 },
    ],
  });
  expect(first).toMatchObject({ code: 'FB-10-355' });
  expect(first!.probability).toBeGreaterThan(0.9);
  expect(await matchedParts({ group: 'bearing', sizes: [{ name: 'bore', mm: 40, sigmaMm: 0.1 }] })).toEqual([]);
  expect(
    (await refusal(matchedParts({ group: 'belt', sizes: [{ name: 'length', mm: -1, sigmaMm: 1 }] }))).fields[0]!.field,
  ).toBe('sizes[0]');
});

test('the owner keeps the shop’s own table of limits; a technician may not', async () => {
  const owner: Person = { ...person, role: 'owner' };
  const inputs = { table: 'ours; I; 1 ohm; -; -; -', ruleSet: 'ours' };
  await keepUsual(owner, { key: randomUUID(), gauge: 'safety-test', inputs });
  expect((await gaugeDesk()).usual['safety-test']).toEqual(inputs);
  expect((await refusal(keepUsual(person, { key: randomUUID(), gauge: 'safety-test', inputs }))).status).toBe(403);
  expect((await refusal(keepUsual(owner, { key: randomUUID(), gauge: 'belt', inputs: { hue: 1 } }))).fields).toEqual([
    { field: 'inputs.hue', message: 'The gauge has no such field.' },
  ]);
});

test('every gauge stands in the OpenAPI document with its fields', () => {
  const paths = openapi().paths as unknown as Record<
    string,
    { post?: { requestBody: { content: Record<string, { schema: { properties: object } }> } } }
  >;
  for (const g of gauges)
    expect(
      Object.keys(paths[`/gauges/${g.id}`]!.post!.requestBody.content['application/json']!.schema.properties),
    ).toEqual(Object.keys(g.fields));
});
