import type { JobFacts } from '@/shop/jobView/dto';
import { aspectFor, doingOf } from '../job/labels';
import type { Press } from '../job/useJob';
import type { Answered } from './CheckCard';

/** The job as it will stand when what was pressed is saved: answers that wait are there, and hide those that they replace. */
export function withWaiting(job: JobFacts, waiting: readonly Press[]): JobFacts {
  const answers = waiting.filter((p) => p.deed === 'record-findings').flatMap((p) => p.body.findings as Answered[]);
  if (answers.length === 0) return job;
  const aspect = (f: { check: string; outcome: string | null; condition: string | null }) => {
    const doing = doingOf(job.machine.kind, f.check);
    return `${f.check}/${doing ? aspectFor(doing, f)?.id : ''}`;
  };
  const findings = answers.reduce<JobFacts['findings']>((before, a, i) => {
    const made = {
      id: -1 - i,
      check: a.check,
      outcome: a.outcome ?? null,
      value: a.value ?? null,
      unit: a.unit ?? null,
      condition: a.condition ?? null,
      at: '',
      by: null,
      revoked: false,
      before: false,
    };
    return [
      ...before.map((f) => (!f.revoked && !f.before && aspect(f) === aspect(made) ? { ...f, revoked: true } : f)),
      made,
    ];
  }, job.findings);
  return { ...job, findings };
}
