import { randomUUID } from 'node:crypto';
import type { Knex } from 'knex';
import type { Person } from '../access/person';
import { mergeModels, modelList } from '../models/models';
import { readJob } from '../odds/readJob';
import { readDto } from '../readDto';
import { base, furnishShop, newJobDto, photographed, refusal, toHandBack } from '../scene.fixture';
import { rememberStep } from '../procedures/procedures';
import { handBack } from '../handBack/handBack';
import { openTestShop } from '../testShop.fixture';
import { TakeInDto } from './dto';
import { takeIn } from './takeIn';

let db: Knex;
let close: () => Promise<void>;
let counter: Person;
let models: Record<string, number>;
beforeAll(async () => {
  ({ db, close } = await openTestShop());
  const { person, models: made } = await furnishShop(db);
  // Anybody at the counter may do it.
  counter = { ...person, role: 'counter' };
  models = made;
});
afterAll(() => close());

const plate = (maker: string, name: string, kind: string, mainsV?: number) => ({
  maker,
  name,
  kind,
  ...(mainsV ? { mainsV } : {}),
});
const arrive = (newModel: object, complaints = ['weak-suction']) => {
  const dto = newJobDto(0, complaints);
  const { modelId: _, ...machine } = dto.newMachine!;
  return readDto(TakeInDto, { ...dto, newMachine: { ...machine, newModel } }).then((read) => takeIn(counter, read));
};
const modelOf = async (job: number) => (await readJob(job)).machine;

test('an unknown model is taken in where it stands, in the same press, with nothing known of it', async () => {
  const { job } = await arrive(plate(' Fennel ', 'Brush 3', 'canister-power-nozzle'));
  expect(await modelOf(job)).toMatchObject({
    maker: 'Fennel',
    model: 'Brush 3',
    kind: 'canister-power-nozzle',
    mainsV: 120,
  });
  expect((await modelList()).find((m) => m.name === 'Brush 3')).toMatchObject({ machines: 1, warrantyMonths: 0 });
});

test('the same plate in other letters is the same model, also from two counters at once', async () => {
  const jobs = await Promise.all(
    ['Sedge Two', 'sedge two', 'SEDGE TWO'].map((name) => arrive(plate('Tarn', name, 'backpack'), ['dead'])),
  );
  expect((await modelList()).filter((m) => m.maker.toLowerCase() === 'tarn')).toHaveLength(1);
  expect(new Set(await Promise.all(jobs.map(async (j) => (await modelOf(j.job)).model))).size).toBe(1);
  const other = await refusal(arrive(plate('Tarn', 'Sedge Two', 'robot', 14), ['goes-in-circles']));
  expect(other.fields.map((f) => f.field)).toEqual(['newMachine.newModel.kind']);
});

test('what is wrong with the plate is said at its field, and nothing is made', async () => {
  const before = (await modelList()).length;
  const fields = async (newModel: object) => (await refusal(arrive(newModel))).fields.map((f) => f.field);
  expect(await fields({ maker: '', name: '', kind: '' })).toEqual([
    'newMachine.newModel.maker',
    'newMachine.newModel.name',
    'newMachine.newModel.kind',
  ]);
  expect(await fields(plate('Tarn', 'Reed', 'no-such-kind'))).toEqual(['newMachine.newModel.kind']);
  // A cordless machine is not fed by the mains, and its pack is not guessed.
  expect(await fields(plate('Tarn', 'Reed', 'stick-cordless'))).toEqual(['newMachine.newModel.mainsV']);
  expect(await fields(plate('Tarn', 'Reed', 'stick-cordless', 230))).toEqual(['newMachine.newModel.mainsV']);
  expect(await fields(plate('Tarn', 'Reed', 'backpack', 24))).toEqual(['newMachine.newModel.mainsV']);
  // A take-in that is refused for something else leaves no model behind.
  expect((await refusal(arrive(plate('Tarn', 'Reed', 'backpack'), ['no-solution']))).fields[0]!.field).toBe(
    'complaints[0]',
  );
  expect(await modelList()).toHaveLength(before);
});

test('two models that are one are merged later: machines and what was learned go over', async () => {
  const technician: Person = { ...counter, role: 'technician' };
  const { job } = await arrive(plate('Hollin', 'upright shaft-belt', 'upright-shaft-belt'), ['squeal']);
  await toHandBack(technician, job);
  await handBack(technician, job, {
    ...(await base(job)),
    faults: ['bearing-rough'],
    advice: '',
    ownersWord: 'Later.',
  });
  const { job: openedAgain } = await arrive(plate('Hollin', 'upright shaft-belt', 'upright-shaft-belt'), ['squeal']);
  const list = await modelList();
  const typed = list.find((m) => m.name === 'upright shaft-belt')!;
  const kept = list.find((m) => m.id === models['upright-shaft-belt'])!;
  const merge = (other: number) =>
    mergeModels(technician, kept.id, { key: randomUUID(), version: kept.version, other });
  expect((await refusal(merge(kept.id))).fields[0]!.field).toBe('other');
  expect((await refusal(merge(models['upright-brush-motor']!))).fields[0]!.message).toMatch(/another kind/);
  // What was written of the one that goes: its way in, a photograph, its plate.
  const seen = await photographed(technician, openedAgain, 'step:plate-screws');
  await rememberStep(technician, openedAgain, {
    ...(await base(openedAgain)),
    step: 'plate-screws',
    sort: 'note',
    text: 'Two are black.',
  });
  await rememberStep(technician, openedAgain, {
    ...(await base(openedAgain)),
    step: 'plate-screws',
    sort: 'photograph',
    photograph: seen,
  });
  await db('model')
    .where({ id: typed.id })
    .update({ plates: { 'flat-belt': { days: 200 }, 'roll-hair': { days: 9 } } });
  await db('model')
    .where({ id: kept.id })
    .update({ plates: { 'flat-belt': { days: 180 } } });
  await merge(typed.id);
  const { strip } = await readJob(openedAgain);
  expect([strip.changes, strip.pictures]).toEqual([
    [{ sort: 'note', step: 'plate-screws', text: 'Two are black.' }],
    [{ step: 'plate-screws', id: seen }],
  ]);
  expect((await db('model').where({ id: kept.id }).first('plates')).plates).toEqual({
    'flat-belt': { days: 180 },
    'roll-hair': { days: 9 },
  });
  expect((await modelList()).some((m) => m.id === typed.id)).toBe(false);
  expect((await modelOf(job)).model).toBe(kept.name);
  expect(await db('fault_tally').where({ model_id: kept.id, fault: 'bearing-rough' })).toMatchObject([
    { confirmed: 1 },
  ]);
});
