import { bestOrder } from './bestOrder';
import type { Procedure } from './procedure';
import { fastenerWords } from './tray';

/**
 * What is wrong with a procedure, in words; empty when it can be worked by.
 * @param cautions ids of the cautions that there are
 */
export function problemsOf({ kind, steps, finals }: Procedure, cautions: ReadonlySet<string>): string[] {
  const problems: string[] = [];
  const say = (id: string, what: string) => problems.push(`${kind}, ${id}: ${what}`);
  const ids = new Set<string>();
  const own = new Set<string>();
  for (const step of steps) {
    if (ids.has(step.id)) say(step.id, 'is there twice');
    ids.add(step.id);
    if (!step.label.trim()) say(step.id, 'does not say what is done');
    if (!step.back.label.trim()) say(step.id, 'has no way back');
    if (!(step.minutes > 0) || !(step.back.minutes > 0)) say(step.id, 'takes no time');
    for (const id of [...step.cautions, ...step.back.checks.flatMap((c) => c.cautions)])
      if (!cautions.has(id)) say(step.id, `raises ${id}, which is not there`);
    for (const f of step.fasteners) {
      // Captive screws stand on the step that turns them; a screw without a driver cannot be undone.
      if (f.what === 'screw' && f.drive === '' && !/knob/.test(f.where)) say(step.id, `${fastenerWords(f)}: by what?`);
      if (f.leftHand && !step.cautions.includes('left-hand-thread'))
        say(step.id, 'has a left-hand thread and does not warn');
      if (f.leftHand && !/clockwise|left-hand/i.test(step.label + step.back.label))
        say(step.id, 'does not say which way it turns');
    }
    for (const check of step.back.checks) own.add(check.id);
  }
  for (const check of finals)
    for (const id of check.cautions) if (!cautions.has(id)) say(check.id, `raises ${id}, which is not there`);
  for (const step of steps)
    for (const id of [...step.needs, ...step.instead])
      if (!ids.has(id)) say(step.id, `needs ${id}, which is not there`);
  if (problems.length === 0) {
    try {
      bestOrder(steps);
    } catch (error) {
      problems.push(`${kind}: ${(error as Error).message}`);
    }
  }
  return problems;
}
