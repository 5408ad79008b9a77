import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { randomUUID } from 'node:crypto';
import type { Change } from '@/core/strip/changed';
import { readJob } from '../odds/readJob';
import { base, openJob, photographed, refusal, testShop } from '../scene.fixture';
import { stripStep } from '../stripStep/stripStep';
import { kindProcedure, modelProcedure, putProcedure, rememberStep, wayFor } from './procedures';
import { procedureSchema } from './procedureSchema';

const shop = testShop();
const K1 = 'upright-shaft-belt';
const model = () => shop.models[K1]!;
const put = async (changes: unknown[], version?: number) =>
  putProcedure.from(shop.person, model(), {
    key: randomUUID(),
    version: version ?? (await modelProcedure(model())).version,
    changes,
    why: 'Seen on three of them.',
  });
const remember = async (job: number, step: string, more: object) =>
  rememberStep.from(shop.person, job, { ...(await base(job)), step, ...more });

const ADD: Change = {
  sort: 'add',
  step: 'own-badge',
  after: 'knob-off',
  label: 'Badge pried off, a screw is under it',
  lie: 'back',
  tool: 'pry',
  minutes: 0.5,
  back: 'Badge on',
  backMinutes: 0.5,
};

test('a changed procedure counts for every machine of the model, and nothing that was written is lost', async () => {
  const job = await openJob(shop.person, model(), ['roll-not-turning']);
  await put([ADD, { sort: 'note', step: 'plate-screws', text: 'One under the wheel.' }]);
  const book = await modelProcedure(model());
  expect([book.version, book.by, book.why]).toEqual([1, shop.person.name, 'Seen on three of them.']);
  for (const step of ['knob-off', 'own-badge'])
    await stripStep(shop.person, job, { ...(await base(job)), step, state: 'done' });
  const { strip, rebuild } = await readJob(job);
  expect(strip.ahead.map((s) => [s.id, s.note])).toEqual([
    ['plate-screws', 'One under the wheel.'],
    ['plate-lift', ''],
  ]);
  expect(rebuild.map((l) => l.id).slice(0, 2)).toEqual(['close.own-badge', 'close.knob-off']);
  await put([]);
  expect((await modelProcedure(model())).version).toBe(2);
  const versions = await shop
    .db('model_procedure')
    .where({ model_id: model() })
    .orderBy('version')
    .select('version', 'changes');
  expect(versions.map((v) => v.changes.length)).toEqual([2, 0]);
});

test('two who change it at once: the second sees what the first wrote, and overwrites nothing', async () => {
  const { version } = await modelProcedure(model());
  await put([{ sort: 'drop', step: 'knob-off' }], version);
  const late = await refusal(put([{ sort: 'drop', step: 'plate-lift' }], version));
  expect([late.status, (late.extra as { current: { version: number } }).current.version]).toEqual([409, version + 1]);
});

test('what cannot be done is refused at its change', async () => {
  const fields = async (changes: unknown[]) => (await refusal(put(changes))).fields;
  expect(await fields([{ sort: 'drop', step: 'no-such-step' }])).toEqual([
    { field: 'changes[0]', message: 'There is no step no-such-step.' },
  ]);
  expect(await fields([{ sort: 'add', step: 'own-x', after: 'knob-off', label: 'x' }])).toEqual(
    ['minutes', 'back', 'backMinutes'].map((f) => ({ field: `changes[0].${f}`, message: 'A change by add says it.' })),
  );
  expect((await fields([{ sort: 'drop', step: 'Not An Id' }]))[0]!.field).toBe('changes[0].step');
  expect((await fields([{ sort: 'fly', step: 'knob-off' }]))[0]!.field).toBe('changes[0].sort');
});

test('one press remembers a step for the model, another press forgets it', async () => {
  await put([]);
  const job = await openJob(shop.person, model(), ['roll-not-turning']);
  await remember(job, 'knob-off', { sort: 'drop' });
  await remember(job, 'plate-screws', { sort: 'count', counts: [3, 2] });
  await remember(job, 'plate-screws', { sort: 'note', text: 'The long ones are black.' });
  const other = await openJob(shop.person, model(), ['roll-slow']);
  await stripStep(shop.person, other, { ...(await base(other)), step: 'plate-screws', state: 'done' });
  const { strip } = await readJob(other);
  expect(strip.done[0]).toMatchObject({ note: 'The long ones are black.' });
  expect(strip.cups[0]!.fasteners.map((f) => f.count)).toEqual([3, 2]);
  await remember(job, 'plate-screws', { sort: 'count', counts: [3, 2], lengths: ['', 'medium'] });
  expect((await readJob(other)).strip.cups[0]!.fasteners.map((f) => f.length)).toEqual([undefined, 'medium']);
  // Who names no length leaves it.
  await remember(job, 'plate-screws', { sort: 'count', counts: [3, 2] });
  expect((await readJob(other)).strip.cups[0]!.fasteners.map((f) => f.length)).toEqual([undefined, 'medium']);
  await remember(job, 'knob-off', { sort: 'as-its-kind' });
  expect((await modelProcedure(model())).changes.map((c) => [c.sort, c.step])).toEqual([
    ['note', 'plate-screws'],
    ['fasteners', 'plate-screws'],
  ]);
  expect((await refusal(remember(job, 'plate-screws', { sort: 'count', counts: [3] }))).fields[0]!.message).toBe(
    '2 numbers belong to this step.',
  );
  expect((await refusal(remember(job, 'plate-screws', { sort: 'note' }))).fields[0]!.field).toBe('text');
});

test('a step more, another place, and a photograph are remembered from the machine that lies open', async () => {
  await put([]);
  const job = await openJob(shop.person, model(), ['roll-not-turning']);
  const mine = await photographed(shop.person, job, 'step:plate-screws', 'two lengths');
  await remember(job, 'knob-off', { sort: 'add', label: 'Badge pried off', tool: 'pry', back: 'Badge on' });
  await remember(job, 'knob-off', { sort: 'add', label: 'Badge pried off', back: 'Badge on' });
  await remember(job, 'plate-screws', { sort: 'photograph', photograph: mine });
  const steps = () =>
    modelProcedure(model()).then((b) => b.steps.filter((s) => s.access === 'sole-plate').map((s) => s.id));
  const two = ['own-badge-pried-off', 'own-badge-pried-off-2'];
  expect((await steps()).filter((id) => two.includes(id)).sort()).toEqual(two);
  expect((await modelProcedure(model())).problems).toEqual([]);
  // Another machine of the model: its step shows what was photographed on the first.
  const other = await openJob(shop.person, model(), ['roll-slow']);
  expect((await readJob(other)).strip.pictures).toEqual([{ step: 'plate-screws', id: mine }]);
  // A step that was added is taken out again without a trace; one of the kind moves behind another of its opening.
  await remember(job, two[0]!, { sort: 'drop' });
  await remember(job, two[1]!, { sort: 'drop' });
  expect((await modelProcedure(model())).changes).toEqual([]);
  expect((await steps()).slice(0, 2)).toEqual(['knob-off', 'plate-screws']);
  await remember(job, 'knob-off', { sort: 'move', after: 'plate-screws' });
  expect((await steps()).slice(0, 2)).toEqual(['plate-screws', 'knob-off']);
  await remember(job, 'knob-off', { sort: 'as-its-kind' });
  // A step that follows one that was added stays when that one goes.
  await remember(job, 'knob-off', { sort: 'add', label: 'First of two', back: 'Back again' });
  await remember(job, 'own-first-of-two', { sort: 'add', label: 'Second of two', back: 'Back again' });
  await remember(job, 'own-first-of-two', { sort: 'drop' });
  expect((await modelProcedure(model())).problems).toEqual([]);
  expect((await steps()).slice(0, 2)).toEqual(['knob-off', 'own-second-of-two']);
  await remember(job, 'own-second-of-two', { sort: 'drop' });
  await remember(job, 'plate-screws', { sort: 'as-its-kind' });
  expect((await readJob(other)).strip.pictures).toEqual([]);
  const fields = async (step: string, more: object) => (await refusal(remember(job, step, more))).fields[0]!.field;
  expect(await fields('plate-screws', { sort: 'add', label: 'Badge' })).toBe('back');
  expect(await fields('plate-screws', { sort: 'move' })).toBe('after');
  expect(await fields('plate-screws', { sort: 'move', after: 'filter-out' })).toBe('after');
  expect(await fields('plate-screws', { sort: 'photograph', photograph: mine + 999 })).toBe('photograph');
  const foreign = await photographed(shop.person, other, 'step:plate-screws');
  expect(await fields('plate-screws', { sort: 'photograph', photograph: foreign })).toBe('photograph');
  expect(await fields('no-such-step', { sort: 'note', text: 'x' })).toBe('step');
});

test('what goes out is what the schema says, and can be read in again', async () => {
  const ajv = new Ajv2020({ strict: false });
  addFormats(ajv);
  const fits = ajv.compile(procedureSchema);
  await put([ADD, { sort: 'move', step: 'plate-screws', after: 'knob-off' }, { sort: 'drop', step: 'caps-off' }]);
  const book = JSON.parse(JSON.stringify(await modelProcedure(model())));
  expect(fits(book) ? [] : fits.errors).toEqual([]);
  expect(fits({ ...book, changes: [{ sort: 'add', step: 'own-x' }] })).toBe(false);
  await put([]);
  await put(book.changes);
  expect((await modelProcedure(model())).changes).toEqual(book.changes);
});

test('a fault’s way is told over the service: order, turnings, what it waits for, and the way back', async () => {
  const way = wayFor(K1, ['belt-broken', 'filter-clogged']);
  expect(way.exact).toBe(true);
  expect(way.steps.map((s) => s.id)).toEqual(expect.arrayContaining(['plate-screws', 'roll-lift', 'filter-out']));
  expect(way.faults.find((f) => f.fault === 'filter-clogged')).toMatchObject({ waits: { kind: 'drying', hours: 24 } });
  expect(way.back.at(-1)!.id).toBe('nothing-left');
  expect(() => wayFor(K1, ['gear-stripped'])).toThrow();
  expect(kindProcedure(K1)).toMatchObject({ kind: K1, version: 0, problems: [] });
  expect(() => kindProcedure('no-such-kind')).toThrow();
});
