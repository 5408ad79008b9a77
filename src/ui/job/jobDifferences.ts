import type { JobFacts } from '@/shop/jobView/dto';
import { faultLabel, findingWords } from './labels';
import { STAGES } from './stages';

/** One thing that stands otherwise now than it stood when somebody looked. */
export interface JobDifference {
  what: string;
  seen: string;
  now: string;
}

const listed = (items: string[]) => (items.length === 0 ? 'none' : items.join('; '));

/** What each version of a job says, in the words of its screens. */
function facts(job: JobFacts): Record<string, string> {
  const findings = job.findings.filter((f) => !f.revoked).map((f) => findingWords(job.machine.kind, f));
  return {
    Stage: STAGES.find((s) => s.id === job.stage)?.label ?? job.stage,
    Place: job.benchNo ? `${job.place} ${job.benchNo}` : job.place,
    Promised: job.promisedOn,
    'In their words': job.words || 'nothing',
    'Found out': listed(findings.map((f) => `${f.what}: ${f.answer}`)),
    Proved: listed(job.proved.map(faultLabel)),
    'Cautions cleared': listed(job.clearedCautions.map((c) => c.caution.replaceAll('-', ' '))),
    Fitted: listed(job.fitted.map((f) => `${f.quantity} × ${f.label}`)),
    'Rebuild steps done': listed(job.rebuild.filter((r) => r.done).map((r) => r.label)),
    Waiting: listed(job.waits.filter((w) => w.endedAt === null).map((w) => w.what)),
    Proofs: listed(job.proofs.filter((p) => p.result).map((p) => `${p.label}: ${p.result}`)),
    Photographs: String(job.photographs.length),
  };
}

/** What differs between the job as it was seen and as it is now, in the order of the way of a machine. */
export function jobDifferences(seen: JobFacts, now: JobFacts): JobDifference[] {
  const [was, is] = [facts(seen), facts(now)];
  return Object.keys(was)
    .filter((what) => was[what] !== is[what])
    .map((what) => ({ what, seen: was[what]!, now: is[what]! }));
}
