import type { Person } from '../access/person';
import { readJob } from '../odds/readJob';
import { recordFindings } from '../recordFindings/recordFindings';
import { agreeTo, base, openJob } from '../scene.fixture';
import { makeEstimate } from './makeEstimate';
import { readProposal } from './readProposal';

/** A job whose belt is gone, with the offers that follow from it. The shop must have said what an hour costs. */
export async function offeredJob(person: Person, modelId: number): Promise<number> {
  const job = await openJob(person, modelId, ['roll-not-turning']);
  const looked = { ...(await base(job)), findings: [{ check: 'sole-plate-look', outcome: 'belt-missing' }] };
  await recordFindings(person, job, looked);
  const { lines } = await readProposal(job);
  await makeEstimate(person, job, {
    ...(await base(job)),
    lines: lines.map((l) => ({ ...l, eachMinor: l.eachMinor ?? 100 })),
    off100k: 0,
    offMinor: 0,
    depositMinor: 0,
    readyOn: '2199-01-01',
    warrantyDays: 90,
    words: '',
    replacement: { newMinor: null, usedMinor: null, doubtFault: null, doubtMonths: null },
  });
  return job;
}

/** The same with a yes to the smallest offer. @returns what it comes to */
export async function agreedJob(person: Person, modelId: number): Promise<{ job: number; gross: number }> {
  const job = await offeredJob(person, modelId);
  await agreeTo(person, job, { offer: 'minimum' });
  return { job, gross: (await readJob(job)).agree.estimate!.offers[0]!.bill.grossMinor };
}
