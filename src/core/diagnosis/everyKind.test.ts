import { knowledge } from '@/knowledge';
import { assess } from './assess';
import type { Answer } from './assessment';
import { compileKind } from './compileKind';
import { levelsGiven, logJoint } from './joint';
import { checksOf } from './knowledge';
import type { Observation } from './network';
import { posterior } from './posterior';
import { seededRandom } from './seededRandom';
import { answerOf, drawMachine } from './simulate';

const FREE = 9;

/** Odds by adding up every set of the free faults, one by one; the others are known not to be there. */
function byEnumeration(network: Parameters<typeof posterior>[0], seen: Observation[], free: number[]): Float64Array {
  const sums = new Float64Array(network.faults.length);
  let total = 0;
  for (let code = 0; code < 1 << free.length; code++) {
    const present = new Set(free.filter((_, i) => code & (1 << i)));
    const p = Math.exp(logJoint(network, seen, present));
    total += p;
    for (const f of present) sums[f]! += p;
  }
  return sums.map((s) => s / total);
}

describe.each(knowledge.kinds.map((k) => [k.id, k] as const))('%s', (_, kind) => {
  const compiled = compileKind(knowledge, kind);
  const { network } = compiled;

  test('odds agree with the enumeration of every set of faults', () => {
    const random = seededRandom(77 * kind.number);
    for (let round = 0; round < 12; round++) {
      const shuffled = [...network.faults.keys()].sort(() => random() - 0.5);
      const free = shuffled.slice(0, FREE);
      const pins = new Map(shuffled.slice(FREE).map((i) => [i, false] as const));
      const present = new Set(free.filter(() => random() < 0.35));
      const seen = network.findings.flatMap((node, finding): Observation[] => {
        if (random() > 0.15) return [];
        let u = random();
        const levels = levelsGiven(node, (f) => present.has(f));
        const level = Math.max(
          0,
          levels.findIndex((p) => (u -= p) < 0),
        );
        // Now and then a reading that may be one or the other.
        return [{ finding, likelihood: node.leak.map((__, k) => (k === level ? 1 : random() < 0.2 ? random() : 0)) }];
      });
      const exact = byEnumeration(network, seen, free);
      const { marginals, method } = posterior(network, seen, pins);
      expect(method).toBe('exact');
      for (const f of free) expect(marginals[f]).toBeCloseTo(exact[f]!, 9);
    }
  });

  const resets = new Set(
    compiled.checks.flatMap((c) => c.aspects.flatMap((a) => a.outcomes.filter((o) => o.resets).map((o) => o.id))),
  );

  test('the order of findings does not matter, and no odds leave 0 to 1', () => {
    const random = seededRandom(5 * kind.number);
    for (let round = 0; round < 4; round++) {
      const machine = drawMachine(random, compiled);
      const checks = compiled.checks
        .filter((c) => !c.putsRight)
        .map((c) => c.id)
        .sort(() => random() - 0.5);
      // What puts something right is left out: before and after it the machine is another.
      const answers = checks
        .slice(0, 5)
        .flatMap((c) => answerOf(random, compiled, machine, c))
        .filter((a) => !('outcome' in a && resets.has(a.outcome)));
      const of = (list: Answer[]) =>
        assess(knowledge, { kind, mainsV: 120, complaints: machine.complaints, answers: list });
      const [one, other] = [of(answers), of([...answers].reverse())];
      for (const f of one.faults) {
        expect(f.probability).toBeGreaterThanOrEqual(0);
        expect(f.probability).toBeLessThanOrEqual(1);
        expect(other.faults.find((g) => g.id === f.id)!.probability).toBeCloseTo(f.probability, 9);
      }
      expect(other.proved.slice().sort()).toEqual(one.proved.slice().sort());
    }
  });

  test('a look that would have shown a fault and did not brings it near to nothing', () => {
    for (const check of checksOf(knowledge, kind.id))
      for (const aspect of check.aspects) {
        const sure = knowledge.faults.filter(
          (f) =>
            kind.id in f.kinds &&
            f.shows.some(
              (s) =>
                s.check === check.id &&
                s.strength === 'always' &&
                aspect.outcomes.some((o) => o.proves?.includes(f.id) && o.id === s.outcome),
            ),
        );
        if (sure.length === 0 || aspect.condition) continue;
        const result = assess(knowledge, {
          kind,
          mainsV: 120,
          complaints: [],
          answers: [{ check: check.id, outcome: aspect.outcomes[0]!.id }],
        });
        for (const f of sure) expect(result.faults.find((x) => x.id === f.id)!.probability).toBeLessThan(0.03);
      }
  });
});
