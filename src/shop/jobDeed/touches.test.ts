import { jobDeeds } from '../deeds';
import { endWait } from '../endWait/endWait';
import type { JobChanges } from '../jobView/dto';
import { jobFacts } from '../jobView/jobFacts';
import { recordFindings } from '../recordFindings/recordFindings';
import { recordProof } from '../recordProof/recordProof';
import { revokeFinding } from '../revokeFinding/revokeFinding';
import { base, openJob, SIGNED, testShop } from '../scene.fixture';
import { startWait } from '../startWait/startWait';
import { moveStage } from '../moveStage/moveStage';
import { stripStep } from '../stripStep/stripStep';
import { tickRebuild } from '../tickRebuild/tickRebuild';
import { writeNote } from '../writeNote/writeNote';

const shop = testShop();
const K1 = 'upright-shaft-belt';

/** Deeds that read only a part of the job anew, each tried below. */
const tried = new Set<string>();

/** What is known after the answer of a deed is what anybody reads of the job anew, to the last member. */
async function tellsAll(name: string, job: number, press: () => Promise<JobChanges>): Promise<void> {
  tried.add(name);
  const before = await jobFacts(job);
  const answer = await press();
  const after = await jobFacts(job);
  expect(after.version).toBe(before.version + 1);
  expect(JSON.parse(JSON.stringify({ ...before, ...answer }))).toEqual(JSON.parse(JSON.stringify(after)));
}

test('a deed that reads anew only what it touches tells everything that it changed', async () => {
  const { person } = shop;
  const job = await openJob(person, shop.models[K1]!, ['roll-not-turning', 'weak-suction']);
  const find = (check: string, outcome: string) =>
    tellsAll('record-findings', job, async () =>
      recordFindings(person, job, { ...(await base(job)), findings: [{ check, outcome }] }),
    );
  await find('finger-turn', 'stuck');
  await find('finger-turn', 'normal-drag');
  await find('sole-plate-look', 'belt-missing');
  await find('bag-or-bin', 'over-full');
  const made = (await jobFacts(job)).findings.find((f) => f.check === 'bag-or-bin')!;
  await tellsAll('revoke-finding', job, async () =>
    revokeFinding(person, job, { ...(await base(job)), finding: made.id }),
  );
  await find('filter-look', 'filter-caked');
  await tellsAll('write-note', job, async () =>
    writeNote(person, job, { ...(await base(job)), what: 'note', text: 'The owner is in a hurry.' }),
  );
  const next = (await jobFacts(job)).strip.ahead[0]!.id;
  const strip = (step: string, state: 'done' | 'undone') =>
    tellsAll('strip-step', job, async () => stripStep(person, job, { ...(await base(job)), step, state }));
  for (const state of ['done', 'undone', 'done'] as const) await strip(next, state);
  await moveStage(person, job, { ...(await base(job)), to: 'fit' });
  const dried = async () => {
    if ((await jobFacts(job)).waits.some((w) => w.endedAt === null))
      await tellsAll('end-wait', job, async () => endWait(person, job, await base(job)));
  };
  for (const { id: step, lies } of (await jobFacts(job)).rebuild) {
    // Nothing is said to be dry while its clock runs.
    if (lies) await dried();
    await tellsAll('tick-rebuild', job, async () =>
      tickRebuild(person, job, { ...(await base(job)), step, done: true }),
    );
  }
  // A step of the way back is closed: pressed again on the way in, the tick of its closing is taken back.
  await moveStage(person, job, { ...(await base(job)), to: 'find' });
  await strip('knob-off', 'done');
  await dried();
  await tellsAll('start-wait', job, async () =>
    startWait(person, job, { ...(await base(job)), kind: 'drying', what: 'foam', hours: 12 }),
  );
  await tellsAll('end-wait', job, async () => endWait(person, job, await base(job)));
  for (const { item } of (await jobFacts(job)).proofs.filter((p) => !p.power && p.required))
    await tellsAll('record-proof', job, async () =>
      recordProof(person, job, { ...(await base(job)), item, result: 'pass', note: '', ...SIGNED }),
    );
});

test('every deed that says what it touches is tried here', () => {
  const says = jobDeeds.filter((d) => 'touches' in d.spec).map((d) => d.spec.name);
  expect(says.length).toBeGreaterThan(5);
  expect([...tried].sort()).toEqual([...says].sort());
});
