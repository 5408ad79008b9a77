import type { Lie, StripStep } from './procedure';

/** How the machine lies and what is in the hand. */
export interface Stance {
  lie: Lie | null;
  tool: string;
}

export interface Order {
  steps: StripStep[];
  /** How often the machine is turned. */
  turnings: number;
  /** How often another tool is taken up. */
  toolChanges: number;
  minutes: number;
  /** False when there were more ways than are tried: fewer turnings may be possible, but never fewer than `atLeastTurnings`. */
  exact: boolean;
  atLeastTurnings: number;
}

type Ordered = Pick<StripStep, 'id' | 'lie' | 'tool' | 'needs' | 'minutes'>;

/** A turning outweighs every change of tool that can occur. */
const TURNING = 1000;
const MOST_STATES = 20_000;

/** What it takes to go on with a step from a stance: a turning and a change of tool, each once at most. */
function effort(from: Stance, step: Ordered): number {
  const turn = step.lie !== null && from.lie !== null && step.lie !== from.lie ? TURNING : 0;
  return turn + (step.tool !== '' && from.tool !== '' && step.tool !== from.tool ? 1 : 0);
}

const after = (from: Stance, step: Ordered): Stance => ({
  lie: step.lie ?? from.lie,
  tool: step.tool === '' ? from.tool : step.tool,
});

interface State {
  done: bigint;
  stance: Stance;
  cost: number;
  taken: number;
  from: State | null;
}

/**
 * The order of some steps with the fewest turnings of the machine, then the fewest changes of tool; the same steps always
 * come out in the same order.
 *
 * Exact: dynamic programming over the sets of done steps with the last lie and tool. A step that costs nothing from where
 * one stands is taken at once: both costs are metrics, so it can only become dearer by waiting. Beyond 20,000 states of one
 * size the cheapest are kept and `exact` is false.
 * @param steps at most 60, in the order in which they are written; needs that are not among them count as done
 * @param from how the machine lies now and what is in the hand; nothing is known of either by default
 * @throws RangeError when steps need each other in a circle
 * @example bestOrder([]).turnings // → 0
 */
export function bestOrder<S extends Ordered>(
  steps: readonly S[],
  from: Stance = { lie: null, tool: '' },
  mostStates = MOST_STATES,
): Omit<Order, 'steps'> & { steps: S[] } {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  const needs = steps.map((s) =>
    s.needs.reduce((mask, id) => mask | (at.has(id) ? 1n << BigInt(at.get(id)!) : 0n), 0n),
  );
  const bits = steps.map((_, i) => 1n << BigInt(i));
  const free = (done: bigint, i: number) => (done & bits[i]!) === 0n && (needs[i]! & ~done) === 0n;

  const take = (state: State, i: number): State => ({
    done: state.done | bits[i]!,
    stance: after(state.stance, steps[i]!),
    cost: state.cost + effort(state.stance, steps[i]!),
    taken: i,
    from: state,
  });
  let layer: State[] = [{ done: 0n, stance: from, cost: 0, taken: -1, from: null }];
  let exact = true;
  for (let size = 0; size < steps.length; size++) {
    const next = new Map<string, State>();
    for (const state of layer) {
      const ready = steps.flatMap((_, i) => (free(state.done, i) ? [i] : []));
      const forNothing = ready.find((i) => isFree(state.stance, steps[i]!));
      for (const i of forNothing === undefined ? ready : [forNothing]) {
        const reached = take(state, i);
        const key = `${reached.done}|${reached.stance.lie}|${reached.stance.tool}`;
        const known = next.get(key);
        if (!known || reached.cost < known.cost) next.set(key, reached);
      }
    }
    if (next.size === 0) throw new RangeError('Some of these steps need each other.');
    layer = [...next.values()];
    if (layer.length > mostStates) {
      exact = false;
      layer = layer.sort((a, b) => a.cost - b.cost).slice(0, mostStates);
    }
  }
  const best = layer.reduce((a, b) => (b.cost < a.cost ? b : a));
  const order: S[] = [];
  for (let state: State | null = best; state && state.taken >= 0; state = state.from)
    order.unshift(steps[state.taken]!);
  const lies = new Set(steps.flatMap((s) => (s.lie === null ? [] : [s.lie])));
  const turnings = Math.floor(best.cost / TURNING);
  return {
    steps: order,
    turnings,
    toolChanges: best.cost % TURNING,
    minutes: Math.round(steps.reduce((sum, s) => sum + s.minutes, 0) * 10) / 10,
    exact,
    atLeastTurnings: exact ? turnings : Math.max(0, lies.size - (from.lie === null || lies.has(from.lie) ? 1 : 0)),
  };
}

/** It costs nothing, and leaves no other stance behind than there was. */
function isFree(from: Stance, step: Ordered): boolean {
  return (step.lie === null || step.lie === from.lie) && (step.tool === '' || step.tool === from.tool);
}
