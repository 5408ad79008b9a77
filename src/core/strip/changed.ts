import type { Fastener, Lie, Procedure, StripStep } from './procedure';

/** How the procedure of one model differs from that of its kind. */
export type Change =
  | { sort: 'drop'; step: string }
  | { sort: 'note'; step: string; text: string }
  | { sort: 'fasteners'; step: string; fasteners: Fastener[] }
  /** It comes after another of its access. */
  | { sort: 'move'; step: string; after: string }
  | {
      sort: 'add';
      step: string;
      /** The step of the kind, or one that was added, that it follows. */
      after: string;
      label: string;
      lie: Lie | null;
      tool: string;
      minutes: number;
      back: string;
      backMinutes: number;
    };

/** The procedure with the changes of a model, and what of them could not be made. */
export interface Changed {
  procedure: Procedure;
  /** By the number of the change. */
  problems: { change: number; message: string }[];
}

/**
 * Makes the changes of a model to the procedure of its kind, one after another. One that fits nothing is left out and told:
 * the kind’s own procedure may have moved on since it was written.
 * @example changedBy({ kind: 'k', steps: [], finals: [] }, []).problems // → []
 */
export function changedBy(procedure: Procedure, changes: readonly Change[]): Changed {
  let steps = [...procedure.steps];
  const problems: Changed['problems'] = [];
  changes.forEach((change, i) => {
    const refuse = (message: string) => problems.push({ change: i, message });
    const at = steps.findIndex((s) => s.id === change.step);
    if (change.sort === 'add' ? at >= 0 : at < 0)
      return refuse(
        change.sort === 'add' ? `There is a step ${change.step} already.` : `There is no step ${change.step}.`,
      );
    switch (change.sort) {
      case 'drop':
        steps = without(steps, steps[at]!);
        return;
      case 'note':
        steps = steps.with(at, { ...steps[at]!, note: change.text });
        return;
      case 'fasteners':
        steps = steps.with(at, { ...steps[at]!, fasteners: change.fasteners });
        return;
      case 'move':
      case 'add': {
        const after = steps.find((s) => s.id === change.after);
        if (!after || after.id === change.step) return refuse(`There is no step ${change.after} to come after.`);
        if (change.sort === 'add') {
          steps = following(steps, after, added(change, after.access));
          return;
        }
        const moved = steps[at]!;
        if (moved.access !== after.access) return refuse(`${change.after} belongs to another opening.`);
        // Taken out first: what stood behind it follows what stood before it.
        steps = following(without(steps, moved), after, moved);
      }
    }
  });
  return { procedure: { ...procedure, steps }, problems };
}

/** Without a step: what needed it needs what it needed. */
function without(steps: readonly StripStep[], gone: StripStep): StripStep[] {
  return steps
    .filter((s) => s !== gone)
    .map((s) =>
      s.needs.includes(gone.id)
        ? { ...s, needs: [...new Set(s.needs.flatMap((id) => (id === gone.id ? gone.needs : [id])))] }
        : s,
    );
}

/** With a step that comes right after another: what needed that one in its access needs the new one. */
function following(steps: readonly StripStep[], after: StripStep, step: StripStep): StripStep[] {
  const at = steps.findIndex((s) => s.id === after.id);
  const relinked = steps.map((s) =>
    s.access === after.access && s.needs.includes(after.id)
      ? { ...s, needs: s.needs.map((id) => (id === after.id ? step.id : id)) }
      : s,
  );
  return relinked.toSpliced(at + 1, 0, { ...step, needs: [after.id] });
}

const added = (change: Change & { sort: 'add' }, access: string): StripStep => ({
  id: change.step,
  access,
  label: change.label,
  lie: change.lie,
  tool: change.tool,
  minutes: change.minutes,
  needs: [],
  fasteners: [],
  stays: '',
  carried: '',
  note: '',
  cautions: [],
  photograph: '',
  optional: false,
  instead: [],
  back: { label: change.back, minutes: change.backMinutes, checks: [], trial: '', trialCautions: [] },
});
