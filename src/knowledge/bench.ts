import { arrivalSigns, waitKinds } from './counter';
import { procedures } from './kinds';
import { kindsWith } from './where';

/** Cautions that the counter, the waits and the way in and back raise; the checks and repairs have their own. */
export const raisedAtTheBench: string[] = [
  ...arrivalSigns.map((s) => s.raises),
  ...waitKinds.flatMap((w) => w.cautions),
  ...Object.values(procedures).flatMap(({ steps, finals }) => [
    ...steps.flatMap((s) => [...s.cautions, ...s.back.checks.flatMap((c) => c.cautions)]),
    ...finals.flatMap((c) => c.cautions),
  ]),
];

/** Lines for the customer's care sheet: always, or after one of these faults. Common practice, no source. */
/** `flooded`: left out for closed batteries. */
export const careLines: { kinds: string[]; afterFaults?: string[]; flooded?: true; text: string }[] = [
  {
    kinds: kindsWith('bin', 'bin-or-bag', 'bag', 'outer-bag'),
    text: '{bin-or-bag:Empty the bin or change the bag}{bin:Empty the bin}{bag/outer-bag:Change the bag} before it reaches the line. Full, it is the first cause of heat.',
  },
  {
    kinds: kindsWith('pre-filter', 'pre-foam'),
    text: 'Wash foam filters in cold water until it runs clear, then dry them a full day before they go back. A second filter keeps the machine in use.',
  },
  {
    kinds: kindsWith('filter-indicator', 'indicator-board', 'pre-foam'),
    text: 'A green filter light is no proof: look at the filter itself.',
  },
  {
    kinds: kindsWith('roll'),
    afterFaults: ['roll-bound-by-hair', 'bearing-rough', 'bristles-worn'],
    text: 'Plug out, then cut hair off the roll along its groove once a month.',
  },
  {
    kinds: kindsWith('roll', 'fan'),
    afterFaults: ['roll-jammed-by-object', 'head-mouth-blocked', 'fan-broken'],
    text: 'Pick up screws, coins and stones by hand. What rattles in goes {roll:into the roll or through the fan|through the fan}.',
  },
  {
    kinds: kindsWith('flat-belt', 'primary-belt'),
    afterFaults: [
      'belt-broken',
      'belt-slipping',
      'belt-brittle',
      'belt-off-track',
      'rubber-on-shaft',
      'primary-belt-stretched',
    ],
    text: 'Lift the machine off fringes and loose rugs at once: a stalled roll burns the belt in seconds.',
  },
  {
    kinds: kindsWith('cut-out'),
    afterFaults: ['thermal-cutout-open', 'filter-clogged', 'hose-clogged', 'felt-clogged'],
    text: 'If it stops by itself, plug out, empty it{pre-filter/pre-foam/breather-filter:, look at the filter} and let it cool. Do not reset it again and again.',
  },
  {
    kinds: kindsWith('cord'),
    afterFaults: ['cord-broken-at-grip', 'cord-damaged', 'plug-damaged'],
    text: 'Pull the plug, not the cord; leave a loose bend at the handle.',
  },
  {
    kinds: kindsWith('brush-motor'),
    afterFaults: ['tilt-switch-failed', 'head-board-failed', 'brush-motor-failed', 'water-in-head'],
    text: 'Never on wet floors or fresh carpet powder: the motor sits in the head.',
  },
  { kinds: kindsWith('bag', 'bin', 'bin-or-bag', 'outer-bag'), text: 'Nothing wet, no ash, no fine building dust.' },
  {
    kinds: kindsWith('battery-pack'),
    text: 'Charge it cool and dry, with its own charger. A swollen, dented or hot pack is not charged: outside with it.',
  },
  {
    kinds: kindsWith('batteries'),
    text: 'Charge after every use in moving air, no flame near.',
  },
  {
    kinds: kindsWith('batteries'),
    flooded: true,
    text: 'Where the cells can be opened: distilled water after charging, never before; goggles and gloves on.',
  },
  {
    kinds: kindsWith('squeegee-blades'),
    text: 'Wipe the squeegee, rinse both tanks and leave their lids open overnight. Run the suction a minute to dry its fan.',
  },
  {
    kinds: kindsWith('squeegee-blades'),
    afterFaults: ['driven-over-ramps', 'squeegee-tilted', 'skirts-worn'],
    text: 'Over ramps and thresholds sideways, the squeegee and the deck up.',
  },
  {
    kinds: kindsWith('deck-pressure'),
    text: 'Lowest deck pressure for every floor; take the brushes out to dry.',
  },
  {
    kinds: kindsWith('turbine'),
    text: 'Coins and screws stop the turbine: pick them up by hand. Turn the roll by hand before each use.',
  },
];
