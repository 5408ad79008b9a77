import fc from 'fast-check';
import { kindById, knowledge } from '@/knowledge';
import { assess } from './assess';
import { aspectOf } from './observe';
import { compileKind, shippedPriors } from './compileKind';
import { checksOf, STRENGTHS } from './knowledge';

const K1 = kindById('upright-shaft-belt');
const K2 = kindById('upright-brush-motor');

describe('the compiled network', () => {
  test.each([K1, K2].map((k) => [k.id, k] as const))(
    '%s: every distribution adds up to 1 and no outcome is impossible',
    (_, kind) => {
      const { network } = compileKind(knowledge, kind);
      const sum = (p: number[]) => p.reduce((a, b) => a + b, 0);
      for (const node of network.findings) {
        expect(sum(node.leak)).toBeCloseTo(1, 12);
        expect(Math.min(...node.leak)).toBeGreaterThan(0);
        for (const e of node.effects) {
          expect(sum(e.levels)).toBeCloseTo(1, 12);
          expect(Math.min(...e.levels)).toBeGreaterThanOrEqual(0);
        }
      }
    },
  );

  test('a strength in words is its number in the network', () => {
    const { network, findingIndex, faultIndex } = compileKind(knowledge, K1);
    const complaint = network.findings[findingIndex.get('complaint:roll-slow')!]!;
    const link = complaint.effects.find((e) => e.fault === faultIndex.get('belt-slipping'))!;
    expect(link.levels[1]).toBe(STRENGTHS.usually);
  });

  test('outcomes that a kind does not have are not there', () => {
    const look = (kind: string) =>
      checksOf(knowledge, kind)
        .find((c) => c.id === 'sole-plate-look')!
        .aspects[0]!.outcomes.map((o) => o.id);
    expect(look(K1.id)).toContain('belt-glazed');
    expect(look(K2.id)).not.toContain('belt-glazed');
    expect(look(K2.id)).toContain('belt-teeth-worn');
  });

  test('a station that a model has not cannot be at fault, and no check asks for it', () => {
    const dropped = ['changeover'];
    expect(compileKind(knowledge, K1, { droppedStations: dropped }).faultIndex.has('changeover-leaking')).toBe(false);
    const { next } = assess(knowledge, {
      kind: K1,
      mainsV: 120,
      complaints: ['weak-only-in-floor-mode'],
      answers: [],
      droppedStations: dropped,
    });
    expect(next.map((n) => n.check)).not.toContain('changeover-look');
  });
});

describe('priors', () => {
  test('a young machine has fewer worn-out parts', () => {
    const young = shippedPriors(knowledge, K2, { ageYears: 0.5 });
    const old = shippedPriors(knowledge, K2, { ageYears: 8 });
    expect(young.get('suction-motor-worn')!).toBeLessThan(0.5 * old.get('suction-motor-worn')!);
    expect(young.get('brush-switch-off')).toBe(old.get('brush-switch-off'));
  });

  test('a part that was made new is as young, in a machine of any age', () => {
    const old = shippedPriors(knowledge, K2, { ageYears: 8 });
    const renewed = shippedPriors(knowledge, K2, { ageYears: 8, madeNew: ['suction-motor-worn'] });
    const young = shippedPriors(knowledge, K2, { ageYears: 0.5 });
    for (const [fault, prior] of old)
      expect(renewed.get(fault)).toBe(fault === 'suction-motor-worn' ? young.get(fault) : prior);
    expect(shippedPriors(knowledge, K2, { madeNew: ['suction-motor-worn'] }).get('suction-motor-worn')).toBe(
      young.get('suction-motor-worn'),
    );
  });

  test('a hint of small weight multiplies the odds, and only of that fault', () => {
    const plain = compileKind(knowledge, K1);
    const hinted = compileKind(knowledge, K1, { oddsFactor: new Map([['belt-broken', 1.5]]) });
    const odds = (p: number) => p / (1 - p);
    plain.network.faults.forEach((f, i) => {
      const factor = f.id === 'belt-broken' ? 1.5 : 1;
      expect(odds(hinted.network.faults[i]!.prior)).toBeCloseTo(odds(f.prior) * factor, 9);
    });
  });
});

// Whatever is answered, and in whatever order, the odds stay odds and the screen has something to say.
test('any answers whatever give odds between 0 and 1', () => {
  const checks = checksOf(knowledge, K2.id);
  const outcomes = checks.flatMap((c) =>
    c.aspects.flatMap((a) => a.outcomes.map((o) => ({ check: c.id, outcome: o.id }))),
  );
  const complaints = knowledge.complaints.filter((c) => c.kinds.includes(K2.id)).map((c) => c.id);
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...complaints), { minLength: 1, maxLength: 3 }),
      fc.array(fc.constantFrom(...outcomes), { maxLength: 8 }),
      (said, drawn) => {
        const seen = new Set<string>();
        const answers = drawn.filter((a) => {
          const check = checks.find((c) => c.id === a.check)!;
          const key = `${a.check}/${aspectOf(check, a)!.id}`;
          return !seen.has(key) && seen.add(key);
        });
        const result = assess(knowledge, { kind: K2, mainsV: 120, complaints: said, answers });
        for (const f of result.faults) {
          expect(f.probability).toBeGreaterThanOrEqual(0);
          expect(f.probability).toBeLessThanOrEqual(1);
        }
        for (const n of result.next) expect(Number.isFinite(n.saving)).toBe(true);
        for (const id of result.proved) expect(result.faults.find((f) => f.id === id)!.probability).toBeCloseTo(1, 6);
      },
    ),
    { numRuns: 40, seed: 12 },
  );
});
