/** How the machine lies on the bench while a step is done. */
export type Lie = 'standing' | 'back' | 'side' | 'upside-down';

export const LIES: Record<Lie, string> = {
  standing: 'standing',
  back: 'on its back',
  side: 'on its side',
  'upside-down': 'upside down',
};

/** Loose pieces that come out together: they lie in the cup of their step. */
export interface Fastener {
  count: number;
  /** What it is: screw, nut, clip, pin … */
  what: string;
  /** What drives it: cross-2, t15, flat-6; empty for what is taken off by hand. */
  drive: string;
  length?: 'short' | 'medium' | 'long';
  /** It comes off clockwise. */
  leftHand?: true;
  /** Another head or point than its neighbours have: countersunk, pointed, shouldered. */
  shape?: string;
  /** It is not seen from where the others are. */
  hidden?: true;
  where: string;
}

/** What is looked at on the way back, once its subject is in place. */
export interface ClosingCheck {
  id: string;
  label: string;
  stations: string[];
  cautions: string[];
  /** It is looked at before its step is closed: behind what is closed nobody sees it. */
  before?: true;
  /** It is not so while a clock of this kind runs. Unless something hides it, it is looked at last: only power waits for it. */
  lies?: StepWait['kind'];
}

/** What must lie before it is run. */
export interface StepWait {
  kind: 'drying' | 'soaking' | 'glue';
  hours: number;
  what: string;
}

/** One step on the way in, and its way back. Minutes are common practice, no source. */
export interface StripStep {
  /** Of its kind; the accesses of a kind never share one. */
  id: string;
  access: string;
  label: string;
  /** Null: it can be done however the machine lies. */
  lie: Lie | null;
  /** Empty for bare hands. */
  tool: string;
  minutes: number;
  /** Steps of the same kind that must be done before it. */
  needs: string[];
  fasteners: Fastener[];
  /** What looks as if it had to come out and is left alone. */
  stays: string;
  /** What is carried over to the new part. */
  carried: string;
  /** What the shop wrote down for this model. */
  note: string;
  cautions: string[];
  /** What is photographed before it is taken apart; empty when nothing need be. */
  photograph: string;
  /** Only some models have it. */
  optional: boolean;
  /** It is done already when one of these is: another way into the machine begins alike. */
  instead: string[];
  back: {
    label: string;
    minutes: number;
    checks: ClosingCheck[];
    /** Run for seconds before this goes on, because everything behind it can still be reached. */
    trial: string;
    /** Where that run can hurt someone. */
    trialCautions: string[];
    /** It starts this clock when it is closed. */
    waits?: StepWait;
  };
}

/** The way into one kind of machine. */
export interface Procedure {
  kind: string;
  steps: StripStep[];
  /** What is looked at last on every machine of the kind that was opened or not, in this order. */
  finals: ClosingCheck[];
}

/** @throws RangeError for a step that the procedure does not have */
export function stepOf({ kind, steps }: Procedure, id: string): StripStep {
  const step = steps.find((s) => s.id === id);
  if (!step) throw new RangeError(`${kind} has no step named ${id}.`);
  return step;
}

/** Minutes to open and to close one access: the sums of its steps. */
export function minutesOf(steps: readonly StripStep[], access: string): { open: number; close: number } {
  const own = steps.filter((s) => s.access === access);
  // Authored in tenths; sums of tenths in binary are not.
  const sum = (of: (s: StripStep) => number) => Math.round(own.reduce((total, s) => total + of(s), 0) * 100) / 100;
  return { open: sum((s) => s.minutes), close: sum((s) => s.back.minutes) };
}
