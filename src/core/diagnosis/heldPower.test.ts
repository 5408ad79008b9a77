import { knowledge } from '@/knowledge';
import { assess } from './assess';
import type { Answer } from './assessment';
import { compileKind } from './compileKind';
import { repairedFault } from './doing';
import { proposedStep } from './finderCase';
import { seededRandom } from './seededRandom';
import { answerOf, type HiddenMachine } from './simulate';

/** A machine that smells burnt, followed as it is proposed while nobody clears it: to the cause, or to the repair that is as good as sure. */
function follow(kindId: string, fault: string, complaints: string[], seed: number) {
  const kind = knowledge.kinds.find((k) => k.id === kindId)!;
  const compiled = compileKind(knowledge, kind);
  const random = seededRandom(seed);
  const machine: HiddenMachine = { present: new Set([compiled.faultIndex.get(fault)!]), complaints };
  let answers: Answer[] = [];
  for (let steps = 0; ; steps++) {
    const state = assess(knowledge, { kind, mainsV: 120, complaints, answers });
    if (state.explained.every((e) => e.by.length > 0)) return { steps, cause: state.proved, repair: null, state };
    const next = proposedStep(state.next, []);
    if (!next) throw new Error(`Nothing is proposed after ${steps} steps: ${state.faults[0]!.id} is likeliest.`);
    if (next.heldBackBy.length > 0) return { steps, cause: [], repair: repairedFault(next.check), state };
    answers = [...answers, ...answerOf(random, compiled, machine, next.check)];
  }
}

// Nothing that is seen without power proves these.
test.each([
  ['wet-dry-tub', 'motor-wet', ['burning-smell']],
  ['scrubber-walk-behind', 'motor-wet', ['burning-smell']],
  ['carpet-extractor', 'vac-motor-failed', ['burning-smell', 'no-suction']],
  ['handheld-mains', 'armature-bad', ['burning-smell', 'harsh-motor']],
  ['stick-cordless', 'water-in-head', ['burning-smell']],
  ['robot', 'vac-motor-failed', ['burning-smell', 'no-suction']],
])('%s with %s and no power: not the long way round through everything that is whole', (kind, fault, complaints) => {
  const ways = [1, 2, 3].map((seed) => follow(kind, fault, complaints, seed));
  const left = ways.filter(({ state }) => state.next.some((n) => n.heldBackBy.length === 0)).map(({ steps }) => steps);
  // One machine may hide its signs; three do not.
  if (left.length > 0) expect(left.reduce((a, b) => a + b) / left.length).toBeLessThan(9);
  for (const { cause, repair, state } of ways) {
    const isNothingLeft = !state.next.some((n) => n.heldBackBy.length === 0);
    if (repair === null) expect(cause.length).toBeGreaterThan(0);
    else {
      expect(repair).toBe(fault);
      expect(state.faults.find((f) => f.id === repair)!.probability).toBeGreaterThanOrEqual(isNothingLeft ? 0.8 : 0.95);
      // The only one of what is held back that is put forward.
      expect(state.next.filter((n) => n.asGood && n.heldBackBy.length > 0)).toHaveLength(1);
    }
  }
});

test('a look that surely shows whether the part is needed goes before it is bought, however sure it is', () => {
  const kind = knowledge.kinds.find((k) => k.id === 'upright-clutch')!;
  const answers: Answer[] = [
    ...['belt-whole', 'hair-none', 'no-object', 'no-heat-marks', 'no-crumbs', 'roll-sound'].map((outcome) => ({
      check: 'sole-plate-look',
      outcome,
    })),
    { check: 'motor-spin', outcome: 'spin-rough' },
    { check: 'suction-motor-ohms', condition: 'winding', value: 1e9 },
    { check: 'suction-motor-ohms', condition: 'frame', value: 1e9 },
    { check: 'bag-or-bin', outcome: 'below-line' },
    { check: 'finger-turn', outcome: 'normal-drag' },
    { check: 'breaker-reset', outcome: 'was-not-tripped' },
    { check: 'filter-look', outcome: 'filter-clean' },
    { check: 'carbon-brush-length', value: 14 },
  ];
  const after = (more: Answer[]) =>
    assess(knowledge, { kind, mainsV: 120, complaints: ['dead', 'burning-smell'], answers: [...answers, ...more] });
  const sure = after([]);
  expect(sure.faults.find((f) => f.id === 'suction-motor-failed')!.probability).toBeGreaterThan(0.99);
  expect(proposedStep(sure.next, [])!.check).toBe('past-the-brushes');
  expect(sure.next.filter((n) => n.asGood && n.heldBackBy.length > 0)).toEqual([]);
  expect(after([{ check: 'past-the-brushes', outcome: 'past-open' }]).proved).toEqual(['suction-motor-failed']);
});

test('what is only likely is not fitted while its run is held back', () => {
  const state = assess(knowledge, {
    kind: knowledge.kinds.find((k) => k.id === 'handheld-mains')!,
    mainsV: 120,
    complaints: ['burning-smell', 'harsh-motor'],
    answers: [],
  });
  expect(state.faults[0]!.probability).toBeLessThan(0.95);
  expect(state.next.some((n) => n.heldBackBy.length > 0)).toBe(true);
  expect(state.next.filter((n) => n.asGood && n.heldBackBy.length > 0)).toEqual([]);
});
