import { randomInt } from 'node:crypto';
import { compileKind } from '@/core/diagnosis/compileKind';
import { meterLine, type MeterQuantity } from '@/core/instruments/lineProtocol';
import { instrumentFor, simulatedReading } from '@/core/instruments/simulatedReading';
import { toBase } from '@/core/units/units';
import { database } from '@/data/database';
import { countReading, insertPractice, practiceOf } from '@/data/practice';
import { kindById, knowledge } from '@/knowledge';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import type { JobDeedDto } from '../jobDeed/dto';
import { jobView } from '../jobView/jobView';
import { notFound, refuseIf } from '../problem';
import type { MeasuredView, MeasureDto } from './dto';

/**
 * Makes a job practice: faults that would explain its complaints are hidden in the machine, drawn by their odds, and the
 * simulated instruments answer from them. It is not counted when it is handed back.
 */
export function makePractice(person: Person, jobId: number, dto: JobDeedDto) {
  return jobDeed('make-practice', person, jobId, dto, async ({ db, job, tell }) => {
    const view = await jobView(db, job.id);
    refuseIf([
      ...(view.practice ? [{ field: 'job', message: 'It is practice already.' }] : []),
      ...(view.findings.some((f) => !f.revoked)
        ? [{ field: 'job', message: 'Something was found on the real machine: take it back first.' }]
        : []),
    ]);
    const seed = randomInt(2 ** 31 - 1);
    const sets = view.assessment.explanations.filter((e) => e.faults.length > 0);
    const total = sets.reduce((sum, s) => sum + s.probability, 0);
    let u = (seed / (2 ** 31 - 1)) * total;
    const drawn = sets.find((s) => (u -= s.probability) <= 0) ?? sets[0];
    refuseIf(drawn ? [] : [{ field: 'job', message: 'Name a complaint first: nothing can be hidden behind none.' }]);
    await insertPractice(db, { job_id: job.id, faults: drawn!.faults, seed });
    await tell('note', 'Made a practice job: the simulated instruments answer from hidden faults; it is not counted.');
  });
}

/** Reads a simulated instrument on a practice job. @throws ProblemError 400 at its field; 404 for a job that is no practice */
export async function measure(person: Person, jobId: number, dto: MeasureDto): Promise<MeasuredView> {
  allow(person, 'measure');
  const db = database();
  const practice = await practiceOf(db, jobId);
  if (!practice) throw notFound('A practice job of this number');
  const { machine } = await jobView(db, jobId);
  const kind = kindById(machine.kind);
  const compiled = compileKind(knowledge, kind, { droppedStations: machine.droppedStations });
  const check = compiled.checks.find((c) => c.id === dto.check);
  const aspect = check?.aspects.find((a) => a.reading && (!dto.condition || a.condition === dto.condition));
  refuseIf([
    ...(check ? [] : [{ field: 'check', message: `${kind.id} has no check ${dto.check}.` }]),
    ...(check && !aspect ? [{ field: 'condition', message: 'Nothing is measured there.' }] : []),
  ]);
  const present = new Set(practice.faults.flatMap((f) => compiled.faultIndex.get(f) ?? []));
  const turn = (await countReading(db, jobId)) ?? 0;
  const spec = aspect!.reading!;
  const shown = simulatedReading(
    compiled,
    machine.mainsV,
    present,
    { check: dto.check, aspect: aspect! },
    practice.seed,
    turn,
  );
  const quantity = spec.quantity as MeterQuantity;
  return {
    instrument: instrumentFor(spec.quantity, kind),
    line: meterLine({ quantity, value: toBase(quantity, shown, spec.unit) }),
  };
}
