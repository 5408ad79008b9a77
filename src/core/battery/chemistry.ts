/** What a cell of one sort may stand at, at rest; V. */
export interface Chemistry {
  id: string;
  label: string;
  /** Below it a cell is damaged, or its neighbours have turned it round: it is not charged. */
  leastV: number;
  /** Below it it is empty. */
  emptyV: number;
  /** Above it it was charged too far: it is not used. */
  mostV: number;
}

/** Limits as makers' sheets give them, from memory; the maker's own win. */
export const CHEMISTRIES = [
  { id: 'li-ion', label: 'Li-ion, 3.6 V (NMC, LCO)', leastV: 2.5, emptyV: 3, mostV: 4.25 },
  { id: 'lfp', label: 'Iron phosphate (LFP), 3.2 V', leastV: 2, emptyV: 2.8, mostV: 3.7 },
  { id: 'nimh', label: 'Nickel-metal (NiMH), 1.2 V', leastV: 0.8, emptyV: 1.1, mostV: 1.6 },
  { id: 'lead', label: 'Lead-acid, 2 V', leastV: 1.85, emptyV: 1.97, mostV: 2.4 },
] as const satisfies readonly Chemistry[];

export type CellVerdict =
  | { is: 'too-low' | 'too-high'; cells: number[] }
  /** The highest and the lowest are too far apart; the cell that is furthest from the middle of all, below it or above it. */
  | { is: 'apart'; cell: number; byV: number; spreadV: number }
  | { is: 'empty' }
  | { is: 'even' };

/** So far the highest and the lowest may be apart, V: more is out of balance, twice as much a failing cell. Common practice, no source. */
export const APART_V = 0.05;

/**
 * What the voltages of cells mean, the dangerous first: a cell that is too low or too high is that, however even the others;
 * only then how far they are apart; the middle of all tells a high one from a low one.
 * @param volts at rest, in order; cells are counted from 1
 */
export function judgeCells(volts: readonly number[], chemistry: Chemistry): CellVerdict {
  const where = (test: (v: number) => boolean) => volts.flatMap((v, i) => (test(v) ? [i + 1] : []));
  const low = where((v) => v < chemistry.leastV);
  if (low.length > 0) return { is: 'too-low', cells: low };
  const high = where((v) => v > chemistry.mostV);
  if (high.length > 0) return { is: 'too-high', cells: high };
  const middle = median(volts);
  const apart = volts.map((v) => v - middle);
  const spreadV = Math.max(...volts) - Math.min(...volts);
  const furthest = apart.reduce((at, d, i) => (Math.abs(d) > Math.abs(apart[at]!) ? i : at), 0);
  if (spreadV >= APART_V) return { is: 'apart', cell: furthest + 1, byV: apart[furthest]!, spreadV };
  return middle < chemistry.emptyV ? { is: 'empty' } : { is: 'even' };
}

function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
