import { stepOf, type Procedure, type StripStep } from './procedure';

/** Accesses of a kind, each with the one that must be open before it. */
export type Accesses = readonly { id: string; needs?: string }[];

/** The access with everything that must be open before it, outermost first; empty for what is reached from outside. */
function wayTo(accesses: Accesses, id: string): string[] {
  const way: string[] = [];
  for (let at: string | undefined = id; at && at !== 'outside'; at = accesses.find((a) => a.id === at)?.needs)
    way.unshift(at);
  return way;
}

/**
 * The steps still to be done to open some accesses: all of theirs, of what must be open before them, and whatever those
 * steps need, in the order in which they are written. What is done already in another way is left out, and what needed it needs
 * that other step.
 * @param done steps that are done, or that this machine does not have
 * @throws RangeError when a step needs one that is not there
 */
export function stepsToOpen(
  procedure: Procedure,
  accesses: Accesses,
  wanted: Iterable<string>,
  done: ReadonlySet<string> = new Set(),
): StripStep[] {
  const open = new Set([...wanted].flatMap((id) => wayTo(accesses, id)));
  const owed = new Set<string>();
  const owe = (step: StripStep) => {
    if (owed.has(step.id)) return;
    owed.add(step.id);
    for (const id of step.needs) owe(stepOf(procedure, id));
  };
  for (const step of procedure.steps) if (open.has(step.access)) owe(step);
  const stands = (id: string) => owed.has(id) || done.has(id);
  const standIn = new Map(
    procedure.steps
      .filter((s) => owed.has(s.id))
      .flatMap((s) => {
        const other = s.instead.find(stands);
        return other === undefined ? [] : [[s.id, other] as const];
      }),
  );
  return procedure.steps
    .filter((s) => owed.has(s.id) && !done.has(s.id) && !standIn.has(s.id))
    .map((s) =>
      s.needs.some((id) => standIn.has(id)) ? { ...s, needs: s.needs.map((id) => standIn.get(id) ?? id) } : s,
    );
}
