import type { ClosingCheck, Procedure, StepWait, StripStep } from './procedure';

/** What a repair does while its access lies open. */
export interface RepairWork {
  fault: string;
  access: string;
  steps: { id: string; label: string; minutes: number; cautions: string[]; stations: string[] }[];
}

/** One line of the way back. */
export interface BackLine {
  /** Stable in a kind: what is ticked. */
  id: string;
  sort: 'repair' | 'trial' | 'close' | 'check';
  label: string;
  minutes: number;
  cautions: string[];
  stations: string[];
  /** The step that is closed, tried or checked; null for a repair’s own and for what is looked at last. */
  step: string | null;
  /** The fault that is repaired. */
  fault: string | null;
  /** Looked at before its step is closed. */
  before?: true;
  /** Not so while a clock of this kind runs. */
  lies?: StepWait['kind'];
}

export const closingOf = (step: string) => `close.${step}`;
export const trialOf = (step: string) => `trial.${step}`;
export const workOf = (fault: string, id: string) => `work.${fault}.${id}`;

/**
 * The way back: the true reverse of what was opened. What a repair does comes while its access still lies open; what was
 * closed is checked at once, what is hidden by it before; what runs is tried before the last that hides it goes on.
 * @param opened steps that were done, in the order in which they were done
 * @param repairs what is repaired; those whose access was never opened come first, they are done from outside
 */
export function wayBack(
  procedure: Procedure,
  opened: readonly StripStep[],
  repairs: readonly RepairWork[],
): BackLine[] {
  const lines: BackLine[] = [];
  const lie: BackLine[] = [];
  const left = new Set(repairs);
  const work = (repair: RepairWork) => {
    left.delete(repair);
    for (const s of repair.steps)
      lines.push({
        id: workOf(repair.fault, s.id),
        sort: 'repair',
        label: s.label,
        minutes: s.minutes,
        cautions: s.cautions,
        stations: s.stations,
        step: null,
        fault: repair.fault,
      });
  };
  const accesses = new Set(opened.map((s) => s.access));
  for (const repair of repairs) if (!accesses.has(repair.access)) work(repair);
  for (const step of inReverse(opened)) {
    for (const repair of repairs) if (left.has(repair) && repair.access === step.access) work(repair);
    const line = { minutes: 0, cautions: [] as string[], stations: [] as string[], step: step.id, fault: null };
    if (step.back.trial)
      lines.push({
        ...line,
        id: trialOf(step.id),
        sort: 'trial',
        label: step.back.trial,
        minutes: 1,
        cautions: step.back.trialCautions,
      });
    for (const check of step.back.checks) if (check.before) lines.push(checked(check, step.id));
    lines.push({
      ...line,
      id: closingOf(step.id),
      sort: 'close',
      label: step.back.label,
      minutes: step.back.minutes,
      cautions: step.cautions,
    });
    for (const check of step.back.checks) if (!check.before) (check.lies ? lie : lines).push(checked(check, step.id));
  }
  lines.push(...lie);
  const asked = new Set(lines.map((l) => l.id));
  for (const check of procedure.finals) if (!asked.has(check.id)) lines.push(checked(check, null));
  // What two steps ask for is looked at once, at the later of them.
  return lines.filter((line, i) => !lines.slice(i + 1).some((later) => later.id === line.id));
}

const checked = ({ id, label, stations, cautions, before, lies }: ClosingCheck, step: string | null): BackLine => ({
  id,
  sort: 'check',
  label,
  minutes: 0.5,
  cautions,
  stations,
  step,
  fault: null,
  ...(before ? { before } : {}),
  ...(lies ? { lies } : {}),
});

/** How many steps of a way back are not closed: so far it is apart. */
export const stepsApart = (lines: readonly { sort: BackLine['sort']; done: boolean }[]): number =>
  lines.filter((l) => l.sort === 'close' && !l.done).length;

/**
 * The reverse, with every step closed before those that it needed; a step that was done out of turn is closed where it can be.
 */
export function inReverse(opened: readonly StripStep[]): StripStep[] {
  const waiting = [...opened].reverse();
  const order: StripStep[] = [];
  while (waiting.length > 0) {
    const i = waiting.findIndex((s) => !waiting.some((other) => other.needs.includes(s.id)));
    if (i < 0) throw new RangeError('Some of these steps need each other.');
    order.push(...waiting.splice(i, 1));
  }
  return order;
}

/**
 * What is still open, in which cups something lies, and which checks came before their subject, or when it was hidden, after
 * a whole way back.
 * A way back that is right leaves all three empty.
 */
export function replay(
  opened: readonly StripStep[],
  lines: readonly BackLine[],
): { open: string[]; full: string[]; untimely: string[] } {
  const open = new Set(opened.map((s) => s.id));
  const untimely: string[] = [];
  for (const line of lines) {
    const step = opened.find((s) => s.id === line.step);
    if (line.sort === 'close' && step) {
      // Whatever needed this step to be open must be closed by now.
      if (opened.some((s) => open.has(s.id) && s.needs.includes(step.id))) untimely.push(line.id);
      open.delete(step.id);
    } else if (line.sort === 'check' && line.step !== null && open.has(line.step) !== (line.before ?? false))
      untimely.push(line.id);
  }
  const full = opened.filter((s) => open.has(s.id) && s.fasteners.length > 0).map((s) => s.id);
  return { open: [...open], full, untimely };
}
