import type { Fastener, StripStep } from './procedure';

/** Something that is not as it should be with the loose pieces of a step. */
export interface Loss {
  id: number;
  step: string;
  what: LossSort;
  count: number;
  /** How it ended; empty while it has not. */
  settled: '' | LossEnd;
}

/**
 * Missing: it was not there when the machine came, and is owed to its owner. Over: it lies there when everything is back, and
 * nobody knows where it belongs.
 */
export const LOSS_SORTS = ['missing', 'broken', 'lost', 'rusted', 'over'] as const;
export type LossSort = (typeof LOSS_SORTS)[number];
export const LOSS_ENDS = ['replaced', 'told', 'freed', 'placed'] as const;
export type LossEnd = (typeof LOSS_ENDS)[number];

/** How each may end: what is left over is neither replaced nor freed, it finds its place or is told. */
const ENDS_OF: Record<LossSort, readonly LossEnd[]> = {
  missing: ['replaced', 'told'],
  broken: ['replaced', 'told'],
  lost: ['replaced', 'told'],
  rusted: ['freed', 'replaced'],
  over: ['placed', 'told'],
};

/** @example mayEnd('rusted') // → ['freed', 'replaced'] */
export const mayEnd = (what: LossSort): readonly LossEnd[] => ENDS_OF[what];

export interface Cup {
  /** As it stands on the tray, from 1. */
  number: number;
  step: string;
  label: string;
  fasteners: Fastener[];
  full: boolean;
  /** Numbers of cups with pieces that this one’s can be taken for. */
  mixedUpWith: number[];
}

export interface Tray {
  cups: Cup[];
  /** Losses that nobody has settled: the machine may not leave with them. */
  unsettled: Loss[];
}

/**
 * What lies in which cup. A step that frees nothing has no cup.
 * @param opened in the order in which they were done
 * @param closed steps whose pieces are back in the machine
 */
export function trayOf(
  opened: readonly Pick<StripStep, 'id' | 'label' | 'fasteners'>[],
  closed: ReadonlySet<string>,
  losses: readonly Loss[],
): Tray {
  const cups = opened
    .filter((s) => s.fasteners.length > 0)
    .map((s, i): Cup => ({
      number: i + 1,
      step: s.id,
      label: s.label,
      fasteners: s.fasteners,
      full: !closed.has(s.id),
      mixedUpWith: [],
    }));
  for (const cup of cups)
    cup.mixedUpWith = cups
      .filter((other) => other !== cup && cup.full && other.full && canBeMixedUp(cup.fasteners, other.fasteners))
      .map((other) => other.number);
  return { cups, unsettled: losses.filter((l) => l.settled === '') };
}

/** The same tool fits both, and yet one must not go where the other belongs. */
export function canBeMixedUp(a: readonly Fastener[], b: readonly Fastener[]): boolean {
  return a.some((x) => b.some((y) => x.drive !== '' && x.drive === y.drive && x.what === y.what && differs(x, y)));
}

const differs = (x: Fastener, y: Fastener) =>
  (x.length ?? '') !== (y.length ?? '') || (x.shape ?? '') !== (y.shape ?? '') || x.leftHand !== y.leftHand;

/** One line of a cup in words. @example fastenerWords({ count: 2, what: 'screw', drive: 't15', length: 'long', where: 'at the top' }) // → '2 long screws T15, at the top' */
export function fastenerWords({ count, what, drive, length, shape, leftHand, hidden, where }: Fastener): string {
  const driven = drive === '' ? '' : ` ${/^t\d/.test(drive) ? drive.toUpperCase() : (DRIVES[drive] ?? drive)}`;
  const sort = [length, shape, what + (count > 1 ? plural(what) : '')].filter(Boolean).join(' ');
  return `${count} ${sort}${driven}${leftHand ? ', left-hand thread' : ''}${hidden ? ', hidden' : ''}, ${where}`;
}

const plural = (what: string) => (/(s|ch)$/.test(what) ? 'es' : 's');
const DRIVES: Record<string, string> = {
  'cross-1': 'cross 1',
  'cross-2': 'cross 2',
  'flat-3': 'flat 3 mm',
  'flat-6': 'flat 6 mm',
  coin: 'coin slot',
  hex: 'hexagon',
};
