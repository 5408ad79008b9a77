import { canBeMixedUp, fastenerWords, trayOf, type Loss } from './tray';
import type { Fastener, StripStep } from './procedure';

const screw = (more: Partial<Fastener> = {}): Fastener => ({
  count: 2,
  what: 'screw',
  drive: 't15',
  length: 'short',
  where: 'in the cover',
  ...more,
});
const step = (id: string, ...fasteners: Fastener[]): StripStep => ({
  id,
  access: 'head',
  label: id,
  lie: null,
  tool: '',
  minutes: 1,
  needs: [],
  fasteners,
  stays: '',
  carried: '',
  note: '',
  cautions: [],
  photograph: '',
  optional: false,
  instead: [],
  back: { label: 'back', minutes: 1, checks: [], trial: '', trialCautions: [] },
});

test.each<[string, Fastener, Fastener, boolean]>([
  ['one drive, two lengths', screw(), screw({ length: 'long' }), true],
  ['one drive, another thread hand', screw(), screw({ leftHand: true }), true],
  ['one drive, another head', screw(), screw({ shape: 'countersunk' }), true],
  ['the same screw twice', screw(), screw({ count: 5, where: 'elsewhere' }), false],
  ['two drives', screw(), screw({ drive: 'cross-2', length: 'long' }), false],
  ['a screw and a nut', screw({ drive: 'hex' }), screw({ what: 'nut', drive: 'hex', length: 'long' }), false],
  [
    'washers by hand',
    screw({ what: 'washer', drive: '' }),
    screw({ what: 'washer', drive: '', length: 'long' }),
    false,
  ],
])('%s can be mixed up: %#', (_, a, b, can) => {
  expect(canBeMixedUp([a], [b])).toBe(can);
  expect(canBeMixedUp([b], [a])).toBe(can);
});

test('cups stand in the order of the work; a step that frees nothing has none, and a closed one is empty', () => {
  const opened = [step('a', screw()), step('b'), step('c', screw({ length: 'long' }))];
  const { cups } = trayOf(opened, new Set(), []);
  expect(cups.map((c) => [c.number, c.step, c.full, c.mixedUpWith])).toEqual([
    [1, 'a', true, [2]],
    [2, 'c', true, [1]],
  ]);
  expect(trayOf(opened, new Set(['c']), []).cups.map((c) => [c.full, c.mixedUpWith])).toEqual([
    [true, []],
    [false, []],
  ]);
});

test('a loss stands until somebody says how it ended', () => {
  const loss = (id: number, settled: Loss['settled']): Loss => ({ id, step: 'a', what: 'missing', count: 1, settled });
  expect(trayOf([], new Set(), [loss(1, ''), loss(2, 'replaced'), loss(3, 'told')]).unsettled.map((l) => l.id)).toEqual(
    [1],
  );
});

test('what lies in a cup is said in words', () => {
  expect(fastenerWords(screw({ count: 1, length: 'long', hidden: true, where: 'behind the U-bend' }))).toBe(
    '1 long screw T15, hidden, behind the U-bend',
  );
  expect(fastenerWords(screw({ what: 'nut', drive: 'hex', count: 1, leftHand: true, where: 'on the fan' }))).toBe(
    '1 short nut hexagon, left-hand thread, on the fan',
  );
});
