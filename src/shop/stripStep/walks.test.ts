import { randomUUID } from 'node:crypto';
import { knowledge } from '@/knowledge';
import { clearCaution } from '../clearCaution/clearCaution';
import { endWait } from '../endWait/endWait';
import { handBack } from '../handBack/handBack';
import type { JobFacts } from '../jobView/dto';
import { addModel } from '../models/models';
import { moveStage } from '../moveStage/moveStage';
import { readJob } from '../odds/readJob';
import { recordFindings } from '../recordFindings/recordFindings';
import { agreeTo, base, openJob, proveAll, testShop } from '../scene.fixture';
import { tickRebuild } from '../tickRebuild/tickRebuild';
import { stripStep } from './stripStep';

// Common practice, no source: six machines from the proved cause to the door, and what must be said on the way.
const shop = testShop();

interface Walk {
  walk: number;
  kind: string;
  complaints: string[];
  faults: string[];
  /** Said on the way in, on the way back, and owed as proof. */
  says: RegExp[];
}

const walks: Walk[] = [
  {
    walk: 2,
    kind: 'upright-self-propelled',
    complaints: ['hard-to-push'],
    faults: ['transmission-worn'],
    says: [
      /cord grip screw.*small/i,
      /switch.*apart from the front/i,
      /2 medium pointed screws/i,
      /2 long screws.*upper front/i,
      /fourth screw below stays/i,
      /penetrating oil and hours, no force/i,
      /matching motor sprocket, its pin and its circlip/i,
      /matching motor sprocket, pin and circlip on an older one/i,
      /belt over both wheels, bracket held/i,
      /in neutral the shaft spins free and silent/i,
      /arm joined to it before the cover/i,
      /cord pushed aside/i,
    ],
  },
  {
    walk: 3,
    kind: 'upright-clutch',
    complaints: ['roll-slow'],
    faults: ['bearing-rough', 'clutch-worn-or-melted'],
    says: [
      /lugs.*quarter turn/i,
      /lifted over its bridge/i,
      /caps twisted off/i,
      /front and back together/i,
      /third behind the U-bend/i,
      /driver of 100 mm/i,
      /as a pair/i,
      /unhooked from the spindle/i,
      /arm in line with the body/i,
      /turned by hand twice/i,
      /U-bend pushed home/i,
    ],
  },
  {
    walk: 6,
    kind: 'upright-brush-motor',
    complaints: ['roll-not-turning'],
    faults: ['tilt-switch-failed'],
    says: [
      /front wheels popped/i,
      /all screws but those of the axle/i,
      /hidden.*behind the sole plate/i,
      /lamp plug off/i,
      /wires in their channel and at the switch/i,
      /seconds on one screw/i,
      /soldered or spliced/i,
      /roll stops.*upright/i,
    ],
  },
  {
    walk: 13,
    kind: 'upright-self-propelled',
    complaints: ['weak-suction'],
    faults: ['sealant-joint-leaking'],
    says: [
      /every trace of old sealant off/i,
      /emptying shoe out/i,
      /flat and light on soft alloy/i,
      /undone clockwise/i,
      /left-hand thread/i,
      /new sealant all round/i,
      /countersunk.*their two holes/i,
      /drive lever up, fork over its receiver/i,
      /started by hand into the alloy/i,
    ],
  },
  {
    walk: 16,
    kind: 'upright-self-propelled',
    complaints: ['roll-slow'],
    faults: ['belt-slipping'],
    says: [
      /lifter turned to belt off/i,
      /nozzle unlatched, lifter turned to free the belt/i,
      /levers of the bottom plate/i,
      /same number up at both ends/i,
      /large and small are not exchanged/i,
      /few millimetres proud/i,
      /lifter to on/i,
    ],
  },
  {
    walk: 17,
    kind: 'upright-clutch',
    complaints: ['dead'],
    faults: ['suction-motor-failed'],
    says: [
      /four screws of the motor housing/i,
      /fifth screw stays/i,
      /holders in an L/i,
      /upper seal goes on the new motor.*wider base/i,
      /jelly on the seals/i,
      /arrow towards the filter/i,
      /four clips, no gap/i,
      /inner groove/i,
      /hose on the upper port/i,
      /spring hose springs/i,
    ],
  },
];

/** What shows a fault directly on a kind: an outcome, or a reading of its class. */
function proofOf(kind: string, fault: string) {
  for (const check of knowledge.checks.filter((c) => c.kinds.includes(kind)))
    for (const aspect of check.aspects)
      for (const o of aspect.outcomes) {
        if (!o.proves?.includes(fault) || !(o.kinds?.includes(kind) ?? true)) continue;
        if (!aspect.reading) return { check: check.id, outcome: o.id };
        const { scatter } = aspect.reading.classes.find((c) => c.outcome === o.id)!;
        if (scatter.shape !== 'uniform') continue;
        const value = Math.sqrt(scatter.from * scatter.to);
        return {
          check: check.id,
          value,
          unit: aspect.reading.unit,
          ...(aspect.condition ? { condition: aspect.condition } : {}),
        };
      }
  throw new Error(`Nothing shows ${fault} on ${kind}.`);
}

const modelOf = async (kind: string) =>
  (
    await addModel(shop.person, {
      key: randomUUID(),
      maker: 'Hollin',
      name: `Walked ${randomUUID().slice(0, 8)}`,
      kind,
      mainsV: 120,
      warrantyMonths: 24,
      belts: [],
      bearings: [],
      filters: [],
      droppedStations: [],
      addedStations: [],
      note: '',
    })
  ).id;

/** Everything that a job says of its way in and back, and of what it owes. */
const saidBy = ({ strip, rebuild, proofs }: JobFacts) => [
  ...[...strip.done, ...strip.ahead].flatMap((s) => [
    s.label,
    s.stays,
    s.carried,
    s.photograph,
    ...s.fasteners.map((f) =>
      `${f.count} ${f.length ?? ''} ${f.shape ?? ''} ${f.what}s ${f.hidden ? 'hidden' : ''} ${f.where}`.replace(
        / +/g,
        ' ',
      ),
    ),
  ]),
  ...rebuild.map((l) => l.label),
  ...proofs.map((p) => p.label),
];

test.each(walks.map((w) => [w.walk, w] as const))(
  'walk %i: from the proved cause to the door',
  async (_, { kind, complaints, faults, says }) => {
    const { person } = shop;
    const job = await openJob(person, await modelOf(kind), complaints);
    for (const fault of faults)
      await recordFindings(person, job, { ...(await base(job)), findings: [proofOf(kind, fault)] });
    const found = await readJob(job);
    expect(found.proved).toEqual(expect.arrayContaining(faults));
    await agreeTo(person, job);
    await moveStage(person, job, { ...(await base(job)), to: 'strip' });
    for (let n = 0; n < 60; n++) {
      const [step] = (await readJob(job)).strip.ahead;
      if (!step) break;
      await stripStep(person, job, { ...(await base(job)), step: step.id, state: 'done' });
    }
    const opened = await readJob(job);
    expect(opened.strip.ahead).toEqual([]);
    const said = saidBy(opened);
    expect(says.filter((must) => !said.some((words) => must.test(words)))).toEqual([]);
    await moveStage(person, job, { ...(await base(job)), to: 'fit' });
    for (const caution of (await readJob(job)).cautions)
      await clearCaution(person, job, { ...(await base(job)), caution, how: 'Looked at and made safe.' });
    for (let n = 0; n < 120; n++) {
      const now = await readJob(job);
      if (now.waits.some((w) => !w.endedAt)) await endWait(person, job, await base(job));
      const line = now.rebuild.find((l) => !l.done);
      if (!line) break;
      await tickRebuild(person, job, { ...(await base(job)), step: line.id, done: true });
    }
    const fitted = await readJob(job);
    expect(fitted.rebuild.filter((l) => !l.done)).toEqual([]);
    expect(fitted.repaired).toEqual(expect.arrayContaining(faults));
    expect(fitted.strip.cups.filter((c) => c.full)).toEqual([]);
    expect(fitted.open).toEqual([]);
    if (fitted.waits.some((w) => !w.endedAt)) await endWait(person, job, await base(job));
    await moveStage(person, job, { ...(await base(job)), to: 'prove' });
    await proveAll(person, job);
    await moveStage(person, job, { ...(await base(job)), to: 'hand-back' });
    await handBack(person, job, { ...(await base(job)), faults, advice: '', ownersWord: 'Left as it is.' });
    expect((await readJob(job)).stage).toBe('closed');
  },
);
