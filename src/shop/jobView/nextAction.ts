import { knowledge } from '@/knowledge';
import type { JobView } from './dto';

export interface NextAction {
  text: string;
  minutes: number;
}

const checkLabel = new Map(knowledge.checks.map((c) => [c.id, c.label]));
const faultById = new Map(knowledge.faults.map((f) => [f.id, f]));

/** The next thing for the hands on this machine, for the Bench. */
export function nextActionOf(view: JobView): NextAction | null {
  if (view.stage === 'closed') return null;
  if (view.stage === 'find') {
    if (view.assessment.finished) {
      const fault = faultById.get(view.assessment.proved[0]!)!;
      return { text: fault.repair.label, minutes: fault.repair.minutes };
    }
    const first = view.firstChecks[0];
    const next =
      view.assessment.next.find((n) => n.check === first) ??
      view.assessment.next.find((n) => n.heldBackBy.length === 0);
    if (!next) return { text: 'Decide what to do', minutes: 5 };
    const repaired = faultById.get(next.check.replace('repair:', ''));
    return {
      text: repaired ? repaired.repair.label : checkLabel.get(next.check)!,
      minutes: next.minutes + next.openingMinutes,
    };
  }
  if (view.stage === 'fit') {
    const step = view.rebuild.find((s) => !s.done);
    const unfitted = view.assessment.proved.find((id) => !view.fitted.some((f) => f.station === stationOf(view, id)));
    if (unfitted && faultById.get(unfitted)!.repair.parts && view.fitted.length === 0)
      return { text: faultById.get(unfitted)!.repair.label, minutes: faultById.get(unfitted)!.repair.minutes };
    return step ? { text: `Rebuild: ${step.label}`, minutes: 3 } : { text: 'Go to Prove', minutes: 1 };
  }
  if (view.stage === 'prove') {
    const item = view.proofs.find((p) => p.required && p.result !== 'pass');
    return item ? { text: `Prove: ${item.label}`, minutes: 3 } : { text: 'Hand back', minutes: 3 };
  }
  return { text: 'Call the owner, hand it back', minutes: 5 };
}

function stationOf(view: JobView, fault: string): string | undefined {
  return faultById.get(fault)?.kinds[view.machine.kind]?.station;
}
