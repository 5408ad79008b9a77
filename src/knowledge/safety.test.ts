import { assess } from '@/core/diagnosis/assess';
import type { Answer } from '@/core/diagnosis/assessment';
import { cautionsFor, checksOf, inWordsOf, STRENGTHS, type Kind } from '@/core/diagnosis/knowledge';
import { problemsIn } from '@/core/diagnosis/validateKnowledge';
import { kindById, knowledge } from '.';
import { arrivalSigns } from './counter';
import { careLines, raisedAtTheBench } from './bench';
import { procedures } from './kinds';
import { PROTECTIVE } from './workCautions';

// Common practice, no source: what a technician may and may not be told where the work can hurt.
const stationsOf = (kind: Kind) => new Set(kind.lines.flatMap((l) => l.stations.map((s) => s.id)));
const holding = knowledge.cautions.filter((c) => c.holds === 'power').map((c) => c.id);
const withCaution = (more: object) => ({
  ...knowledge,
  cautions: [...knowledge.cautions, { id: 'new', label: 'New', when: '', text: '', ...more }],
});

describe('cautions', () => {
  test('one that nothing raises is a dead end, and so is a hold that can never come into force', () => {
    expect(problemsIn(withCaution({}), raisedAtTheBench)).toEqual(['nothing raises caution new']);
    expect(problemsIn(withCaution({}), [...raisedAtTheBench, 'new'])).toEqual([]);
    const shown = {
      ...withCaution({ holds: 'power' }),
      checks: knowledge.checks.map((c) => (c.id === 'cord-look' ? { ...c, cautions: ['new'] } : c)),
    };
    expect(problemsIn(shown, raisedAtTheBench)).toEqual([
      expect.stringContaining('caution new holds back power, and no'),
    ]);
    // A caution of another supply is raised by nothing on these machines.
    const elsewhere = {
      ...withCaution({ supplies: ['air'] }),
      checks: knowledge.checks.map((c) => (c.id === 'cord-look' ? { ...c, cautions: ['new'] } : c)),
    };
    expect(problemsIn(elsewhere, raisedAtTheBench)).toEqual(['nothing raises caution new']);
  });

  test.each(knowledge.kinds.map((k) => [k.id, k] as const))(
    '%s: they bite where they stand and only there',
    (id, kind) => {
      const stations = stationsOf(kind);
      const named = [
        ...checksOf(knowledge, id).flatMap((c) => c.cautions),
        ...knowledge.faults
          .filter((f) => f.kinds[id])
          .flatMap((f) => cautionsFor(knowledge, id, f.repair.cautions ?? [])),
        ...[
          ...procedures[id]!.steps.flatMap((s) => [
            ...s.cautions,
            ...s.back.trialCautions,
            ...s.back.checks.flatMap((c) => c.cautions),
          ]),
          ...procedures[id]!.finals.flatMap((c) => c.cautions),
        ].flatMap((c) => cautionsFor(knowledge, id, [c])),
      ];
      // A swollen battery is a plate only where one was seen.
      expect(named).not.toContain('lithium-pack');
      const turns = checksOf(knowledge, id).some((c) => c.freesRoll);
      expect(named.includes('roll-free-before-power')).toBe(turns);
      expect(named.includes('electrified-hose')).toBe(stations.has('hose-conductors'));
      expect(named.includes('unplug-before-opening')).toBe(kind.supply === 'mains');
      expect(named.includes('battery-out-before-opening')).toBe(kind.supply === 'pack' || kind.supply === 'lead-acid');
      expect(named.includes('heavy-machine')).toBe(kind.supply === 'lead-acid');
      expect(named.includes('lead-acid')).toBe(kind.supply === 'lead-acid');
      expect(named.includes('lithium-care')).toBe(kind.supply === 'pack');
      if (kind.supply !== 'mains') expect(named).not.toContain('earth-first');
    },
  );

  test('a swollen pack comes from what was seen: on arrival or at the look at the pack', () => {
    expect(arrivalSigns.some((s) => s.raises === 'lithium-pack')).toBe(true);
    const seen = assess(knowledge, {
      kind: kindById('stick-cordless'),
      mainsV: 22,
      complaints: ['short-run-time'],
      answers: [{ check: 'pack-contacts-look', outcome: 'pack-swollen' }],
    });
    expect(seen.cautions).toContain('lithium-pack');
    expect(seen.next.filter((n) => n.heldBackBy.length === 0).every((n) => !n.check.startsWith('run-'))).toBe(true);
  });
});

describe('words', () => {
  const plug = /\b(plug (is )?out|out of the wall|outlet|mains)\b/i;

  test.each(knowledge.kinds.filter((k) => k.supply !== 'mains').map((k) => [k.id]))(
    '%s has no plug to pull in any check or caution',
    (id) => {
      const checks = checksOf(knowledge, id);
      const plates = new Set(checks.flatMap((c) => c.cautions));
      const texts = [
        ...checks.flatMap((c) => [c.label, ...c.how]),
        ...knowledge.cautions.filter((c) => plates.has(c.id)).flatMap((c) => [c.label, c.text]),
      ];
      expect(texts.filter((t) => plug.test(t))).toEqual([]);
      expect(texts.filter((t) => /(\w+ out).*\1/i.test(t))).toEqual([]);
    },
  );

  test('the care sheet says them in the words of the supply', () => {
    const told = careLines.filter((l) => plug.test(l.text));
    expect(told.length).toBeGreaterThan(0);
    expect(inWordsOf('pack', told[0]!.text)).not.toMatch(plug);
    expect(inWordsOf('lead-acid', 'Plug out, seat up; plug out once more.')).toBe(
      'Key out, battery plug parted, seat up; key out, battery plug parted once more.',
    );
  });

  test('a check without power does not ask for the machine to run', () => {
    const runs = /\b(run it|machine on(?! its)|pump on|switch it on|power on|with it running)\b/i;
    const wrong = knowledge.checks.filter((c) => c.power === 'no').flatMap((c) => c.how.filter((h) => runs.test(h)));
    expect(wrong).toEqual([]);
    // What is done in a repair is not what shows it: a hold takes the run away, not the repair.
    expect(knowledge.faults.filter((f) => /\brun\b/i.test(f.repair.label)).map((f) => f.id)).toEqual([]);
  });
});

describe('with power held back', () => {
  test.each(knowledge.kinds.map((k) => [k.id, k] as const))(
    '%s: every motor, switch, cut-out, roll and brush can still be looked at, and nothing else must be cleared first',
    (id) => {
      const quiet = checksOf(knowledge, id).filter((c) => c.power === 'no');
      const suspects = knowledge.faults.filter((f) =>
        /(motor|switch|cut-out|breaker|^roll$|^brush$|trigger|armature|field)/.test(f.kinds[id]?.station ?? ''),
      );
      const blind = suspects.filter(
        (f) =>
          !f.shows.some(
            (s) =>
              STRENGTHS[s.strength] >= STRENGTHS.sometimes &&
              quiet.some(
                (c) => c.id === s.check && c.aspects.some((a) => a.outcomes.slice(1).some((o) => o.id === s.outcome)),
              ),
          ),
      );
      expect(blind.filter((f) => f.id !== 'brushes-uneven').map((f) => f.id)).toEqual([]);
    },
  );

  test.each(holding)('%s leaves unpowered looks on offer, and no powered one', (caution) => {
    for (const kind of knowledge.kinds.filter((k) => k.supply !== 'air')) {
      const complaint = knowledge.complaints.find((c) => c.kinds.includes(kind.id) && /smell|dead/.test(c.id))!;
      const { next } = assess(knowledge, {
        kind,
        mainsV: kind.supply === 'mains' ? 120 : 24,
        complaints: [complaint.id],
        answers: [],
        raised: [caution],
      });
      const free = next.filter((n) => n.heldBackBy.length === 0).map((n) => n.check);
      const powered = new Set(checksOf(knowledge, kind.id).flatMap((c) => (c.power === 'no' ? [] : c.id)));
      expect(free.filter((c) => powered.has(c))).toEqual([]);
      // Walk 17: the burnt motor is turned by hand and its winding measured while it stays off.
      if (stationsOf(kind).has('suction-motor')) expect(free).toContain('motor-spin');
      expect(free.length).toBeGreaterThan(3);
    }
  });

  test('walk 9: with mud seen the next thing is what tells whether it is safe, not a switch or a bag', () => {
    const seen = (answers: { check: string; outcome: string }[]) =>
      assess(knowledge, {
        kind: kindById('canister-power-nozzle'),
        mainsV: 120,
        complaints: ['roll-not-turning'],
        answers,
      });
    const mud = [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'wet-signs', outcome: 'mud' },
      { check: 'wet-signs', outcome: 'no-rust' },
      { check: 'wet-signs', outcome: 'no-mildew' },
      { check: 'wet-signs', outcome: 'filter-flat' },
    ];
    expect(seen(mud).next[0]!.check).toBe('plug-ohms');
    expect(seen(mud.slice(0, 2)).next[0]!.check).toBe('wet-signs');
  });

  test('walk 17: a burnt, dead clutch upright is judged without power, and its motor is found', () => {
    const found = assess(knowledge, {
      kind: kindById('upright-clutch'),
      mainsV: 120,
      complaints: ['dead', 'burning-smell'],
      answers: [
        { check: 'motor-spin', outcome: 'spin-stuck' },
        { check: 'suction-motor-ohms', condition: 'winding', value: 1e9 },
      ],
    });
    expect(found.cautions).toContain('burnt-smell');
    expect(found.faults[0]!.id).toBe('suction-motor-failed');
    expect(found.proved).toEqual(['suction-motor-failed']);
  });

  test.each(['upright-shaft-belt', 'upright-clutch', 'upright-self-propelled', 'backpack', 'wet-dry-tub'])(
    '%s: burnt, dead, rough in the hand and open at its leads, the motor is found without power too',
    (kind) => {
      const found = (more: Answer[]) =>
        assess(knowledge, {
          kind: kindById(kind),
          mainsV: 120,
          complaints: ['dead', 'burning-smell'],
          answers: [
            { check: 'motor-spin', outcome: 'spin-rough' },
            { check: 'suction-motor-ohms', condition: 'winding', value: 1e9 },
            { check: 'suction-motor-ohms', condition: 'frame', value: 1e9 },
            { check: 'carbon-brush-length', value: 14 },
            ...more,
          ],
        });
      const before = found([]);
      expect(before.proved).toEqual([]);
      expect(before.faults[0]!.id).toBe('suction-motor-failed');
      const [first, ...rest] = before.next.filter((n) => n.heldBackBy.length === 0);
      // What is left to do is not the long way round through everything that is whole.
      expect(first!.total).toBeLessThan(60);
      expect([first!, ...rest].find((n) => n.check === 'past-the-brushes')!.total - first!.total).toBeLessThan(5);
      expect(found([{ check: 'past-the-brushes', outcome: 'past-open' }]).proved).toEqual(['suction-motor-failed']);
      const whole = found([{ check: 'past-the-brushes', outcome: 'past-whole' }]);
      expect(whole.faults.find((f) => f.id === 'suction-motor-failed')!.probability).toBeLessThan(
        before.faults[0]!.probability,
      );
    },
  );
});

describe('a winding is judged by what feeds it', () => {
  const proved = (kind: string, check: string, value: number) =>
    assess(knowledge, {
      kind: kindById(kind),
      mainsV: kindById(kind).supply === 'mains' ? 120 : 24,
      complaints: [knowledge.complaints.find((c) => c.kinds.includes(kind) && /smell|dead|no-suction/.test(c.id))!.id],
      answers: [{ check, condition: 'winding', value }],
    }).proved;

  test.each(knowledge.kinds.filter((k) => k.supply === 'pack' || k.supply === 'lead-acid').map((k) => [k.id]))(
    '%s: some tenths of an ohm are a sound motor, an open one is not',
    (id) => {
      for (const ohms of [0.1, 0.3, 1, 5]) expect(proved(id, 'motor-winding-ohms', ohms)).toEqual([]);
      expect(proved(id, 'motor-winding-ohms', 1e8)).toEqual(['brush-motor-failed']);
    },
  );

  test('on the mains a tenth of an ohm is a short, some ohms are sound', () => {
    for (const ohms of [2, 8, 60]) expect(proved('upright-brush-motor', 'motor-winding-ohms', ohms)).toEqual([]);
    expect(proved('upright-brush-motor', 'motor-winding-ohms', 0.1)).toEqual(['brush-motor-failed']);
    expect(proved('upright-brush-motor', 'suction-motor-ohms', 0.1)).toEqual(['suction-motor-failed']);
  });
});

describe('protections', () => {
  test('whatever is repaired where something protects somebody owes a proof', () => {
    for (const fault of knowledge.faults)
      for (const [kind, { station }] of Object.entries(fault.kinds))
        if (PROTECTIVE.includes(station))
          expect([kind, fault.id, fault.repair.owes?.length ?? 0]).not.toEqual([kind, fault.id, 0]);
    const stations = new Set(knowledge.kinds.flatMap((k) => [...stationsOf(k)]));
    expect(PROTECTIVE.filter((s) => !stations.has(s))).toEqual([]);
  });

  test('no repair speaks of bridging what protects', () => {
    for (const f of knowledge.faults) expect(f.repair.label).not.toMatch(/bridge/i);
  });
});

test('a canister is heard and flexed with its nozzle off: no roll need be turned for that', () => {
  for (const id of ['wind-down-listen', 'cord-flex']) {
    const check = checksOf(knowledge, 'canister-power-nozzle').find((c) => c.id === id)!;
    expect(check.spinsRoll).toBeUndefined();
    expect(check.cautions).not.toContain('roll-free-before-power');
    expect(check.how[0]).toMatch(/off/);
    // Where the roll cannot be left out it is turned first.
    const upright = checksOf(knowledge, 'upright-shaft-belt').find((c) => c.id === id)!;
    expect(upright.spinsRoll).toBe(true);
  }
  const heard = assess(knowledge, {
    kind: kindById('canister-power-nozzle'),
    mainsV: 120,
    complaints: ['harsh-motor'],
    answers: [],
  }).next.find((n) => n.check === 'wind-down-listen')!;
  expect(heard.heldBackBy).toEqual([]);
});
