import { randomInt } from 'node:crypto';
import { compileKind } from '@/core/diagnosis/compileKind';
import { trulyDropped } from '@/core/diagnosis/finderCase';
import { meterLine, type MeterQuantity } from '@/core/instruments/lineProtocol';
import { seenOn } from '@/core/instruments/hiddenState';
import { instrumentFor, simulatedReading } from '@/core/instruments/simulatedReading';
import { toBase } from '@/core/units/units';
import { database } from '@/data/database';
import { jobState } from '@/data/jobState';
import { revokeFindings } from '@/data/jobs';
import { countReading, deletePractice, insertPractice, practiceOf } from '@/data/practice';
import { kindById, knowledge } from '@/knowledge';
import { bench } from '../access/roles';
import { deedOn } from '../deed/deed';
import { oddsOfJob } from '../odds/odds';
import { JobDeedDto } from '../jobDeed/dto';
import { jobDeed } from '../jobDeed/jobDeed';
import { notFound, refuseIf } from '../problem';
import { LookDto, MeasureDto, type MeasuredView, type SeenView } from './dto';

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

/** Makes a practice job a real one again: what was found on the invented machine is taken back. */
export const endPractice = jobDeed({
  name: 'end-practice',
  roles: bench,
  summary: 'Make a practice job a real one again: its findings are taken back',
  dto: JobDeedDto,
  async work({ db, jobId, person, facts, state, tell, change }) {
    const done = state.fitted.length + state.repairs.length + state.proofs.length + state.service.length;
    refuseIf([
      ...(facts.practice ? [] : [{ field: 'job', message: 'It is no practice job.' }]),
      ...(done > 0
        ? [
            {
              field: 'job',
              message: 'Parts, repairs or proofs were written down in practice: hand it back as practice.',
            },
          ]
        : []),
    ]);
    const found = state.findings.filter((f) => f.revoked_at === null).map((f) => f.id);
    if (found.length > 0) await revokeFindings(db, jobId, found, person.id);
    await deletePractice(db, jobId);
    change({ stage: 'find' });
    tell('note', 'Practice ended: it is a real job again, and what was found in practice is taken back.');
  },
});

/** What is seen on a practice job's machine. @throws ProblemError 400 at its field; 404 for a job that is no practice */
export const look = deedOn(
  { name: 'look', roles: bench, summary: 'Look at the machine of a practice job', dto: LookDto },
  async (_person, jobId: number, dto): Promise<SeenView> => {
    const { practice, compiled, present } = await hidden(jobId);
    try {
      return { seen: seenOn(compiled, present, dto.check, practice.seed) };
    } catch (error) {
      if (error instanceof RangeError) refuseIf([{ field: 'check', message: error.message }]);
      throw error;
    }
  },
);

/** Reads a simulated instrument on a practice job. @throws ProblemError 400 at its field; 404 for a job that is no practice */
export const measure = deedOn(
  { name: 'measure', roles: bench, summary: 'Read a simulated instrument on a practice job', dto: MeasureDto },
  (_person, jobId: number, dto) => shownBy(jobId, dto),
);

/** The machine behind a practice job. @throws ProblemError 404 for a job that is no practice */
async function hidden(jobId: number) {
  const db = database();
  const practice = await practiceOf(db, jobId);
  if (!practice) throw notFound('A practice job of this number');
  const { model, complaints } = (await jobState(db, jobId))!;
  const kind = kindById(model.kind);
  const droppedStations = trulyDropped(knowledge, kind, { complaints, droppedStations: model.dropped_stations });
  const compiled = compileKind(knowledge, kind, { droppedStations });
  const present = new Set(practice.faults.flatMap((f) => compiled.faultIndex.get(f) ?? []));
  return { practice, model, kind, compiled, present };
}

async function shownBy(jobId: number, dto: MeasureDto): Promise<MeasuredView> {
  const { practice, model, kind, compiled, present } = await hidden(jobId);
  const check = compiled.checks.find((c) => c.id === dto.check);
  const aspect = check?.aspects.find((a) => a.reading && (!dto.condition || a.condition === dto.condition));
  refuseIf([
    ...(check ? [] : [{ field: 'check', message: `${kind.id} has no check ${dto.check}.` }]),
    ...(check && !aspect ? [{ field: 'condition', message: 'Nothing is measured there.' }] : []),
  ]);
  const turn = (await countReading(database(), jobId)) ?? 0;
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
