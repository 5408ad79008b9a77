import { evidenceFor } from './evidenceFor';
import { foldFinding } from './foldFindings';
import { causalOrder, cumulative, type Network } from './network';
import { posterior } from './posterior';

const node = { id: 'feel', leak: [0.9, 0.06, 0.04], effects: [{ fault: 0, levels: [0.2, 0.5, 0.3] }] };

describe('folding a finding', () => {
  test('a normal outcome needs no state', () => {
    expect(foldFinding(node, { finding: 0, likelihood: [1, 0, 0] })).toMatchObject({ weights: [1], leak: [0.9] });
  });
  test('a middle outcome keeps “not yet” and “reached”; beyond is impossible', () => {
    const folded = foldFinding(node, { finding: 0, likelihood: [0, 1, 0] });
    expect(folded.weights).toEqual([0, 1]);
    expect(folded.effects[0]!.levels).toEqual([0.2, 0.5]);
  });
  test('the worst outcome takes all lower ones together', () => {
    const folded = foldFinding(node, { finding: 0, likelihood: [0, 0, 1] });
    expect(folded.leak[0]).toBeCloseTo(0.96, 12);
    expect(folded.effects[0]!.levels[0]).toBeCloseTo(0.7, 12);
  });
  test('a reading that tells nothing needs no state', () => {
    expect(foldFinding(node, { finding: 0, likelihood: [0.4, 0.4, 0.4] }).weights).toEqual([0.4]);
  });
});

test('causes run in no circle', () => {
  const fault = (id: string, cause: number) => ({ id, prior: 0.1, causes: [{ fault: cause, strength: 0.5 }] });
  expect(() => causalOrder([fault('a', 1), fault('b', 0)])).toThrow(/bring itself on/);
  expect(causalOrder([fault('a', 1), { id: 'b', prior: 0.1, causes: [] }])).toEqual([1, 0]);
});

test('running totals', () => expect(cumulative([0.25, 0.5, 0.25])).toEqual([0.25, 0.75, 1]));

describe('evidence', () => {
  // By hand: prior odds 0.2/0.8; the sign is 0.9 likely with the fault and 0.1 without: log-odds ln 9.
  const network: Network = {
    faults: [{ id: 'a', prior: 0.2, causes: [] }],
    findings: [
      { id: 'sign', leak: [0.9, 0.1], effects: [{ fault: 0, levels: [1 / 9, 8 / 9] }] },
      { id: 'blind', leak: [0.5, 0.5], effects: [] },
    ],
  };
  test('of a single sign is the logarithm of its likelihood ratio, by hand; of a blind one nothing', () => {
    const observations = [
      { finding: 0, likelihood: [0, 1] },
      { finding: 1, likelihood: [0, 1] },
    ];
    const { marginals } = posterior(network, observations);
    expect(marginals[0]).toBeCloseTo(0.18 / (0.18 + 0.08), 9);
    const [sign, blind] = evidenceFor(network, observations, new Map(), marginals);
    expect(sign![0]).toBeCloseTo(Math.log(9), 9);
    expect(blind![0]).toBeCloseTo(0, 9);
  });
});

// By hand, explaining away: two causes of one sign; proving one brings the other back towards its prior.
test('a proved fault explains the sign away from its rival', () => {
  const network: Network = {
    faults: ['a', 'b'].map((id) => ({ id, prior: 0.1, causes: [] })),
    findings: [{ id: 'sign', leak: [1, 0], effects: [0, 1].map((fault) => ({ fault, levels: [0, 1] })) }],
  };
  const seen = [{ finding: 0, likelihood: [0, 1] }];
  expect(posterior(network, seen).marginals[1]).toBeCloseTo(0.1 / 0.19, 9);
  expect(posterior(network, seen, new Map([[0, true]])).marginals[1]).toBeCloseTo(0.1, 9);
});
