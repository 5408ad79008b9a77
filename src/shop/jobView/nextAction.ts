import { repairedFault } from '@/core/diagnosis/doing';
import { proposedStep } from '@/core/diagnosis/finderCase';
import { isAnyWorn } from '@/core/service/isAnyWorn';
import { knowledge } from '@/knowledge';
import { planItem } from '@/knowledge/plans';
import type { AssessmentView } from '../finding/dto';
import type { WrittenFacts } from './jobFacts';

export interface NextAction {
  text: string;
  minutes: number;
}

const checkLabel = new Map(knowledge.checks.map((c) => [c.id, c.label]));
const faultById = new Map(knowledge.faults.map((f) => [f.id, f]));

/** The next thing for the hands on this machine, for the Bench. @param odds only Find needs them; null when there are none */
export function nextActionOf(job: WrittenFacts, odds: AssessmentView | null): NextAction | null {
  if (job.stage === 'closed') return null;
  if (job.stage === 'find' && job.complaints.length === 0) return onVisit(job);
  if (job.stage === 'find') return inFind(job, odds);
  if (job.stage === 'agree') return inAgree(job);
  if (job.stage === 'strip') {
    const [step] = job.strip.ahead;
    return step
      ? { text: `Strip: ${step.label}`, minutes: aboutMinutes(step.minutes) }
      : { text: 'Go to Fit', minutes: 1 };
  }
  if (job.stage === 'fit') {
    const step = job.rebuild.find((s) => !s.done && s.sort !== 'repair');
    const unfitted = job.toMend.find(
      (id) => !job.repaired.includes(id) && !job.fitted.some((f) => f.station === stationOf(job, id)),
    );
    if (unfitted && faultById.get(unfitted)!.repair.parts && job.fitted.length === 0)
      return { text: faultById.get(unfitted)!.repair.label, minutes: faultById.get(unfitted)!.repair.minutes };
    return step
      ? { text: `Rebuild: ${step.label}`, minutes: aboutMinutes(step.minutes) }
      : { text: 'Go to Prove', minutes: 1 };
  }
  if (job.stage === 'prove') {
    const item = job.proofs.find((p) => p.required && p.result !== 'pass');
    return item ? { text: `Prove: ${item.label}`, minutes: 3 } : { text: 'Hand back', minutes: 3 };
  }
  return { text: 'Call the owner, hand it back', minutes: 5 };
}

/** Nobody plans by seconds: half minutes, and never none. */
const aboutMinutes = (minutes: number) => Math.max(0.5, Math.round(2 * minutes) / 2);

/** Nothing is complained of: what is due is done. */
function onVisit(job: WrittenFacts): NextAction {
  const ahead = job.visitOrder?.lines[0];
  if (ahead?.sort === 'step')
    return { text: `Service: ${ahead.step.label}`, minutes: aboutMinutes(ahead.step.minutes) };
  const line = ahead
    ? job.service.find((s) => s.item === ahead.item)
    : job.service.find((s) => s.said === null && s.state !== 'later');
  return line
    ? { text: `Service: ${line.label}`, minutes: aboutMinutes(planItem(line.item)!.minutes) }
    : { text: job.proved.length > 0 || isAnyWorn(job.service) ? 'Go to Agree' : 'Go to Fit', minutes: 1 };
}

/** Until the owner answers there is only asking; then the work goes on, or the machine goes home. */
function inAgree({ agree }: WrittenFacts): NextAction {
  switch (agree.standing) {
    case 'agreed':
    case 'within-limit':
      return { text: 'Agreed: go on', minutes: 1 };
    case 'found-since':
      return { text: 'Found something since: ask the owner again', minutes: 5 };
    case 'as-is':
      return { text: 'Not wanted: hand it back as it is', minutes: 5 };
    case 'scrap':
      return { text: 'Not wanted: scrap it here', minutes: 5 };
    case 'open':
      return { text: 'Put the offer to the owner', minutes: 5 };
    case 'offered':
      return agree.limitMinor === null
        ? { text: 'Ask the owner for an answer', minutes: 3 }
        : { text: 'Over the limit: ask the owner', minutes: 3 };
    default:
      return { text: 'Ask the owner for an answer', minutes: 3 };
  }
}

function inFind(job: WrittenFacts, odds: AssessmentView | null): NextAction {
  if (!odds) return { text: 'Look over the findings: they cannot all be true', minutes: 5 };
  if (odds.finished) {
    const { repair } = faultById.get(odds.proved[0]!)!;
    return { text: repair.label, minutes: repair.minutes };
  }
  const next = proposedStep(odds.next, job.firstChecks);
  if (!next) return { text: 'Decide what to do', minutes: 5 };
  const repaired = repairedFault(next.check);
  return {
    text: repaired === null ? checkLabel.get(next.check)! : faultById.get(repaired)!.repair.label,
    minutes: next.minutes + next.openingMinutes,
  };
}

function stationOf(job: WrittenFacts, fault: string): string | undefined {
  return faultById.get(fault)?.kinds[job.machine.kind]?.station;
}
