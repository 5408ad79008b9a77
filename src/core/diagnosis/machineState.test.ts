import { assess } from './assess';
import type { Answer } from './assessment';
import { checksOf } from './knowledge';
import { logJoint } from './joint';
import { madeBefore } from './machineState';
import { posterior } from './posterior';
import type { Network, Observation } from './network';
import { kindById, knowledge } from '@/knowledge';

const K1 = 'upright-shaft-belt';
const find = (complaints: string[], answers: Answer[], more = {}) =>
  assess(knowledge, { kind: kindById(K1), mainsV: 120, complaints, answers, ...more });
const of = (r: ReturnType<typeof find>, id: string) => r.faults.find((f) => f.id === id)!.probability;

describe('which findings were made before', () => {
  const checks = checksOf(knowledge, K1);
  const made = (check: string, outcome: string, at: number) => ({ check, outcome, at });

  test('a repair that was tried, a look that put something right, and a repair that was ticked divide them', () => {
    const list = [
      made('finger-turn', 'stuck', 1),
      made('repair:roll-jammed-by-object', 'remains', 2),
      made('finger-turn', 'normal-drag', 3),
    ];
    expect(madeBefore(checks, list, [])).toEqual([true, false, false]);
    expect(madeBefore(checks, [list[0]!, made('breaker-reset', 'clicked', 2), list[2]!], [])).toEqual([
      true,
      false,
      false,
    ]);
    // A reset that was not needed changed nothing.
    expect(madeBefore(checks, [list[0]!, made('breaker-reset', 'was-not-tripped', 2)], [])).toEqual([false, false]);
    expect(madeBefore(checks, [list[0]!, list[2]!], [2])).toEqual([true, false]);
    expect(madeBefore(checks, [], [5])).toEqual([]);
  });
});

describe('what was repaired no longer shows', () => {
  const network: Network = {
    faults: [
      { id: 'a', prior: 0.3, causes: [] },
      { id: 'b', prior: 0.2, causes: [] },
    ],
    findings: [
      {
        id: 'look',
        leak: [0.95, 0.05],
        effects: [
          { fault: 0, levels: [0.1, 0.9] },
          { fault: 1, levels: [0.4, 0.6] },
        ],
      },
    ],
  };
  const seen = (level: number, without?: number[]): Observation => ({
    finding: 0,
    likelihood: [0, 1].map((k) => (k === level ? 1 : 0)),
    ...(without ? { without: new Set(without) } : {}),
  });

  test('before and after are both counted, exactly: by enumeration of all sets', () => {
    const observations = [seen(1), seen(0, [0])];
    const { marginals } = posterior(network, observations);
    const sets = [[], [0], [1], [0, 1]];
    const weights = sets.map((s) => Math.exp(logJoint(network, observations, new Set(s))));
    const all = weights.reduce((a, b) => a + b, 0);
    // Worked by hand: P(seen, then not) for each set.
    const byHand = [
      0.7 * 0.8 * 0.05 * 0.95,
      0.3 * 0.8 * (1 - 0.95 * 0.1) * 0.95,
      0.7 * 0.2 * (1 - 0.95 * 0.4) * (0.95 * 0.4),
      0.3 * 0.2 * (1 - 0.95 * 0.1 * 0.4) * (0.95 * 0.4),
    ];
    weights.forEach((w, i) => expect(w).toBeCloseTo(byHand[i]!, 12));
    expect(marginals[0]).toBeCloseTo((weights[1]! + weights[3]!) / all, 12);
    expect(marginals[1]).toBeCloseTo((weights[2]! + weights[3]!) / all, 12);
    // Without the repair in between the two cannot well be reconciled: the first would be a slip.
    expect(marginals[0]).toBeGreaterThan(posterior(network, [seen(1), seen(0)]).marginals[0]!);
  });
});

describe('at the bench', () => {
  const jammed: Answer[] = [
    { check: 'finger-turn', outcome: 'stuck' },
    { check: 'sole-plate-look', outcome: 'object' },
  ];

  test('a roll that was stuck and turns once the object is out: both stay, the object stays proved', () => {
    const after = find(
      ['roll-not-turning'],
      [
        ...jammed,
        { check: 'repair:roll-jammed-by-object', outcome: 'remains' },
        { check: 'finger-turn', outcome: 'free-no-drag' },
      ],
    );
    expect(after.proved).toContain('roll-jammed-by-object');
    expect(after.finished).toBe(false);
    // What is felt now points to the belt; what was felt then is explained by the object.
    expect(of(after, 'belt-broken') + of(after, 'belt-off-track')).toBeGreaterThan(0.9);
    // The plate is off: the belt is looked at, and what is left to the end is told.
    expect(after.next[0]!.check).toBe('sole-plate-look');
    expect(after.minutesToGo).toBeGreaterThan(5);
  });

  test('a cut-out that was reset does not keep the machine silent', () => {
    const answers: Answer[] = [
      { check: 'breaker-reset', outcome: 'clicked' },
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'run-seconds', outcome: 'sound-even' },
    ];
    const reset = find(['dead'], answers);
    expect(reset.proved).toContain('thermal-cutout-open');
    // It runs: nothing open in the supply keeps it dead.
    expect(of(reset, 'main-switch-failed')).toBeLessThan(0.1);
    expect(of(reset, 'suction-motor-failed')).toBeLessThan(0.05);
  });

  test('a repair ticked in Fit is a change of state like one that was tried', () => {
    const answers: Answer[] = [...jammed, { check: 'finger-turn', outcome: 'normal-drag' }];
    const ticked = find(['roll-not-turning'], answers, { mendedAfter: { 'roll-jammed-by-object': 2 } });
    expect(ticked.proved).toContain('roll-jammed-by-object');
    // Without the tick the second answer contradicts what is proved.
    const evidence = (r: ReturnType<typeof find>) => r.faults.find((f) => f.id === 'bearing-rough')!.probability;
    expect(evidence(ticked)).toBeLessThanOrEqual(evidence(find(['roll-not-turning'], jammed)) + 1e-9);
  });

  test('stuck still, with the object out, speaks of another cause', () => {
    const out: Answer[] = [...jammed, { check: 'repair:roll-jammed-by-object', outcome: 'remains' }];
    const still = find(['roll-not-turning'], [...out, { check: 'finger-turn', outcome: 'stuck' }]);
    const unsaid = find(['roll-not-turning'], out);
    const bound = (r: ReturnType<typeof find>) =>
      of(r, 'bearing-rough') + of(r, 'roll-bound-by-hair') + of(r, 'endcap-misseated');
    expect(of(still, 'belt-broken')).toBeLessThan(of(unsaid, 'belt-broken'));
    expect(bound(still)).toBeGreaterThanOrEqual(bound(unsaid) - 1e-9);
  });

  test('the same answer again tells nothing new', () => {
    const once: Answer[] = [
      { check: 'finger-turn', outcome: 'grates' },
      { check: 'repair:belt-cover-off', outcome: 'remains' },
    ];
    const twice = find(['rattle'], [...once, { check: 'finger-turn', outcome: 'grates' }]);
    expect(of(twice, 'bearing-rough')).toBeCloseTo(of(find(['rattle'], once), 'bearing-rough'), 9);
  });
});
