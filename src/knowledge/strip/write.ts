import type { Fastener, Lie, StepWait, StripStep } from '@/core/strip/procedure';
import { closingCheck } from './checks';

/** A step as it is written down; its needs and its access come from where it stands. */
export type StepText = Omit<StripStep, 'access' | 'needs'> & {
  /** It can be done as soon as the access’s own way is open, whatever stands before it in the list. */
  free?: true;
  /** It needs these steps too. */
  also?: string[];
};

interface More {
  out?: string[];
  stays?: string;
  carried?: string;
  cautions?: string[];
  photo?: string;
  optional?: true;
  checks?: string[];
  trial?: string;
  waits?: StepWait;
  /** Further cautions of that run. */
  running?: string[];
  free?: true;
  also?: string[];
  instead?: string[];
}

/** Before a machine that is half closed is run: the roll turned by hand, the earth proved. */
const TRIAL_CAUTIONS = ['roll-free-before-power', 'earth-first'];

const LIE: Record<string, Lie> = { S: 'standing', B: 'back', D: 'side', U: 'upside-down' };

/**
 * One step in a line or two.
 * @param how lie (S standing, B back, D side, U upside down, - as it is) and tool, `B cross-2`
 * @param minutes to open and to close
 */
export function step(
  id: string,
  label: string,
  how: string,
  [open, close]: [number, number],
  back: string,
  more: More = {},
): StepText {
  const [lie, ...tool] = how.split(' ');
  const { out, checks, trial, running, waits, stays, carried, cautions, photo, optional, instead, ...order } = more;
  return {
    id,
    label,
    lie: LIE[lie!] ?? null,
    tool: tool.join(' '),
    minutes: open,
    fasteners: (out ?? []).map(fastener),
    stays: stays ?? '',
    carried: carried ?? '',
    note: '',
    cautions: cautions ?? [],
    photograph: photo ?? '',
    optional: optional ?? false,
    instead: instead ?? [],
    back: {
      label: back,
      minutes: close,
      checks: (checks ?? []).map(closingCheck),
      trial: trial ?? '',
      trialCautions: trial ? [...TRIAL_CAUTIONS, ...(running ?? [])] : [],
      ...(waits ? { waits } : {}),
    },
    ...order,
  };
}

const SHAPES = ['countersunk', 'pointed', 'shouldered', 'washer-head', 'thread-forming'];
const LENGTHS = ['short', 'medium', 'long'];
const DRIVES = ['cross-1', 'cross-2', 'flat-3', 'flat-6', 'coin', 't8', 't10', 't15', 't20', 't25', 'hex'];

/**
 * What comes out, in words.
 * @example fastener('2 screw t15 long hidden: behind the U-bend')
 * @throws Error for a word that is not known
 */
export function fastener(text: string): Fastener {
  const [head, where] = text.split(': ') as [string, string?];
  const [count, what, ...words] = head.split(' ') as [string, string, ...string[]];
  const read: Fastener = { count: Number(count), what, drive: '', where: where ?? '' };
  for (const word of words) {
    if (DRIVES.includes(word)) read.drive = word;
    else if (LENGTHS.includes(word)) read.length = word as 'short';
    else if (SHAPES.includes(word)) read.shape = word;
    else if (word === 'left') read.leftHand = true;
    else if (word === 'hidden') read.hidden = true;
    else throw new Error(`“${text}” says ${word}, which is not known.`);
  }
  if (!(read.count >= 1) || !where) throw new Error(`“${text}” does not say how many, or where.`);
  return read;
}

/** The steps of each access of a kind, outermost first. */
export type AccessSteps = Record<string, StepText[]>;

/**
 * Steps of one access, whose minutes are shares of what the access takes as a whole: that is what people know.
 * @param whole minutes to open and to close all of it
 */
export function within(whole: [open: number, close: number], steps: StepText[]): StepText[] {
  const opens = shared(
    whole[0],
    steps.map((s) => s.minutes),
  );
  const closes = shared(
    whole[1],
    steps.map((s) => s.back.minutes),
  );
  return steps.map((s, i) => ({ ...s, minutes: opens[i]!, back: { ...s.back, minutes: closes[i]! } }));
}

/** A whole split by weights into twentieths of a minute that add up to it. */
function shared(whole: number, weights: number[]): number[] {
  const all = weights.reduce((sum, w) => sum + w, 0);
  let [given, weighed] = [0, 0];
  return weights.map((w) => {
    weighed += w;
    const upTo = Math.round((20 * whole * weighed) / all);
    const part = upTo - given;
    given = upTo;
    return part / 20;
  });
}
