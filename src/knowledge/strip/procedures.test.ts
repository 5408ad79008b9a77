import fc from 'fast-check';
import { accessPath } from '@/core/diagnosis/accessCosts';
import { bestOrder } from '@/core/strip/bestOrder';
import { problemsOf } from '@/core/strip/validateProcedure';
import { stepsToOpen } from '@/core/strip/reach';
import { trayOf } from '@/core/strip/tray';
import { closingOf, replay, wayBack } from '@/core/strip/wayBack';
import { knowledge } from '..';
import { procedures } from '../kinds';
import { shippedParts } from '../parts';
import { planItems } from '../plans';
import { repairNeeds, repairWorkOf, roleOf, takenBy } from '../repairWork';
import { closingCheck, closingCheckIds } from './checks';
import { repairTexts } from './repairs';

const cautions = new Set(knowledge.cautions.map((c) => c.id));
const kinds = knowledge.kinds;
const faultsOf = (kind: string) => knowledge.faults.filter((f) => kind in f.kinds);
const all = kinds.flatMap((k) => procedures[k.id]!.steps);

describe('the way into every kind', () => {
  test.each(kinds.map((k) => k.id))('%s can be worked by', (id) => {
    expect(problemsOf(procedures[id]!, cautions)).toEqual([]);
  });

  test('there are at least 260 steps, and every access has some', () => {
    expect(all.length).toBeGreaterThanOrEqual(260);
    for (const kind of kinds)
      for (const access of kind.access)
        expect(procedures[kind.id]!.steps.filter((s) => s.access === access.id)).not.toHaveLength(0);
  });

  test('what an access takes in the finder is the sum of its steps', () => {
    for (const kind of kinds)
      for (const access of kind.access) {
        const own = procedures[kind.id]!.steps.filter((s) => s.access === access.id);
        expect(own.reduce((sum, s) => sum + s.minutes, 0)).toBeCloseTo(access.openMinutes, 9);
        expect(own.reduce((sum, s) => sum + s.back.minutes, 0)).toBeCloseTo(access.closeMinutes, 9);
      }
  });

  test('no closing check is written down for nobody', () => {
    const asked = new Set([
      ...all.flatMap((s) => s.back.checks.map((c) => c.id)),
      ...kinds.flatMap((k) => procedures[k.id]!.finals.map((c) => c.id)),
    ]);
    expect(closingCheckIds.filter((id) => !asked.has(id))).toEqual([]);
  });

  test('every fault says what its repair does, and no other', () => {
    expect(Object.keys(repairTexts).sort()).toEqual(knowledge.faults.map((f) => f.id).sort());
    for (const kind of kinds)
      for (const fault of faultsOf(kind.id)) {
        const work = repairWorkOf(kind.id, fault.id);
        expect(work.steps.length).toBeGreaterThan(0);
        for (const step of work.steps) expect(step.minutes).toBeGreaterThan(0);
      }
  });

  test('a repair takes parts that somebody stocks for the kind', () => {
    const nobody = kinds.flatMap((kind) =>
      faultsOf(kind.id).flatMap((f) =>
        (f.repair.parts ?? [])
          .filter((group) => !shippedParts.some((p) => p.group === group && kind.id in p.stations))
          .map((group) => `${kind.id}, ${f.id}: ${group}`),
      ),
    );
    expect(nobody).toEqual([]);
  });
});

// A battery has no plug to pull; what is full spills, over whoever lies beside it. Common practice, no source.
test('what has no plug is made dead before anything is opened, and emptied before it is laid down', () => {
  for (const kind of kinds) {
    const { steps } = procedures[kind.id]!;
    const before = (id: string): Set<string> => {
      const seen = new Set<string>();
      const look = (at: string) => {
        for (const n of steps.find((s) => s.id === at)!.needs)
          if (!seen.has(n)) {
            seen.add(n);
            look(n);
          }
      };
      look(id);
      return seen;
    };
    const dead = steps.find((s) => ['key-out', 'switched-off'].includes(s.id));
    for (const step of steps) {
      if (dead && step !== dead)
        expect([kind.id, step.id, before(step.id).has(dead.id)]).toEqual([kind.id, step.id, true]);
      const empties = steps.filter((s) => ['drain', 'recovery-off', 'head-latches'].includes(s.id));
      const isLaid = step.lie !== null && step.lie !== 'standing';
      if (isLaid && empties.length > 0)
        expect([kind.id, step.id, empties.some((e) => before(step.id).has(e.id))]).toEqual([kind.id, step.id, true]);
    }
    if (kind.supply === 'lead-acid') expect([kind.id, dead !== undefined]).toEqual([kind.id, true]);
  }
});

test('what a repair resets is an item of the plan', () => {
  const items = new Set(planItems.map((p) => p.id));
  const resets = Object.values(repairTexts).flatMap((r) => r.resets ?? []);
  expect(resets.length).toBeGreaterThan(15);
  expect(resets.filter((id) => !items.has(id))).toEqual([]);
});

test('what a repair says of its parts is of parts that it takes, and a must of one repair is a must', () => {
  for (const fault of knowledge.faults) {
    const { takes, roles } = repairNeeds(fault.id);
    for (const group of [...Object.keys(takes ?? {}), ...Object.keys(roles ?? {})])
      expect([fault.id, fault.repair.parts]).toEqual([fault.id, expect.arrayContaining([group])]);
  }
  expect([takenBy(['bearing-rough'], 'bearing'), takenBy(['belt-broken'], 'belt')]).toEqual([2, 1]);
  expect(roleOf(['filter-clogged'], 'filter')).toBe('choice');
  expect(roleOf(['filter-clogged', 'felt-clogged'], 'filter')).toBe('must');
  expect(roleOf(['roll-sprocket-worn'], 'belt')).toBe('usual');
});

test('a fan in its chamber is put back as it must be: old sealant off before the housing goes on, cured before it runs', () => {
  const procedure = procedures['upright-self-propelled']!;
  const kind = kinds.find((k) => k.id === procedure.kind)!;
  const work = repairWorkOf(kind.id, 'fan-broken');
  const opened = bestOrder(stepsToOpen(procedure, kind.access, [work.access])).steps;
  const lines = wayBack(procedure, opened, [work]).map((l) => l.id);
  const order = ['work.fan-broken.1', 'close.fan-nut', 'fan-nut-left', 'old-sealant-off', 'close.shoe-out'].concat([
    'close.housing-off',
    'close.housing-screws',
    'close.plate-levers',
    'close.lifter-off',
    'joint-cured',
  ]);
  expect(order.map((id) => lines.indexOf(id))).toEqual(order.map((id) => lines.indexOf(id)).sort((a, b) => a - b));
  expect(lines).toEqual(expect.arrayContaining(order));
  expect(procedure.steps.filter((s) => s.back.waits).map((s) => [s.id, s.back.waits!.kind])).toEqual([
    ['housing-screws', 'glue'],
  ]);
});

test('a look before something is hidden is asked once where it is, so that one tick stands for one look', () => {
  // The same filters, the same base, come to by either way.
  const alike = ['upright-clutch filters-clean', 'canister-power-nozzle base-whole'];
  for (const { kind, steps } of Object.values(procedures)) {
    const asked = new Map<string, Set<string>>();
    for (const step of steps)
      for (const c of step.back.checks) if (c.before) asked.set(c.id, (asked.get(c.id) ?? new Set()).add(step.access));
    const twice = [...asked].filter(([, accesses]) => accesses.size > 1).map(([id]) => `${kind} ${id}`);
    expect(twice.filter((t) => !alike.includes(t))).toEqual([]);
  }
});

test('what is done and the look at it are not told in the same words: nobody ticks one sentence twice', () => {
  for (const { id } of kinds)
    for (const { id: step, back } of procedures[id]!.steps)
      expect([id, step, back.checks.filter((c) => c.label.toLowerCase() === back.label.toLowerCase())]).toEqual([
        id,
        step,
        [],
      ]);
});

test('what is said to be dry or cured is not said while its clock runs', () => {
  const says = closingCheckIds.map(closingCheck).filter((c) => /\b(dry|cured)\b/i.test(c.label));
  // Soap that is dry is no machine that dries.
  expect(says.filter((c) => !c.lies).map((c) => c.id)).toEqual(['belt-dry-soap']);
  expect(says.length).toBeGreaterThan(3);
});

/** A machine of some kind on which some faults are repaired. */
const repairs = fc.constantFrom(...kinds).chain((kind) =>
  fc
    .subarray(
      faultsOf(kind.id).map((f) => f.id),
      { minLength: 1, maxLength: 6 },
    )
    .map((faults) => ({ kind, faults })),
);

test('stripped and rebuilt, nothing is open, every cup is empty, and no check came before its subject', () => {
  fc.assert(
    fc.property(repairs, ({ kind, faults }) => {
      const procedure = procedures[kind.id]!;
      const works = faults.map((f) => repairWorkOf(kind.id, f));
      const wanted = works.map((w) => w.access);
      const opened = bestOrder(stepsToOpen(procedure, kind.access, wanted)).steps;
      const lines = wayBack(procedure, opened, works);
      expect(replay(opened, lines)).toEqual({ open: [], full: [], untimely: [] });
      const closed = new Set(opened.filter((s) => lines.some((l) => l.id === closingOf(s.id))).map((s) => s.id));
      expect(trayOf(opened, closed, []).cups.filter((c) => c.full)).toEqual([]);
      // Every repair’s own steps are done once, while its access lies open.
      for (const work of works) {
        const own = lines.filter((l) => l.fault === work.fault);
        expect(own.map((l) => l.label)).toEqual(work.steps.map((s) => s.label));
        const firstClosed = lines.findIndex(
          (l) => l.sort === 'close' && opened.some((s) => s.id === l.step && s.access === work.access),
        );
        if (firstClosed >= 0) expect(lines.indexOf(own.at(-1)!)).toBeLessThan(firstClosed);
      }
      expect(new Set(lines.map((l) => l.id)).size).toBe(lines.length);
      expect(lines.at(-1)!.id).toBe('nothing-left');
    }),
    { seed: 20_261_127, numRuns: 600 },
  );
});

test('a belt finds its centre only once the roll is in', () => {
  const seen = kinds.filter((kind) => {
    const procedure = procedures[kind.id]!;
    const all = kind.access.map((a) => a.id);
    const lines = wayBack(procedure, stepsToOpen(procedure, kind.access, all), []).map((l) => l.id);
    const [rollIn, tracked] = [lines.indexOf(closingOf('roll-lift')), lines.indexOf('belt-tracked')];
    if (rollIn < 0 || tracked < 0) return false;
    expect([kind.id, tracked > rollIn]).toEqual([kind.id, true]);
    return true;
  });
  expect(seen.length).toBeGreaterThan(5);
});

test('what is opened is all that the repair stands behind, and nothing else', () => {
  for (const kind of kinds)
    for (const access of kind.access) {
      const steps = stepsToOpen(procedures[kind.id]!, kind.access, [access.id]);
      const way = accessPath(kind, access.id);
      expect(way.every((id) => steps.some((s) => s.access === id))).toBe(true);
      // A step of elsewhere is there only because one of these needs it.
      for (const s of steps.filter((s) => !way.includes(s.access)))
        expect(steps.some((other) => other.needs.includes(s.id))).toBe(true);
    }
});

// Common practice, no source: what the trade warns of stands at the step where it bites.
test.each<[string, string, RegExp]>([
  ['upright-clutch', 'clutch', /long.*behind the U-bend/i],
  ['upright-clutch', 'clutch', /clutch.*set to off.*arm in line/i],
  ['upright-clutch', 'motor-bay', /inner groove/i],
  ['upright-clutch', 'motor-bay', /upper port/i],
  ['upright-clutch', 'motor-bay', /in an L/i],
  ['upright-clutch', 'motor-bay', /fifth screw stays/i],
  ['upright-clutch', 'motor-bay', /upper seal.*wider base/i],
  ['upright-self-propelled', 'transmission', /fourth screw below stays/i],
  ['upright-self-propelled', 'transmission', /matching motor sprocket/i],
  ['upright-self-propelled', 'transmission', /neutral the shaft spins free/i],
  ['upright-self-propelled', 'transmission', /penetrating oil/i],
  ['upright-self-propelled', 'roll-out', /same number/i],
  ['upright-self-propelled', 'fan-chamber', /left-hand/i],
  ['upright-self-propelled', 'fan-chamber', /fork over its receiver/i],
  ['upright-brush-motor', 'head', /axle stay/i],
  ['upright-brush-motor', 'head', /seconds on one screw/i],
  ['upright-direct-air', 'fan-chamber', /very end.*clockwise/i],
  ['upright-direct-air', 'filter-bay', /strap wrench/i],
  ['upright-shaft-belt', 'roll-out', /belted end first.*against the belt/i],
  ['upright-shaft-belt', 'roll-out', /smooth part of the shaft/i],
  ['central-turbine-brush', 'head', /lip under the metal/i],
  ['central-turbine-brush', 'roll-out', /half twist/i],
  ['stick-cordless', 'exhaust', /before its cover/i],
  ['stick-cordless', 'motor-bay', /notch forward/i],
  ['stick-cordless', 'head', /four started before any is tightened/i],
  ['handheld-mains', 'motor-bay', /finger-tight/i],
  ['handheld-mains', 'motor-out', /marked before they are parted/i],
  ['handheld-mains', 'motor-out', /cup of its end/i],
  ['scrubber-walk-behind', 'deck', /front one under the motor/i],
  ['scrubber-walk-behind', 'roll-out', /grooves as marked/i],
  ['scrubber-ride-on', 'deck', /while it is wet/i],
])('%s, %s says it', (kind, access, trap) => {
  const told = procedures[kind]!.steps.filter((s) => s.access === access).map((s) =>
    [
      s.label,
      s.stays,
      s.carried,
      s.back.label,
      s.back.trial,
      ...s.fasteners.map((f) => `${f.length ?? ''} ${f.where}`),
      ...s.back.checks.map((c) => c.label),
    ].join(' · '),
  );
  expect(told.some((words) => trap.test(words))).toBe(true);
});

test('screws of one drive and two lengths are a mix-up, in every kind that has them', () => {
  const housing = procedures['upright-self-propelled']!.steps.filter((s) =>
    ['switch-screws', 'upper-front-screws'].includes(s.id),
  );
  const { cups } = trayOf(housing, new Set(), []);
  expect(cups.map((c) => c.mixedUpWith)).toEqual([[2], [1]]);
  expect(trayOf(housing, new Set(['switch-screws']), []).cups.map((c) => c.mixedUpWith)).toEqual([[], []]);
});
