import { cellSpread } from '../battery/battery';
import { APART_V, CHEMISTRIES, judgeCells, type CellVerdict, type Chemistry } from '../battery/chemistry';
import type { GaugeAnswer, Note } from './gauge';

export const LITHIUM: Note = {
  sort: 'caution',
  text: 'Swollen, dented, hot or leaking: do not charge. Outside, in a fire-safe box, to a proper collection point.',
};
export const ACID: Note = {
  sort: 'caution',
  text: 'Ventilate, no sparks, goggles and gloves, insulated tools, rings off.',
};
const DANGER: Note = {
  sort: 'caution',
  text: 'Do not charge and do not use: a cell that was emptied or filled too far can burn when it is charged. Outdoors, in a fire-safe box, away from everything, to a proper collection point.',
};

/** Cells by their numbers, in words. */
const cellsOf = (list: number[]) =>
  `${list.length === 1 ? 'Cell' : 'Cells'} ${list.slice(0, 8).join(', ')}${list.length > 8 ? ' …' : ''}`;

/** What the voltages of a pack's cells mean; the dangerous first. @param id of a chemistry */
export function judgedCells(volts: number[], id: string): GaugeAnswer {
  const chemistry = CHEMISTRIES.find((c) => c.id === id)!;
  const { spreadV, meanV } = cellSpread(volts);
  const verdict = judgeCells(volts, chemistry);
  const said = inWords(verdict, chemistry, meanV, spreadV);
  const isDanger = verdict.is === 'too-low' || verdict.is === 'too-high';
  return {
    says: said.says,
    tone: said.tone,
    figures: [
      { label: 'Spread', value: spreadV, quantity: 'voltage' },
      { label: 'Mean', value: meanV, quantity: 'voltage' },
      { label: 'Pack', value: volts.reduce((a, b) => a + b, 0), quantity: 'voltage', remark: `${volts.length} cells` },
    ],
    notes: [...(isDanger ? [DANGER] : []), id === 'lead' ? ACID : LITHIUM],
    drawings: [
      {
        draw: 'bars',
        label: 'Voltage of each cell',
        y: 'V',
        limit: chemistry.leastV,
        bars: volts.map((value, i) => ({ name: String(i + 1), value, odd: said.odd.includes(i + 1) })),
      },
    ],
    // A pack outside of its limits is no matter of balance: that check is not answered by it.
    ...(isDanger ? {} : { feeds: { finding: { check: 'cell-spread', value: spreadV, unit: 'V' } } }),
  };
}

interface Said {
  says: string;
  tone: GaugeAnswer['tone'];
  /** Cells that are drawn as odd, by their numbers. */
  odd: number[];
}

function inWords(verdict: CellVerdict, chemistry: Chemistry, meanV: number, spreadV: number): Said {
  const mV = (x: number) => `${Math.abs(1000 * x).toFixed(0)} mV`;
  switch (verdict.is) {
    case 'too-low':
      return {
        says: `${cellsOf(verdict.cells)} below ${chemistry.leastV} V: do not charge it.`,
        tone: 'bad',
        odd: verdict.cells,
      };
    case 'too-high':
      return {
        says: `${cellsOf(verdict.cells)} above ${chemistry.mostV} V: charged too far, do not use it.`,
        tone: 'bad',
        odd: verdict.cells,
      };
    case 'apart': {
      const isFar = verdict.spreadV >= 2 * APART_V;
      const stands = `${mV(verdict.byV)} ${verdict.byV < 0 ? 'below' : 'above'} the middle, all ${mV(verdict.spreadV)} apart`;
      return {
        says:
          isFar && verdict.byV < 0
            ? `Cell ${verdict.cell} is failing: ${stands}.`
            : `Out of balance: cell ${verdict.cell} is ${stands}.`,
        tone: isFar ? 'bad' : 'doubt',
        odd: [verdict.cell],
      };
    }
    case 'empty':
      return {
        says: `Even, and empty: ${meanV.toFixed(2)} V a cell. Charge it soon, and watch it.`,
        tone: 'doubt',
        odd: [],
      };
    case 'even':
      return { says: `Even: ${mV(spreadV)} apart.`, tone: 'good', odd: [] };
  }
}
