import { assess } from '@/core/diagnosis/assess';
import type { Answer, AssessInput } from '@/core/diagnosis/assessment';
import { compileKind, shippedPriors } from '@/core/diagnosis/compileKind';
import { problemsIn } from '@/core/diagnosis/validateKnowledge';
import { levelsGiven } from '@/core/diagnosis/joint';
import { posterior } from '@/core/diagnosis/posterior';
import { seededRandom } from '@/core/diagnosis/seededRandom';
import { OVER_RANGE_OHM } from '@/core/units/units';
import { kindById, knowledge } from '.';
import { raisedAtTheBench } from './bench';

const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';

function find(kind: string, complaints: string[], answers: Answer[] = [], more: Partial<AssessInput> = {}) {
  return assess(knowledge, { kind: kindById(kind), mainsV: 120, complaints, answers, ...more });
}
const of = (result: ReturnType<typeof find>, fault: string) => result.faults.find((f) => f.id === fault)!;

describe('the shipped knowledge', () => {
  test('has no dead ends', () => expect(problemsIn(knowledge, raisedAtTheBench)).toEqual([]));

  test('dead ends are found: a fault that nothing shows, a complaint that nothing explains, a caution that is not there', () => {
    const broken = {
      ...knowledge,
      faults: knowledge.faults.map((f) => (f.id === 'belt-slipping' ? { ...f, shows: [] } : f)),
      complaints: [...knowledge.complaints, { id: 'sings', label: 'Sings', kinds: [K1], raises: ['nonsense'] }],
    };
    const problems = problemsIn(broken);
    expect(problems).toContain(`${K1}: no check shows fault belt-slipping`);
    expect(problems).toContain(`${K1}: nothing explains complaint sings`);
    expect(problems).toContain('complaint sings names caution nonsense, which is not there');
  });

  test('what a complaint asks for first and what a check is made after or puts right must be there', () => {
    const problems = problemsIn({
      ...knowledge,
      complaints: knowledge.complaints.map((c) => (c.id === 'dead' ? { ...c, asksFirst: ['palm-reading'] } : c)),
      checks: knowledge.checks.map((c) =>
        c.id === 'cord-flex' ? { ...c, madeAfter: 'prayer', putsRight: ['gout'] } : c,
      ),
    });
    expect(problems).toContain('complaint dead asks for palm-reading first, which is not there');
    expect(problems).toContain('check cord-flex is made after prayer, which is not there');
    expect(problems.join('\n')).toContain('check cord-flex puts right gout, which is not there');
  });

  test('every group of parts that a repair takes has its minutes', () => {
    for (const fault of knowledge.faults)
      for (const group of fault.repair.parts ?? [])
        expect([group, knowledge.partMinutes![group]! > 0]).toEqual([group, true]);
  });

  test('priors add up to the stated number of faults', () => {
    for (const kind of knowledge.kinds) {
      const sum = [...shippedPriors(knowledge, kind).values()].reduce((a, b) => a + b, 0);
      expect(sum).toBeCloseTo(kind.expectedFaults, 6);
    }
  });

  test('after somebody else’s repair the faults of rebuilding weigh more', () => {
    const before = find(K1, ['weak-suction']);
    const after = find(K1, ['weak-suction'], [], { openedBefore: true });
    expect(of(after, 'seal-leaking').probability).toBeGreaterThan(1.5 * of(before, 'seal-leaking').probability);
  });

  // Machines drawn from the knowledge itself: of all faults said to be p likely, p are there.
  test('the odds are calibrated on machines drawn from the model', () => {
    const { network } = compileKind(knowledge, kindById(K2));
    const random = seededRandom(5);
    const pick = (p: number[]) => {
      let u = random();
      return Math.max(
        0,
        p.findIndex((x) => (u -= x) < 0),
      );
    };
    const bins = Array.from({ length: 5 }, () => ({ said: 0, was: 0, n: 0 }));
    for (let machine = 0; machine < 250; machine++) {
      const present = new Set<number>();
      const order = [...network.faults.keys()].sort(
        (a, b) => network.faults[a]!.causes.length - network.faults[b]!.causes.length,
      );
      for (const i of order) {
        let absent = 1 - network.faults[i]!.prior;
        for (const c of network.faults[i]!.causes) if (present.has(c.fault)) absent *= 1 - c.strength;
        if (random() > absent) present.add(i);
      }
      const observations = network.findings.flatMap((node, finding) => {
        if (random() > 0.25 || node.id.startsWith('repair:')) return [];
        const level = pick(levelsGiven(node, (f) => present.has(f)));
        return [{ finding, likelihood: node.leak.map((_, k) => (k === level ? 1 : 0)) }];
      });
      posterior(network, observations).marginals.forEach((p, i) => {
        const bin = bins[Math.min(4, Math.floor(p * 5))]!;
        bin.said += p;
        bin.was += present.has(i) ? 1 : 0;
        bin.n++;
      });
    }
    for (const bin of bins) {
      const mean = bin.said / bin.n;
      const error = Math.sqrt((mean * (1 - mean)) / bin.n);
      expect(Math.abs(bin.was / bin.n - mean)).toBeLessThan(4 * error + 0.01);
    }
  });
});

describe('an upright with a dead roll, belt from the shaft', () => {
  test('the cheap turn of the roll comes first', () => {
    const { next } = find(K1, ['roll-not-turning']);
    expect(next[0]!.check).toBe('finger-turn');
    // It takes seconds and costs next to nothing on the way.
    expect(next[0]!.total - Math.min(...next.map((n) => n.total))).toBeLessThan(0.5);
  });

  test('why a check is proposed speaks of what it would change, never of a bystander that is proved already', () => {
    for (const [kind, complaints, answers] of [
      ['upright-clutch', ['dead', 'burning-smell'], [{ check: 'motor-spin', outcome: 'spin-stuck' }]],
      ['scrubber-ride-on', ['squeal'], [{ check: 'deck-debris', outcome: 'debris-packed' }]],
      [K1, ['roll-slow', 'weak-suction'], [{ check: 'sole-plate-look', outcome: 'hair-much' }]],
    ] as const) {
      const { proved, next } = find(kind, [...complaints], [...answers]);
      expect(proved.length).toBeGreaterThan(0);
      for (const n of next.slice(0, 6))
        for (const lead of n.why) expect([n.check, proved.includes(lead.topFault ?? '')]).toEqual([n.check, false]);
    }
    // The likely answers of the first look do not all tell the same.
    const [first] = find(K1, ['roll-not-turning']).next.filter((n) => n.check === 'sole-plate-look');
    const told = first!.why.map((w) => `${w.topFault} ${w.topProbability.toFixed(2)}`);
    expect(new Set(told).size).toBeGreaterThan(2);
  });

  test('why a check is proposed tells what an answer speaks for from what it speaks against', () => {
    let [rises, falls] = [0, 0];
    for (const madeNew of [[], ['belt-broken', 'belt-slipping']]) {
      const { next, faults } = assess(knowledge, {
        kind: kindById(K1),
        mainsV: 120,
        complaints: ['roll-not-turning'],
        answers: [],
        madeNew,
      });
      for (const lead of next.flatMap((n) => n.why)) {
        if (lead.topFault === null) continue;
        const now = faults.find((f) => f.id === lead.topFault)!.probability;
        expect([lead.topFault, lead.falls === true]).toEqual([lead.topFault, lead.topProbability < now]);
        if (lead.falls) falls++;
        else rises++;
      }
    }
    expect(Math.min(rises, falls)).toBeGreaterThan(3);
  });

  test('what is said to be less speaks against what would make it more', () => {
    // Walk 20: a slow roll is no broken belt; a machine that cuts out is not dead.
    for (const [kind, said, more, fault] of [
      [K1, 'roll-slow', 'roll-not-turning', 'belt-broken'],
      [K1, 'dead-intermittent', 'dead', 'outlet-dead'],
    ] as const) {
      const before = find(kind, []);
      expect(of(find(kind, [said]), fault).probability).toBeLessThan(0.5 * of(before, fault).probability);
      expect(of(find(kind, [more]), fault).probability).toBeGreaterThan(of(before, fault).probability);
      // Both said: it is as bad as the worse of them.
      expect(of(find(kind, [said, more]), fault).probability).toBeGreaterThan(
        of(find(kind, [said]), fault).probability,
      );
    }
  });

  test('no drag points to the belt, the sole plate proves it', () => {
    const turned = find(K1, ['roll-not-turning'], [{ check: 'finger-turn', outcome: 'free-no-drag' }]);
    expect(turned.faults[0]!.id).toBe('belt-broken');
    expect(of(turned, 'belt-broken').evidence.map((e) => e.finding)).toContain('finger-turn=free-no-drag');
    const seen = find(
      K1,
      ['roll-not-turning'],
      [
        { check: 'finger-turn', outcome: 'free-no-drag' },
        { check: 'sole-plate-look', outcome: 'belt-missing' },
      ],
    );
    expect(seen.proved).toEqual(['belt-broken']);
    expect(of(seen, 'belt-broken').evidence[0]!.logOdds).toBeGreaterThan(1);
    expect(seen.finished).toBe(true);
    expect(seen.open).toEqual(['sole-plate']);
  });

  test('what is open costs nothing to open again', () => {
    const before = find(K1, ['roll-not-turning']).next.find((n) => n.check === 'belt-against-new')!;
    const after = find(K1, ['roll-not-turning'], [{ check: 'sole-plate-look', outcome: 'belt-whole' }]).next.find(
      (n) => n.check === 'belt-against-new',
    )!;
    expect(before.openingMinutes).toBeGreaterThan(0);
    expect(after.openingMinutes).toBe(0);
  });

  test('a new belt after which it runs is proof; one after which it does not turns to the others', () => {
    const gone = find(K1, ['roll-slow'], [{ check: 'repair:belt-slipping', outcome: 'gone' }]);
    expect(gone.finished).toBe(true);
    const asked = find(K1, ['roll-slow']);
    const remains = find(K1, ['roll-slow'], [{ check: 'repair:belt-slipping', outcome: 'remains' }]);
    expect(of(remains, 'roll-bound-by-hair').probability).toBeGreaterThan(of(asked, 'roll-bound-by-hair').probability);
  });
});

describe('an upright with a motor in the head', () => {
  test('supply at the head but no motion leads to the tilt switch', () => {
    const answers: Answer[] = [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'run-seconds', outcome: 'roll-none' },
      { check: 'head-socket-volts', value: 117, condition: 'roll-on' },
    ];
    const result = find(K2, ['roll-not-turning'], answers);
    expect(result.faults[0]!.id).toBe('tilt-switch-failed');
    expect(result.readings[0]!.readAs[0]).toMatchObject({ outcome: 'supply' });
    const proved = find(
      K2,
      ['roll-not-turning'],
      [...answers, { check: 'tilt-switch-ohms', value: OVER_RANGE_OHM, condition: 'leaned-back' }],
    );
    expect(proved.proved).toEqual(['tilt-switch-failed']);
  });

  test('a ghost leads before the head', () => {
    const result = find(
      K2,
      ['roll-not-turning'],
      [
        { check: 'finger-turn', outcome: 'normal-drag' },
        { check: 'head-socket-volts', value: 5 },
      ],
    );
    expect(of(result, 'tilt-switch-failed').probability).toBeLessThan(0.1);
    expect(of(result, 'handle-brush-switch-failed').probability).toBeGreaterThan(0.15);
  });

  test('a check that asks for the brush switch to be on has set it: a dark lamp or no volts do not speak of a switch that is off', () => {
    for (const answer of [
      { check: 'head-lamp-look', outcome: 'lamp-dark' },
      { check: 'head-socket-volts', value: 5, condition: 'roll-on' },
      { check: 'head-socket-volts', value: 118, condition: 'roll-on' },
    ]) {
      const free = { check: 'finger-turn', outcome: 'normal-drag' };
      const { faults, next } = find(K2, ['roll-not-turning'], [free, answer]);
      const off = faults.find((f) => f.id === 'brush-switch-off')!;
      expect(off.probability).toBeLessThan(0.03);
      expect(next.map((n) => n.check)).not.toContain('brush-switch-position');
    }
    // Looked at by itself and found off, it is off.
    const seen = [
      { check: 'head-lamp-look', outcome: 'lamp-dark' },
      { check: 'brush-switch-position', outcome: 'off' },
    ];
    expect(find(K2, ['roll-not-turning'], seen).proved).toEqual(['brush-switch-off']);
  });

  test('a ghost with the roll switched off says nothing', () => {
    const before = find(K2, ['roll-not-turning']);
    const after = find(K2, ['roll-not-turning'], [{ check: 'head-socket-volts', value: 5, condition: 'roll-off' }]);
    for (const f of before.faults) expect(of(after, f.id).probability).toBeCloseTo(f.probability, 9);
  });

  test('96 V is told with odds, in the light of the rest', () => {
    const { readings } = find(K2, ['roll-not-turning'], [{ check: 'head-socket-volts', value: 96 }]);
    const [first, second] = readings[0]!.readAs;
    expect([first!.outcome, second!.outcome].sort()).toEqual(['low', 'supply']);
    expect(second!.probability).toBeGreaterThan(0.05);
  });
});

describe('cautions', () => {
  test('signs of water hold back every powered check until cleared by name', () => {
    const wet = find(
      K2,
      ['roll-not-turning'],
      [
        { check: 'finger-turn', outcome: 'normal-drag' },
        { check: 'wet-signs', outcome: 'mud' },
      ],
    );
    const powered = new Set(knowledge.checks.filter((c) => c.power !== 'no').map((c) => c.id));
    for (const n of wet.next) if (powered.has(n.check)) expect(n.heldBackBy).toContain('wet-signs');
    expect(wet.next[0]!.heldBackBy).toEqual([]);
    const cleared = find(
      K2,
      ['roll-not-turning'],
      [
        { check: 'finger-turn', outcome: 'normal-drag' },
        { check: 'wet-signs', outcome: 'mud' },
      ],
      { cleared: ['wet-signs'] },
    );
    expect(cleared.next.find((n) => n.check === 'run-seconds')!.heldBackBy).toEqual([]);
  });

  test('several signs of water are seen at once, and each speaks for it', () => {
    const smell = ['bad-smell'];
    const seen = (...outcomes: string[]) =>
      of(
        find(
          K2,
          smell,
          outcomes.map((outcome) => ({ check: 'wet-signs', outcome })),
        ),
        'water-in-head',
      ).probability;
    expect(seen('mud')).toBeGreaterThan(seen());
    expect(seen('mud', 'rust')).toBeGreaterThan(seen('mud'));
    expect(seen('mud', 'rust', 'mildew')).toBeGreaterThan(0.95);
    expect(seen('no-mud', 'no-rust', 'no-mildew')).toBeLessThan(seen());
  });

  test('a danger is not freed by another cause: mud keeps water in the head likely whatever else is found', () => {
    const mud = { check: 'wet-signs', outcome: 'mud' };
    const leastOf = (r: ReturnType<typeof find>) => of(r, 'water-in-head').atLeast!;
    const alone = leastOf(find(K2, ['roll-not-turning'], [mud]));
    for (const outcome of ['belt-missing', 'hair-much', 'object']) {
      const found = find(K2, ['roll-not-turning'], [mud, { check: 'sole-plate-look', outcome }]);
      expect(found.proved).toHaveLength(1);
      expect(leastOf(found)).toBeGreaterThan(0.95 * alone);
    }
    // Without a sign of water it is explained away like anything else.
    const dry = (answers: Answer[]) => of(find(K2, ['roll-not-turning'], answers), 'water-in-head').probability;
    expect(dry([{ check: 'sole-plate-look', outcome: 'belt-missing' }])).toBeLessThan(0.9 * dry([]));
    // Measured sound it is less likely: what is measured of itself counts.
    const sound = { check: 'motor-winding-ohms', condition: 'frame', value: 5e8 };
    expect(leastOf(find(K2, ['roll-not-turning'], [mud, sound]))).toBeLessThan(alone);
    expect(of(find(K2, ['roll-not-turning']), 'water-in-head').atLeast).toBeUndefined();
  });

  test('a burning smell holds back power; so does a roll that nobody has turned', () => {
    const burnt = find(K1, ['burning-smell']).next.find((n) => n.check === 'run-seconds')!;
    expect(burnt.heldBackBy).toEqual(['burnt-smell', 'roll-free-before-power']);
  });
});

test('a rare sign counts as explained when nothing else is a serious rival', () => {
  // A caked felt is a rare cause of no suction at all: alone it explains it, beside a likely clog it does not.
  const felt: Answer = { check: 'filter-look', outcome: 'felt-caked' };
  expect(find(K2, ['no-suction'], [felt]).finished).toBe(false);
  const clear: Answer[] = [
    { check: 'hose-drop', outcome: 'falls-through' },
    { check: 'wand-look', outcome: 'wand-clear' },
    { check: 'head-duct-look', outcome: 'duct-clear' },
    { check: 'filter-look', outcome: 'filter-clean' },
    { check: 'bag-or-bin', outcome: 'below-line' },
  ];
  expect(find(K2, ['no-suction'], [felt, ...clear]).finished).toBe(true);
});

describe('a symptom has a cause', () => {
  test('a tripped cut-out alone does not finish; with the caked filter it does', () => {
    const tripped = find(K1, ['stops-after-minutes'], [{ check: 'breaker-reset', outcome: 'clicked' }]);
    expect(tripped.proved).toEqual(['thermal-cutout-open']);
    expect(tripped.finished).toBe(false);
    expect(of(tripped, 'filter-clogged').probability).toBeGreaterThan(0.25);
    const both = find(
      K1,
      ['stops-after-minutes'],
      [
        { check: 'breaker-reset', outcome: 'clicked' },
        { check: 'filter-look', outcome: 'filter-caked' },
      ],
    );
    expect(both.finished).toBe(true);
  });
});

test('ids that the kind does not have are refused', () => {
  expect(() => find(K1, ['sings'])).toThrow(/no complaint sings/);
  expect(() => find(K1, ['dead'], [{ check: 'tilt-switch-ohms', value: 1 }])).toThrow(/no check tilt-switch-ohms/);
  expect(() => find(K1, ['dead'], [{ check: 'finger-turn', outcome: 'purple' }])).toThrow(/no such outcome/);
});
