import type { FindingNode, Network, Observation } from './network';
import { posterior } from './posterior';

/** What a cause must do by itself so that, over the leak, the finding shows with probability p. */
const above = (leak: number, p: number) => 1 - (1 - p) / (1 - leak);
const shows = (id: string, leak: number, causes: [fault: number, p: number][]): FindingNode => ({
  id,
  leak: [1 - leak, leak],
  effects: causes.map(([fault, p]) => ({ fault, levels: [1 - above(leak, p), above(leak, p)] })),
});
const seen = (finding: number): Observation => ({ finding, likelihood: [0, 1] });
const notSeen = (finding: number): Observation => ({ finding, likelihood: [1, 0] });

// Russell & Norvig, Artificial Intelligence: A Modern Approach, the burglary network (tables and answer from memory).
// Its table of the alarm is a noisy-OR but for both causes at once (0.95 instead of 0.957), which moves no third digit.
describe('two calls about an alarm: a cause behind a cause', () => {
  const network: Network = {
    faults: [
      {
        id: 'alarm',
        prior: 0.001,
        causes: [
          { fault: 1, strength: above(0.001, 0.94) },
          { fault: 2, strength: above(0.001, 0.29) },
        ],
      },
      { id: 'burglary', prior: 0.001, causes: [] },
      { id: 'earthquake', prior: 0.002, causes: [] },
    ],
    findings: [shows('john-calls', 0.05, [[0, 0.9]]), shows('mary-calls', 0.01, [[0, 0.7]])],
  };

  test('both call: burglary 0.284, earthquake 0.176', () => {
    const { marginals } = posterior(network, [seen(0), seen(1)]);
    expect(marginals[1]).toBeCloseTo(0.284, 3);
    expect(marginals[2]).toBeCloseTo(0.176, 3);
  });

  test('the earthquake, once it is known, explains the calls away', () => {
    const both = [seen(0), seen(1)];
    const alone = posterior(network, both).marginals[1]!;
    const explained = posterior(network, both, new Map([[2, true]])).marginals[1]!;
    expect(explained).toBeLessThan(alone / 20);
  });
});

// Lauritzen & Spiegelhalter 1988, J. R. Statist. Soc. B 50:157, the chest clinic (tables from memory): tuberculosis and
// lung cancer behind one X-ray. Smoking and travel are summed out, which leaves 0.0104 and 0.055.
describe('one picture, two illnesses', () => {
  const network: Network = {
    faults: [
      { id: 'tuberculosis', prior: 0.0104, causes: [] },
      { id: 'lung-cancer', prior: 0.055, causes: [] },
    ],
    findings: [
      shows('x-ray', 0.05, [
        [0, 0.98],
        [1, 0.98],
      ]),
    ],
  };
  // The published table gives 0.98 for either or both; two causes in a noisy-OR give 0.9996 for both, which are rare.
  test('a shadow is seen with probability 0.110, and then tuberculosis is 0.092, lung cancer 0.489', () => {
    const { marginals, logEvidence } = posterior(network, [seen(0)]);
    expect(Math.exp(logEvidence)).toBeCloseTo(0.1103, 4);
    expect(marginals[0]).toBeCloseTo(0.0924, 3);
    expect(marginals[1]).toBeCloseTo(0.4887, 3);
  });

  test('without a shadow both are all but excluded', () => {
    const { marginals } = posterior(network, [notSeen(0)]);
    expect(marginals[0]).toBeLessThan(0.0003);
    expect(marginals[1]).toBeLessThan(0.0014);
  });
});
