import { CHEMISTRIES, judgeCells } from './chemistry';

const of = (id: string) => CHEMISTRIES.find((c) => c.id === id)!;
const is = (volts: number[], id = 'li-ion') => judgeCells(volts, of(id)).is;

/** Makers' sheets of lithium cells, from memory: 2.5 V at the least, 4.2 V full, 4.25 V at the most; LFP 2.0 and 3.65 V. */
test('cells that may not be charged, or were charged too far, are never even, however alike', () => {
  expect(is([0, 0, 0, 0])).toBe('too-low');
  expect(is([1.5, 1.5, 1.5, 1.5])).toBe('too-low');
  expect(is([4.55, 4.55, 4.55])).toBe('too-high');
  expect(judgeCells([3.9, 3.9, 0.4, 3.9], of('li-ion'))).toEqual({ is: 'too-low', cells: [3] });
  // The overcharged one is named, and not its neighbour for standing below it.
  expect(judgeCells([4.1, 4.12, 4.4, 4.11], of('li-ion'))).toEqual({ is: 'too-high', cells: [3] });
  expect(is([3.9, 3.9, 3.9], 'lfp')).toBe('too-high');
  expect(is([3.3, 3.31, 3.3], 'lfp')).toBe('even');
  expect(is([0.2, 1.25, 1.25], 'nimh')).toBe('too-low');
  expect(is([1.25, 1.26, 1.25], 'nimh')).toBe('even');
  expect(is([1.05, 2.1, 2.1], 'lead')).toBe('too-low');
  expect(is([2.11, 2.12, 2.1], 'lead')).toBe('even');
});

test('two cells, and cells half below and half above, are as far apart as they are', () => {
  expect(judgeCells([3.9, 3.81], of('li-ion'))).toMatchObject({ is: 'apart' });
  expect(judgeCells([3.9, 3.9, 3.7, 3.7], of('li-ion'))).toMatchObject({ is: 'apart' });
  // 40 mV to either side of the middle are 80 mV: no balance, as the finder's own check has it.
  expect(judgeCells([3.86, 3.9, 3.94], of('li-ion'))).toMatchObject({ is: 'apart' });
  expect(is([3.9, 3.88])).toBe('even');
});

test('one apart from the middle is named for what it is: below, or above', () => {
  expect(judgeCells([3.92, 3.91, 3.7, 3.92], of('li-ion'))).toMatchObject({ is: 'apart', cell: 3 });
  const above = judgeCells([3.7, 3.71, 3.9, 3.7], of('li-ion'));
  expect(above).toMatchObject({ is: 'apart', cell: 3 });
  expect(above.is === 'apart' && above.byV).toBeGreaterThan(0);
  expect(is([2.9, 2.91, 2.9])).toBe('empty');
});

test('whatever the voltages, no pack outside of its limits is called even', () => {
  for (const c of CHEMISTRIES)
    for (let v = 0; v <= 5; v += 0.05) {
      const verdict = judgeCells([v, v, v], c).is;
      const isSafe = v >= c.leastV && v <= c.mostV;
      expect([c.id, v, ['even', 'empty'].includes(verdict)]).toEqual([c.id, v, isSafe]);
    }
});
