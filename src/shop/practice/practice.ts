import { randomInt } from 'node:crypto';
import { compileKind } from '@/core/diagnosis/compileKind';
import { meterLine, type MeterQuantity } from '@/core/instruments/lineProtocol';
import { instrumentFor, simulatedReading } from '@/core/instruments/simulatedReading';
import { toBase } from '@/core/units/units';
import { database } from '@/data/database';
import { jobState } from '@/data/jobState';
import { countReading, insertPractice, practiceOf } from '@/data/practice';
import { kindById, knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { deedOn } from '../deed/deed';
import { oddsOfJob } from '../odds/odds';
import { JobDeedDto } from '../jobDeed/dto';
import { jobDeed } from '../jobDeed/jobDeed';
import { notFound, refuseIf } from '../problem';
import { MeasureDto, type MeasuredView } from './dto';

/**
 * Makes a job practice: faults that would explain its complaints are hidden in the machine, drawn by their odds, and the
 * simulated instruments answer from them. It is not counted when it is handed back.
 */
export const makePractice = jobDeed({
  name: 'make-practice',
  roles: bench,
  summary: 'Make it a practice job: faults are hidden, instruments simulated',
  dto: JobDeedDto,
  prepare: (state) => oddsOfJob(state),
  async work({ db, facts, tell }, _dto, { assessment }) {
    refuseIf([
      ...(facts.practice ? [{ field: 'job', message: 'It is practice already.' }] : []),
      ...(facts.findings.some((f) => !f.revoked)
        ? [{ field: 'job', message: 'Something was found on the real machine: take it back first.' }]
        : []),
    ]);
    const seed = randomInt(2 ** 31 - 1);
    const sets = (assessment?.explanations ?? []).filter((e) => e.faults.length > 0);
    const total = sets.reduce((sum, s) => sum + s.probability, 0);
    let u = (seed / (2 ** 31 - 1)) * total;
    const drawn = sets.find((s) => (u -= s.probability) <= 0) ?? sets[0];
    refuseIf(drawn ? [] : [{ field: 'job', message: 'Name a complaint first: nothing can be hidden behind none.' }]);
    await insertPractice(db, { job_id: facts.id, faults: drawn!.faults, seed });
    tell('note', 'Made a practice job: the simulated instruments answer from hidden faults; it is not counted.');
  },
});

/** Reads a simulated instrument on a practice job. @throws ProblemError 400 at its field; 404 for a job that is no practice */
export const measure = deedOn(
  { name: 'measure', roles: bench, summary: 'Read a simulated instrument on a practice job', dto: MeasureDto },
  (_person, jobId: number, dto) => shownBy(jobId, dto),
);

async function shownBy(jobId: number, dto: MeasureDto): Promise<MeasuredView> {
  const db = database();
  const practice = await practiceOf(db, jobId);
  if (!practice) throw notFound('A practice job of this number');
  const { model } = (await jobState(db, jobId))!;
  const kind = kindById(model.kind);
  const compiled = compileKind(knowledge, kind, { droppedStations: model.dropped_stations });
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
    model.mains_v,
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
