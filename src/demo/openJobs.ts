import type { Knex } from 'knex';
import { addDays } from '@/core/service/days';
import type { Person } from '@/shop/access/person';
import { recordAnswer } from '@/shop/agree/recordAnswer';
import { rememberStep } from '@/shop/procedures/procedures';
import { fitPart } from '@/shop/fitPart/fitPart';
import { readJob } from '@/shop/odds/readJob';
import { bestOrder } from '@/core/strip/bestOrder';
import { stepsToOpen } from '@/core/strip/reach';
import { kindById } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { noteLoss } from '@/shop/losses/losses';
import { addPhotographs } from '@/shop/photographs/photographs';
import { stripStep } from '@/shop/stripStep/stripStep';
import { markRepaired } from '@/shop/markRepaired/markRepaired';
import { moveJob } from '@/shop/moveJob/moveJob';
import { moveStage } from '@/shop/moveStage/moveStage';
import { recordFindings } from '@/shop/recordFindings/recordFindings';
import { recordProof } from '@/shop/recordProof/recordProof';
import { startWait } from '@/shop/startWait/startWait';
import type { TakeInDto } from '@/shop/takeIn/dto';
import { takeIn } from '@/shop/takeIn/takeIn';
import { tickRebuild } from '@/shop/tickRebuild/tickRebuild';
import { drawnPhotograph } from './drawnPhotograph';

interface Scene {
  people: number[];
  machines: { id: number; model_id: number }[];
  models: { id: number; kind: string; dropped_stations: string[] }[];
  today: string;
  random: () => number;
}

const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';

/** The machines on the premises, each brought to where it stands by the shop's own deeds. */
export async function writeOpenJobs(db: Knex, { people, machines, models, today, random }: Scene): Promise<number> {
  const person: Person = { id: people[0]!, name: 'Wren Ostrey', role: 'owner' };
  const modelOf = new Map(models.map((m) => [m.id, m]));
  const free: Record<string, number[]> = {};
  const droppedOf = new Map(machines.map((m) => [m.id, modelOf.get(m.model_id)!.dropped_stations]));
  for (const m of machines) (free[modelOf.get(m.model_id)!.kind] ??= []).push(m.id);
  const hex = () => Math.floor(random() * 16).toString(16);
  const key = () => 'xxxxxxxx-xxxx-4xxx-8xxx-xxxxxxxxxxxx'.replace(/x/g, hex);

  const take = async (
    kind: string,
    complaints: string[],
    words: string,
    more: {
      signs?: string[];
      guess?: string;
      openedBy?: string;
      promised: number;
      ago: number;
      needs?: string;
      at?: { place?: 'bench' | 'rack' | 'door-shelf'; benchNo?: number; person?: number };
    } & Partial<Pick<TakeInDto, 'accessories' | 'marks' | 'pickedUp' | 'visit' | 'everWet' | 'photographs'>>,
  ) => {
    // A machine that has the station that the story is about.
    const fit = free[kind]!.filter((id) => !more.needs || !droppedOf.get(id)!.includes(more.needs));
    const machineId = fit[Math.floor(random() * fit.length)]!;
    free[kind] = free[kind]!.filter((id) => id !== machineId);
    const { job } = await takeIn(person, {
      key: key(),
      machineId,
      words,
      complaints,
      arrivalSigns: more.signs ?? [],
      openedBefore: more.openedBy !== undefined,
      openedBy: more.openedBy ?? '',
      accessories: more.accessories ?? [],
      marks: more.marks ?? [],
      pickedUp: more.pickedUp ?? '',
      visit: more.visit ?? '',
      everWet: more.everWet ?? 'no',
      photographs: more.photographs ?? [],
      warrantyChoice: 'repair-here',
      promisedOn: addDays(today, Math.max(0, more.promised)),
      ...(more.guess ? { customerDiagnosis: more.guess } : {}),
    });
    // Taken in some days ago; promised when it was promised, also when that is past.
    const at = new Date(Date.now() - more.ago * 86_400_000);
    await db('job')
      .where({ id: job })
      .update({ taken_in_at: at, promised_on: addDays(today, more.promised) });
    await db('timeline').where({ job_id: job }).update({ at });
    if (more.at) {
      const { place, benchNo, person: worker } = more.at;
      await moveJob(person, job, {
        ...(await base(job)),
        ...(place ? { place } : {}),
        ...(benchNo ? { benchNo } : {}),
        ...(worker ? { personId: worker } : {}),
      });
    }
    return job;
  };
  const base = async (job: number) => ({ key: key(), version: (await readJob(job)).version });
  const find = async (
    job: number,
    ...findings: { check: string; outcome?: string; value?: number; unit?: string; condition?: string }[]
  ) => {
    for (const f of findings) await recordFindings(person, job, { ...(await base(job)), findings: [f] });
  };
  const move = async (job: number, to: 'find' | 'strip' | 'fit' | 'prove' | 'hand-back') => {
    // Nothing is opened further before the owner agreed.
    if (to === 'strip' && !(await readJob(job)).agree.mayOpen)
      await recordAnswer(person, job, {
        ...(await base(job)),
        says: 'yes',
        way: 'counter',
        who: 'The owner',
        words: 'Do what it takes.',
      });
    await moveStage(person, job, { ...(await base(job)), to });
  };
  const rebuild = async (job: number, but: string[] = []) => {
    for (const step of (await readJob(job)).rebuild)
      if (!but.includes(step.id)) await tickRebuild(person, job, { ...(await base(job)), step: step.id, done: true });
  };
  const SAID = {
    rules: 'Local rules in force',
    readings: 'Insulation 85 MΩ, touch current 0.05 mA',
    tester: person.name,
  };
  const prove = async (job: number, but: string[] = []) => {
    for (const p of (await readJob(job)).proofs)
      if (p.required && !but.includes(p.item))
        await recordProof(person, job, { ...(await base(job)), item: p.item, result: 'pass', note: '', ...SAID });
  };

  /** A machine of a stranger of some kind, opened so far to look, with a picture at one step. */
  const opened = async (
    kind: string,
    access: string,
    upTo: string,
    said: { owner: string; phone: string; words: string; complaint: string; promised: number },
    picture?: { step: string; words: string; colour: string },
  ) => {
    const model = (await db('model').where({ kind }).orderBy('id').first('id'))!;
    const { job } = await takeIn(person, {
      key: key(),
      newMachine: { modelId: model.id, serial: 'D204417', pets: true, hoursPerWeek: 3 },
      newCustomer: { name: said.owner, kind: 'household', phone: said.phone, email: '', address: '', standing: '' },
      words: said.words,
      complaints: [said.complaint],
      arrivalSigns: [],
      openedBefore: true,
      openedBy: 'the last owner',
      accessories: [],
      marks: [],
      pickedUp: '',
      visit: '',
      everWet: 'no',
      photographs: [],
      warrantyChoice: 'none',
      promisedOn: addDays(today, said.promised),
    });
    await move(job, 'strip');
    const way = stepsToOpen(procedures[kind]!, kindById(kind).access, [access]);
    for (const step of bestOrder(way).steps) {
      if (step.id === upTo) break;
      await stripStep(person, job, { ...(await base(job)), step: step.id, state: 'done' });
      if (step.id !== picture?.step) continue;
      const seen = await drawnPhotograph(person, picture.words, picture.colour);
      await addPhotographs(person, job, {
        ...(await base(job)),
        photographs: [seen],
        caption: step.label,
        shows: `step:${step.id}`,
      });
      // Worth seeing at every machine of the model.
      await rememberStep(person, job, { ...(await base(job)), step: step.id, sort: 'photograph', photograph: seen });
    }
    return job;
  };
  const openMachines = async () => {
    const drive = await opened(
      'upright-self-propelled',
      'transmission',
      'foot-cover',
      {
        owner: 'Marit Oakhollow',
        phone: '555 0188',
        words: 'Hard to push since spring, and it clicks.',
        complaint: 'hard-to-push',
        promised: 4,
      },
      { step: 'upper-front-screws', words: 'long ones on top', colour: '#4c4a3a' },
    );
    await moveJob(person, drive, { ...(await base(drive)), benchNo: 1, personId: people[0]! });
    await noteLoss(person, drive, { ...(await base(drive)), step: 'switch-screws', what: 'missing', count: 1 });
    const shelf = [
      await opened(
        'upright-clutch',
        'motor-bay',
        'bay-clips',
        {
          owner: 'Tamsin Quarrel',
          phone: '555 0189',
          words: 'It roars, then it is quiet.',
          complaint: 'harsh-motor',
          promised: 5,
        },
        { step: 'bay-wires', words: 'an L behind the rim', colour: '#3f4a55' },
      ),
      await opened(
        'stick-cordless',
        'motor-bay',
        'board-look',
        {
          owner: 'Edric Holmwater',
          phone: '555 0190',
          words: 'It smells and has no breath.',
          complaint: 'weak-suction',
          promised: 6,
        },
        { step: 'body-screws', words: 'five short ones', colour: '#45503f' },
      ),
      await opened('scrubber-walk-behind', 'deck', 'plug-and-hoses', {
        owner: 'Lowen Carrick',
        phone: '555 0191',
        words: 'It leaves water and squeals.',
        complaint: 'squeal',
        promised: 7,
      }),
    ];
    for (const job of shelf) await moveJob(person, job, { ...(await base(job)), place: 'parts-shelf' });
  };

  await take(K1, ['roll-not-turning'], 'The brush just sits there. My brother says it needs a belt.', {
    guess: 'belt-broken',
    promised: 2,
    ago: 0,
    accessories: ['hose', 'wand', 'crevice tool'],
    marks: [{ station: 'housing', text: 'cracked at the latch' }],
    pickedUp: 'a sock',
  });
  await take(K2, ['roll-not-turning', 'bad-smell'], 'Left in the shed when the tide came up. The brush does not go.', {
    signs: ['wet', 'mould'],
    promised: 3,
    ago: 1,
    everWet: 'yes',
    accessories: ['power nozzle'],
    photographs: [
      await drawnPhotograph(person, 'tide mark', '#5c5138'),
      await drawnPhotograph(person, 'mud in the head', '#3e4a3b'),
    ],
    at: { place: 'door-shelf' },
  });

  const halfWay = await take(K2, ['roll-not-turning'], 'It sucks but the roller does not go round.', {
    guess: 'belt-broken',
    promised: 1,
    ago: 1,
    at: { person: people[0]! },
  });
  await find(
    halfWay,
    { check: 'finger-turn', outcome: 'normal-drag' },
    { check: 'brush-switch-position', outcome: 'on' },
    { check: 'run-seconds', outcome: 'roll-none' },
    { check: 'head-socket-volts', value: 117, unit: 'V', condition: 'roll-on' },
  );

  await take(K1, ['burning-smell', 'roll-slow'], 'There was a hot smell, I stopped at once.', {
    signs: ['burnt'],
    promised: -1,
    ago: 4,
    at: { benchNo: 2, person: people[1]! },
  });

  const drying = await take(
    K1,
    ['stops-after-minutes', 'weak-suction'],
    'It runs ten minutes, dies, and comes back after tea.',
    { needs: 'cut-out', promised: 1, ago: 1 },
  );
  await find(drying, { check: 'bag-or-bin', outcome: 'below-line' }, { check: 'filter-look', outcome: 'filter-caked' });
  await move(drying, 'fit');
  await startWait(person, drying, { ...(await base(drying)), kind: 'drying', what: 'foam filter, washed', hours: 24 });
  await db('wait')
    .where({ job_id: drying })
    .update({ started_at: new Date(Date.now() - 9 * 3_600_000), ends_at: new Date(Date.now() + 15 * 3_600_000) });

  const parts = await take(K2, ['ratchet-noise', 'roll-slow'], 'Clack clack clack in the front.', {
    promised: 2,
    ago: 3,
  });
  await find(
    parts,
    { check: 'finger-turn', outcome: 'normal-drag' },
    { check: 'sole-plate-look', outcome: 'belt-teeth-worn' },
  );
  await move(parts, 'fit');
  await startWait(person, parts, { ...(await base(parts)), kind: 'part', what: 'toothed belt, 90 teeth', hours: 52 });

  const stripping = await take(K1, ['roll-not-turning'], 'A bang, and the brush stood still.', {
    promised: 1,
    ago: 1,
    at: { benchNo: 2, person: people[1]! },
  });
  await find(
    stripping,
    { check: 'finger-turn', outcome: 'free-no-drag' },
    { check: 'sole-plate-look', outcome: 'belt-missing' },
  );
  await move(stripping, 'strip');
  await noteLoss(person, stripping, {
    ...(await base(stripping)),
    step: 'plate-screws',
    what: 'missing',
    count: 1,
  });
  await stripStep(person, stripping, { ...(await base(stripping)), step: 'roll-lift', state: 'done' });

  await openMachines();

  const fitting = await take(K1, ['squeal'], 'It screams.', {
    promised: 0,
    ago: 2,
    openedBy: 'a neighbour',
    at: { benchNo: 2, person: people[1]! },
  });
  await find(fitting, { check: 'finger-turn', outcome: 'grates' }, { check: 'bearing-feel', outcome: 'bearing-rough' });
  await move(fitting, 'fit');
  await fitPart(person, fitting, { ...(await base(fitting)), code: 'BB-608', station: 'roll-bearings', quantity: 2 });
  // The roll is in, the plate is not: its screws still lie in their cups.
  await rebuild(fitting, [
    'close.plate-lift',
    'cover-seated',
    'close.plate-screws',
    'close.knob-off',
    'height-knob',
    'cord-clear',
    'turned-by-hand',
    'nothing-left',
  ]);

  const proving = await take(K1, ['roll-not-turning'], 'Brush stopped dead on the hall rug.', {
    promised: 0,
    ago: 2,
    at: { person: people[0]! },
  });
  await find(
    proving,
    { check: 'finger-turn', outcome: 'free-no-drag' },
    { check: 'sole-plate-look', outcome: 'belt-missing' },
  );
  await move(proving, 'fit');
  await fitPart(person, proving, { ...(await base(proving)), code: 'FB-10-300', station: 'flat-belt', quantity: 1 });
  await rebuild(proving);
  await move(proving, 'prove');
  await prove(proving, ['complaint:roll-not-turning', 'run-3-min']);

  const ready = await take(K2, ['no-suction'], 'No suck at all.', { promised: 0, ago: 2 });
  await find(ready, { check: 'hose-drop', outcome: 'held' }, { check: 'frame-look', outcome: 'wheels-bound' });
  await markRepaired(person, ready, { ...(await base(ready)), fault: 'hose-clogged', done: true });
  await move(ready, 'fit');
  await rebuild(ready);
  await move(ready, 'prove');
  await prove(ready);
  await move(ready, 'hand-back');
  await moveJob(person, ready, { ...(await base(ready)), place: 'door-shelf' });
  await take(K1, [], 'The yearly clean, as always. Nothing is wrong with it.', {
    visit: 'service',
    promised: 3,
    ago: 0,
  });
  await take('scrubber-walk-behind', [], 'The monthly service, at the site. Nothing to complain of.', {
    visit: 'service',
    promised: 0,
    ago: 0,
  });
  return 16;
}
