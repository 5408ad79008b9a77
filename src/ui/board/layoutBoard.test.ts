import fc from 'fast-check';
import { kinds } from '@/knowledge/kinds';
import { LABEL_PX, layoutBoard } from './layoutBoard';
import { breakLabel, textWidth } from './textWidth';

const word = fc.constantFrom(
  'motor',
  'pre-motor',
  'filter',
  'wand',
  'contacts',
  'change-over',
  'exhaust',
  'brush',
  'roll',
  'cap',
);
const label = fc.array(word, { minLength: 1, maxLength: 3 }).map((w) => w.join(' '));
const board = fc
  .array(fc.array(label, { minLength: 1, maxLength: 16 }), { minLength: 1, maxLength: 5 })
  .filter((lines) => lines.flat().length >= 8 && lines.flat().length <= 40)
  .map((lines) =>
    lines.map((stations, i) => ({
      line: (['power', 'drive', 'air', 'water', 'frame'] as const)[i]!,
      label: `Line ${i}`,
      stations: stations.map((text, j) => ({ id: `${i}-${j}`, label: text })),
    })),
  );

function checkLayout(lines: Parameters<typeof layoutBoard>[0], width: number) {
  const layout = layoutBoard(lines, width);
  const placed = layout.lines.flatMap((l) => l.stations);
  expect(placed.map((s) => s.id).sort()).toEqual(lines.flatMap((l) => l.stations.map((s) => s.id)).sort());
  const outside = placed.filter(
    ({ cell, label }) =>
      cell.left < -0.01 ||
      cell.left + cell.width > width + 0.01 ||
      cell.top + cell.height > layout.height + 0.01 ||
      label.some((l) => textWidth(l, LABEL_PX) > cell.width),
  );
  const overlaps = placed.flatMap((a, i) => placed.slice(i + 1).filter((b) => overlap(a.cell, b.cell)));
  expect(outside).toEqual([]);
  expect(overlaps).toEqual([]);
}

interface Rectangle {
  left: number;
  top: number;
  width: number;
  height: number;
}

function overlap(a: Rectangle, b: Rectangle): boolean {
  const apart = (at: 'left' | 'top', size: 'width' | 'height') =>
    a[at] + a[size] <= b[at] + 0.01 || b[at] + b[size] <= a[at] + 0.01;
  return !apart('left', 'width') && !apart('top', 'height');
}

describe('the line board', () => {
  test('never overlaps for 8 to 40 stations, on desk, tablet and phone', () => {
    fc.assert(
      fc.property(board, fc.integer({ min: 280, max: 1700 }), (lines, width) => checkLayout(lines, width)),
      { numRuns: 200, seed: 1 },
    );
  });

  test.each(kinds.map((k) => [k.id, k.lines] as const))('%s at 1240 and at 360 px', (_, lines) => {
    checkLayout([...lines], 1240);
    checkLayout([...lines], 360);
    expect(layoutBoard([...lines], 1240).height).toBeLessThan(340);
  });

  test('the track follows the flow: neighbours in the line are neighbours on the board', () => {
    const layout = layoutBoard(kinds[1]!.lines, 360);
    for (const line of layout.lines)
      for (let i = 1; i < line.track.length; i++) {
        const [x0, y0] = line.track[i - 1]!;
        const [x1, y1] = line.track[i]!;
        expect(x0 === x1 || y0 === y1).toBe(true);
      }
  });
});

test('labels break at their spaces, evenly', () => {
  expect(breakLabel('pre-motor filter', LABEL_PX)).toEqual(['pre-motor', 'filter']);
  expect(breakLabel('hose', LABEL_PX)).toEqual(['hose']);
});
