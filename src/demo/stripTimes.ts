import { bestOrder } from '@/core/strip/bestOrder';
import { stepsToOpen } from '@/core/strip/reach';
import type { Kind } from '@/core/diagnosis/knowledge';
import { procedures } from '@/knowledge/kinds';
import { repairWorkOf } from '@/knowledge/repairWork';

/** Hands are slower than the book: median and spread of a step’s time against its minutes. Invented. */
const SLOWER = 1.15;
const SPREAD = 0.35;

/** The presses of one past strip: which step was done when, from the start of the work. */
export function pressesOf(
  kind: Kind,
  faults: readonly string[],
  start: Date,
  random: () => number,
): { step: string; at: Date }[] {
  const accesses = faults.map((f) => repairWorkOf(kind.id, f).access);
  let at = start.getTime();
  return bestOrder(stepsToOpen(procedures[kind.id]!, kind.access, accesses)).steps.map((step) => {
    const gauss = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    at += step.minutes * SLOWER * Math.exp(SPREAD * gauss) * 60_000;
    return { step: step.id, at: new Date(at) };
  });
}
