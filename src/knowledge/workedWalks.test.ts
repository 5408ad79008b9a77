import { assess } from '@/core/diagnosis/assess';
import type { Answer } from '@/core/diagnosis/assessment';
import { repairedFault } from '@/core/diagnosis/doing';
import { checksOf, STRENGTHS } from '@/core/diagnosis/knowledge';
import { kindById, knowledge } from '.';

/**
 * Machines followed from the first look to the end, as a good technician would: kind, complaints, what is wrong with it, and
 * for each of the first three steps which looks are right (two at most). Common practice, no source.
 */
type Walk = [kind: string, complaints: string, wrong: string, steps: string[]];

const walks: Walk[] = [
  [
    'upright-shaft-belt',
    'roll-slow burning-smell',
    'belt-slipping',
    ['sole-plate-look finger-turn', 'bristle-height belt-against-new'],
  ],
  [
    'upright-shaft-belt',
    'stops-after-minutes',
    'filter-clogged thermal-cutout-open',
    ['bag-or-bin breaker-reset', 'breaker-reset filter-look', 'finger-turn filter-look'],
  ],
  [
    'upright-shaft-belt',
    'weak-suction',
    'filter-dirty hose-clogged',
    ['bag-or-bin filter-look', 'filter-look hose-drop', 'hose-drop exhaust-filter-look'],
  ],
  [
    'upright-shaft-belt',
    'dead',
    'cord-broken-at-grip',
    ['breaker-reset outlet-test', 'outlet-test cord-look', 'finger-turn cord-look'],
  ],
  [
    'upright-brush-motor',
    'roll-not-turning',
    'tilt-switch-failed',
    ['finger-turn brush-switch-position', 'head-lamp-look brush-switch-position', 'run-seconds head-on-test-lead'],
  ],
  [
    'upright-brush-motor',
    'weak-only-in-floor-mode',
    'neck-hose-split',
    ['neck-hose-split bag-or-bin', 'head-duct-look hose-split'],
  ],
  [
    'upright-brush-motor',
    'bad-smell',
    'roll-mouldy',
    ['bag-or-bin filter-look', 'exhaust-filter-look filter-look', 'filter-look sole-plate-look'],
  ],
  [
    'upright-clutch',
    'roll-slow ratchet-noise',
    'clutch-worn-or-melted',
    ['finger-turn sole-plate-look', 'sole-plate-look second-belt-and-clutch', 'second-belt-and-clutch end-cap-look'],
  ],
  [
    'upright-clutch',
    'roll-slow',
    'primary-belt-stretched',
    ['finger-turn bristle-height', 'bristle-height sole-plate-look', 'plate-float-look sole-plate-look'],
  ],
  ['upright-clutch', 'weak-only-upright', 'u-bend-missing', ['u-bend-fitted']],
  ['upright-direct-air', 'harsh-motor rattle', 'fan-broken', ['fan-look run-seconds']],
  [
    'upright-direct-air',
    'no-suction',
    'fan-chamber-packed',
    ['fill-tube-look bag-or-bin', 'bag-or-bin fan-chamber-look', 'finger-turn fan-chamber-look'],
  ],
  [
    'upright-self-propelled',
    'hard-to-push clicks-when-driving',
    'transmission-worn',
    ['drive-neutral-free drive-clicks', 'pedal-engages drive-clicks', 'drive-clicks transmission-look'],
  ],
  [
    'upright-self-propelled',
    'roll-slow',
    'roll-set-low',
    ['finger-turn bristle-height', 'bristle-height sole-plate-look'],
  ],
  [
    'upright-self-propelled',
    'does-not-drive',
    'drive-belt-worn',
    ['pedal-engages drive-neutral-free', 'drive-clicks transmission-look', 'repair:drive-belt-worn transmission-look'],
  ],
  ['upright-auto', 'dead', 'handle-not-home', ['handle-seated outlet-test']],
  [
    'upright-auto',
    'weak-suction',
    'neck-clogged',
    ['bag-or-bin filter-look', 'filter-look neck-look', 'finger-turn neck-look'],
  ],
  [
    'canister-power-nozzle',
    'roll-not-turning',
    'hose-conductor-open',
    ['finger-turn brush-switch-position', 'run-seconds head-lamp-look', 'breaker-reset head-on-test-lead'],
  ],
  [
    'canister-power-nozzle',
    'roll-not-turning',
    'head-breaker-tripped roll-jammed-by-object',
    ['finger-turn breaker-reset', 'sole-plate-look breaker-reset'],
  ],
  [
    'central-turbine-brush',
    'roll-not-turning',
    'turbine-jammed',
    ['finger-turn turbine-look', 'turbine-look sole-plate-look', 'sole-plate-look cover-under-lip'],
  ],
  [
    'central-turbine-brush',
    'roll-slow',
    'central-unit-weak',
    ['finger-turn wall-inlet-vacuum', 'bristle-height wall-inlet-vacuum', 'cover-under-lip wall-inlet-vacuum'],
  ],
  ['stick-cordless', 'short-run-time', 'battery-worn', ['finger-turn pack-under-load', 'pack-under-load cell-spread']],
  [
    'stick-cordless',
    'weak-suction',
    'cones-some-plugged',
    ['bag-or-bin filter-look', 'filter-look cyclone-look', 'wand-look cyclone-look'],
  ],
  [
    'stick-cordless',
    'roll-not-turning',
    'roll-bound-by-hair',
    ['finger-turn run-seconds', 'sole-plate-look end-cap-look', 'wand-contacts-look run-seconds'],
  ],
  [
    'handheld-mains',
    'harsh-motor',
    'armature-bad',
    ['wind-down-listen run-seconds', 'armature-sound motor-spin', 'fan-look commutator-look'],
  ],
  [
    'handheld-mains',
    'sparks',
    'carbon-brushes-worn',
    ['carbon-brush-length run-seconds', 'commutator-look armature-sound', 'armature-sound bar-to-bar-ohms'],
  ],
  [
    'scrubber-walk-behind',
    'no-solution',
    'tank-screen-blocked',
    ['valve-position tank-look', 'tube-look tank-screen-look', 'repair:tank-screen-blocked tank-screen-look'],
  ],
  [
    'scrubber-walk-behind',
    'leaves-water',
    'squeegee-worn',
    ['squeegee-edges tank-look', 'tank-look inlets-clear', 'inlets-clear lid-gasket'],
  ],
  [
    'scrubber-walk-behind',
    'squeal',
    'deck-belt-loose',
    ['finger-turn deck-belts', 'deck-pressure deck-belts', 'deck-belts deck-debris'],
  ],
  [
    'scrubber-ride-on',
    'squeal',
    'deck-belt-slipping deck-debris-packed pressure-too-high',
    ['finger-turn deck-pressure', 'deck-debris deck-pressure', 'deck-pressure deck-belts'],
  ],
  [
    'scrubber-ride-on',
    'wears-one-side',
    'driven-over-ramps brushes-uneven',
    ['deck-pressure brush-pattern', 'brush-pattern squeegee-deflection', 'operator-ask squeegee-deflection'],
  ],
  [
    'scrubber-ride-on',
    'dead',
    'battery-cable-loose',
    ['charger-volts battery-cable-look', 'finger-turn battery-cable-look', 'run-seconds contactor-click'],
  ],
  [
    'upright-bagged-brush-gear',
    'ratchet-noise',
    'gear-stripped',
    ['finger-turn gear-look', 'gear-look repair:gear-stripped'],
  ],
  ['upright-bagged-brush-gear', 'weak-suction', 'bag-clogged', ['bag-or-bin filter-look']],
  [
    'backpack',
    'weak-suction',
    'hose-clogged',
    ['bag-or-bin filter-look', 'filter-look hose-drop', 'hose-split hose-drop'],
  ],
  ['backpack', 'hard-to-carry', 'strap-worn', ['harness-look']],
  ['wet-dry-tub', 'blows-water', 'foam-sleeve-missing', ['float-free repair:foam-sleeve-missing']],
  ['wet-dry-tub', 'no-suction', 'float-shut', ['hose-drop float-free', 'float-free bag-or-bin']],
  [
    'carpet-extractor',
    'no-solution',
    'jets-blocked',
    ['jet-look solution-filter-look', 'pump-listen solution-filter-look', 'valve-position solution-filter-look'],
  ],
  ['carpet-extractor', 'no-suction', 'recovery-full', ['tank-look float-free']],
  ['robot', 'goes-in-circles', 'sensor-dirty', ['sensor-look drive-wheel-look']],
  ['robot', 'will-not-charge', 'pack-contacts-dirty', ['pack-contacts-look charger-volts', 'charger-volts pack-volts']],
  ['robot', 'corners-left', 'side-brush-bound', ['side-brush-look repair:side-brush-bound']],
];

const MOST_STEPS = 12;

/** What somebody sees who looks at a machine with these faults: what they show at least often, else nothing. */
function seen(kind: string, check: string, wrong: string[]): Answer[] {
  const mended = repairedFault(check);
  if (mended !== null) return [{ check, outcome: wrong.length === 1 && wrong[0] === mended ? 'gone' : 'remains' }];
  return checksOf(knowledge, kind)
    .find((c) => c.id === check)!
    .aspects.filter((a) => !a.neutral)
    .map((aspect) => {
      const shown = wrong
        .flatMap((id) => knowledge.faults.find((f) => f.id === id)!.shows)
        .filter((s) => s.check === check && (!s.condition || s.condition === aspect.condition))
        .filter((s) => aspect.outcomes.some((o) => o.id === s.outcome) && (s.kinds?.includes(kind) ?? true))
        .filter((s) => STRENGTHS[s.strength] >= STRENGTHS.often)
        .sort((a, b) => STRENGTHS[b.strength] - STRENGTHS[a.strength])[0];
      const outcome = shown?.outcome ?? aspect.outcomes[0]!.id;
      return { check, outcome, ...(aspect.condition ? { condition: aspect.condition } : {}) };
    });
}

test('there are forty and more, two and more of every kind, and no step accepts more than two looks', () => {
  expect(walks.length).toBeGreaterThanOrEqual(40);
  for (const kind of knowledge.kinds)
    expect([kind.id, walks.filter(([id]) => id === kind.id).length >= 2]).toEqual([kind.id, true]);
  expect(walks.flatMap(([, , , steps]) => steps).filter((s) => s.split(' ').length > 2)).toEqual([]);
});

test.each(walks)('%s: %s, because of %s', (kind, complaints, wrongWords, steps) => {
  const wrong = wrongWords.split(' ');
  const answers: Answer[] = [];
  const now = () =>
    assess(knowledge, { kind: kindById(kind), mainsV: 120, complaints: complaints.split(' '), answers });
  let result = now();
  const made: string[] = [];
  while (!result.finished && made.length < MOST_STEPS) {
    const { check } = result.next.find((n) => n.heldBackBy.length === 0)!;
    made.push(check);
    const right = steps[made.length - 1];
    if (right !== undefined)
      expect([made.length, right.split(' ')]).toEqual([made.length, expect.arrayContaining([check])]);
    answers.push(...seen(kind, check, wrong));
    result = now();
  }
  // The end: everything that explains a complaint is found, or its repair was tried and it was gone.
  expect(result.finished).toBe(true);
  const causes = wrong.filter((id) => !knowledge.faults.find((f) => f.id === id)!.symptom);
  const explains = (id: string) =>
    knowledge.faults.find((f) => f.id === id)!.complaints.some((c) => complaints.split(' ').includes(c.complaint));
  expect(result.proved).toEqual(expect.arrayContaining(causes.filter(explains).slice(0, 1)));
  for (const id of result.proved) expect(wrong).toContain(id);
});
