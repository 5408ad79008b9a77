import fc from 'fast-check';
import { explanations } from './explanations';
import { levelsGiven, logJoint } from './joint';
import { ImpossibleEvidenceError, type Network, type Observation, type Pins } from './network';
import { MAX_STATES, posterior, statesNeeded } from './posterior';
import { randomNetwork } from './randomNetwork.fixture';
import { samplePosterior } from './samplePosterior';

/** All fault sets, one by one: the definition of the posterior. */
function enumerate(network: Network, observations: Observation[], pins: Pins = new Map()) {
  const n = network.faults.length;
  const marginals = new Array<number>(n).fill(0);
  const sets: { faults: number[]; p: number }[] = [];
  let evidence = 0;
  for (let code = 0; code < 2 ** n; code++) {
    const present = new Set<number>();
    for (let i = 0; i < n; i++) if (code & (1 << i)) present.add(i);
    if ([...pins].some(([i, there]) => present.has(i) !== there)) continue;
    const p = Math.exp(logJoint(network, observations, present));
    evidence += p;
    for (const i of present) marginals[i]! += p;
    sets.push({ faults: [...present], p });
  }
  sets.sort((a, b) => b.p - a.p);
  return { evidence, marginals: marginals.map((m) => m / evidence), sets };
}

describe('posterior against enumeration of all fault sets', () => {
  test('random networks with many levels, soft readings and faults that bring on faults, to 1e-9', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 1e6 }),
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 0, max: 7 }),
        (seed, n, m) => {
          const { network, observations } = randomNetwork(seed, { faults: n, findings: m, density: 0.5, causes: 0.3 });
          const exact = enumerate(network, observations);
          const result = posterior(network, observations);
          expect(Math.abs(result.logEvidence - Math.log(exact.evidence))).toBeLessThan(1e-9);
          result.marginals.forEach((p, i) => expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(1e-9));
        },
      ),
      { numRuns: 200, seed: 7 },
    );
  });

  test('with sets of faults of which at most one is there: odds, evidence and explanations', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), fc.integer({ min: 3, max: 9 }), (seed, n) => {
        const made = randomNetwork(seed, { faults: n, findings: 6, density: 0.5, causes: 0.3 });
        const exclusive = [
          [0, 1],
          [2, 3, 4],
        ]
          .map((g) => g.filter((i) => i < n))
          .filter((g) => g.length > 1)
          // One part's state does not bring on another of its states.
          .filter((g) => g.every((i) => made.network.faults[i]!.causes.every((c) => !g.includes(c.fault))));
        const network = { ...made.network, exclusive };
        for (const pins of [new Map<number, boolean>(), new Map([[2, true]]), new Map([[0, false]])]) {
          const exact = enumerate(network, made.observations, pins);
          const result = posterior(network, made.observations, pins);
          result.marginals.forEach((p, i) => expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(1e-9));
          if (pins.size === 0) expect(Math.abs(result.logEvidence - Math.log(exact.evidence))).toBeLessThan(1e-9);
          const { list, candidates } = explanations(network, made.observations, pins, result.logEvidence, {
            enough: 1,
            most: 5000,
          });
          for (const g of exclusive)
            for (const s of list) expect(s.faults.filter((f) => g.includes(f)).length).toBeLessThan(2);
          const best = list[0]!;
          const p = exact.sets
            .filter((s) => candidates.every((c) => s.faults.includes(c) === best.faults.includes(c)))
            .reduce((sum, s) => sum + s.p, 0);
          expect(Math.abs(best.probability - p / exact.evidence)).toBeLessThan(1e-9);
        }
      }),
      { numRuns: 150, seed: 3 },
    );
  });

  test('two of a set that were both seen stay both; the others of the set are out', () => {
    const { network, observations } = randomNetwork(11, { faults: 6, findings: 5, density: 0.5 });
    const both = new Map([
      [0, true],
      [1, true],
    ]);
    const { marginals } = posterior({ ...network, exclusive: [[0, 1, 2]] }, observations, both);
    expect([...marginals.slice(0, 3)]).toEqual([1, 1, 0]);
  });

  test('sampled, an exclusive set comes near the exact odds', () => {
    const { network, observations } = randomNetwork(21, { faults: 9, findings: 6, density: 0.5 });
    const apart = {
      ...network,
      exclusive: [
        [0, 1, 2],
        [5, 6],
      ],
    };
    const exact = enumerate(apart, observations);
    const sampled = samplePosterior(apart, observations, new Map(), 5);
    sampled.marginals.forEach((p, i) => expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(0.04));
  });

  test('with faults pinned as proved or as excluded', () => {
    for (let seed = 1; seed < 40; seed++) {
      const { network, observations } = randomNetwork(seed, { faults: 8, findings: 6, density: 0.5, causes: 0.3 });
      const pins = new Map([
        [seed % 8, true],
        [(seed + 3) % 8, false],
      ]);
      const exact = enumerate(network, observations, pins);
      const result = posterior(network, observations, pins);
      result.marginals.forEach((p, i) => expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(1e-9));
    }
  });

  test('stays exact where an alternating sum would lose its digits: 12 rare positive findings', () => {
    const { network, observations } = randomNetwork(3, {
      faults: 10,
      findings: 14,
      density: 0.6,
      positive: 12,
      levels: 2,
    });
    network.faults.forEach((f) => (f.prior = 1e-5));
    network.findings.forEach((f) => (f.leak = [1 - 1e-7, 1e-7]));
    const exact = enumerate(network, observations);
    const result = posterior(network, observations);
    result.marginals.forEach((p, i) => expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(1e-9));
  });

  test('the order of the observations does not matter', () => {
    const { network, observations } = randomNetwork(11, { faults: 9, findings: 7, density: 0.5 });
    const forward = posterior(network, observations).marginals;
    const reversed = posterior(network, [...observations].reverse()).marginals;
    forward.forEach((p, i) => expect(reversed[i]).toBeCloseTo(p, 12));
  });

  test('without findings the posterior is the prior', () => {
    const { network } = randomNetwork(5, { faults: 6, findings: 3, density: 0.5 });
    posterior(network, []).marginals.forEach((p, i) => expect(p).toBeCloseTo(network.faults[i]!.prior, 12));
  });

  test('impossible findings are refused, not divided by zero', () => {
    const network: Network = {
      faults: [{ id: 'a', prior: 0.1, causes: [] }],
      findings: [{ id: 's', leak: [1, 0], effects: [] }],
    };
    expect(() => posterior(network, [{ finding: 0, likelihood: [0, 1] }])).toThrow(ImpossibleEvidenceError);
  });

  test('likelihoods that are not numbers, or of the wrong length, are refused', () => {
    const { network } = randomNetwork(5, { faults: 2, findings: 1, density: 1, levels: 2 });
    expect(() => posterior(network, [{ finding: 0, likelihood: [1] }])).toThrow(RangeError);
    expect(() => posterior(network, [{ finding: 0, likelihood: [NaN, 1] }])).toThrow(RangeError);
  });
});

describe('noisy-OR against a published table', () => {
  // Russell & Norvig, Artificial Intelligence: A Modern Approach, the fever example (inhibitions cold 0.6, flu 0.2,
  // malaria 0.1): from memory.
  const fever = {
    id: 'fever',
    leak: [1, 0],
    effects: [0.6, 0.2, 0.1].map((q, fault) => ({ fault, levels: [q, 1 - q] })),
  };
  test.each([
    [[], 0],
    [[2], 0.9],
    [[1], 0.8],
    [[1, 2], 0.98],
    [[0], 0.4],
    [[0, 2], 0.94],
    [[0, 1], 0.88],
    [[0, 1, 2], 0.988],
  ])('P(fever | %j) = %d', (present, expected) => {
    expect(levelsGiven(fever, (f) => (present as number[]).includes(f))[1]).toBeCloseTo(expected, 12);
  });
});

describe('explanations', () => {
  test('the most probable sets and their probabilities agree with enumeration', () => {
    for (let seed = 1; seed < 30; seed++) {
      const { network, observations } = randomNetwork(seed, { faults: 8, findings: 6, density: 0.7, causes: 0.2 });
      const exact = enumerate(network, observations);
      const result = posterior(network, observations);
      const found = explanations(network, observations, new Map(), result.logEvidence, { enough: 1.1, most: 5000 });
      expect(found.covered).toBeCloseTo(1, 8);
      const expected = new Map<string, number>();
      for (const s of exact.sets) {
        const key = s.faults
          .filter((f) => found.candidates.includes(f))
          .sort((a, b) => a - b)
          .join();
        expected.set(key, (expected.get(key) ?? 0) + s.p / exact.evidence);
      }
      for (const e of found.list) expect(e.probability).toBeCloseTo(expected.get(e.faults.join())!, 9);
      expect(found.list[0]!.probability).toBeCloseTo(Math.max(...expected.values()), 9);
    }
  });

  test('a short list says how much it covers', () => {
    const { network, observations } = randomNetwork(4, { faults: 10, findings: 6, density: 0.7 });
    const { logEvidence } = posterior(network, observations);
    const found = explanations(network, observations, new Map(), logEvidence, { most: 5 });
    expect(found.list).toHaveLength(5);
    expect(found.covered).toBeCloseTo(
      found.list.reduce((sum, e) => sum + e.probability, 0),
      9,
    );
    expect(found.covered).toBeLessThan(1);
  });
});

describe('sampling, for evidence beyond the bound', () => {
  test('agrees with the exact method within its own error', () => {
    const { network, observations } = randomNetwork(21, { faults: 9, findings: 6, density: 0.5 });
    const exact = posterior(network, observations);
    const sampled = samplePosterior(network, observations, new Map(), 1);
    expect(sampled.standardError).toBeGreaterThan(0);
    sampled.marginals.forEach((p, i) =>
      expect(Math.abs(p - exact.marginals[i]!)).toBeLessThan(5 * sampled.standardError + 1e-3),
    );
  });

  test('is used beyond the bound and says so', () => {
    const { network, observations } = randomNetwork(2, {
      faults: 24,
      findings: 18,
      density: 0.9,
      positive: 18,
      levels: 2,
    });
    expect(statesNeeded(network, observations)).toBeGreaterThan(MAX_STATES);
    const result = posterior(network, observations);
    expect(result.method).toBe('sampled');
    expect(result.standardError).toBeGreaterThan(0);
  });
});
