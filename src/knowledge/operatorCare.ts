import { kindsWith } from './where';

/** What the people who use a machine do themselves. Common practice, no source. */
export interface OperatorItem {
  id: string;
  label: string;
  /** How, in one sentence. */
  how: string;
  kinds: string[];
  every: 'use' | 'day' | 'week' | 'month';
  /** Which picture shows it. */
  picture: OperatorPicture;
  /** What comes when it is left. */
  keepsAway: string[];
  /** Left out for closed batteries. */
  flooded?: true;
}

export type OperatorPicture =
  | 'empty'
  | 'rinse'
  | 'lid-open'
  | 'wipe-blade'
  | 'clear-deck'
  | 'brush-out'
  | 'sweep-first'
  | 'low-pressure'
  | 'ramp'
  | 'drain'
  | 'charge'
  | 'water-cells'
  | 'hair'
  | 'filter-dry'
  | 'plug'
  | 'float'
  | 'dry-hands'
  | 'turn-by-hand';

export const operatorItems: OperatorItem[] = [
  {
    id: 'rinse-recovery',
    label: 'Rinse the recovery tank',
    how: 'Emptied and rinsed after work, also round the float.',
    kinds: kindsWith('recovery-tank'),
    every: 'day',
    picture: 'rinse',
    keepsAway: ['float-fouled', 'intake-screen-blocked', 'solution-stale'],
  },
  {
    id: 'lids-open',
    label: 'Leave the lids open',
    how: 'Both lids open overnight: what is shut in smells, and gaskets take a set.',
    kinds: kindsWith('recovery-tank'),
    every: 'day',
    picture: 'lid-open',
    keepsAway: ['lid-gasket-off', 'solution-stale', 'suction-motor-worn'],
  },
  {
    id: 'squeegee-wiped',
    label: 'Wipe the squeegee and look at it',
    how: 'Blades wiped and looked along; hung up or lifted, in its notch, never stood on.',
    kinds: kindsWith('squeegee-blades'),
    every: 'day',
    picture: 'wipe-blade',
    keepsAway: ['squeegee-worn', 'squeegee-tilted'],
  },
  {
    id: 'deck-cleared',
    label: 'Clear the deck while it is wet',
    how: 'Strings, tape and mud off the deck and the ends of the brushes; key out first.',
    kinds: kindsWith('deck'),
    every: 'day',
    picture: 'clear-deck',
    keepsAway: ['deck-debris-packed', 'deck-bearing-rusted', 'deck-belt-slipping'],
  },
  {
    id: 'brushes-out',
    label: 'Take the brushes out to dry',
    how: 'Out, rinsed, stood on end; in again the other way round.',
    kinds: kindsWith('deck'),
    every: 'day',
    picture: 'brush-out',
    keepsAway: ['brush-left-in', 'brushes-uneven'],
  },
  {
    id: 'dust-mop-first',
    label: 'Dust-mop the floor first',
    how: 'What is loose is swept up before the machine comes.',
    kinds: kindsWith('deck'),
    every: 'use',
    picture: 'sweep-first',
    keepsAway: ['inlet-blocked', 'intake-screen-blocked', 'vac-hose-damaged'],
  },
  {
    id: 'lowest-pressure',
    label: 'Lowest pressure that cleans',
    how: 'More pressure wears belts and brushes, and empties the batteries; it is no cure for worn bristles.',
    kinds: kindsWith('deck-pressure'),
    every: 'use',
    picture: 'low-pressure',
    keepsAway: ['pressure-too-high', 'deck-belt-slipping'],
  },
  {
    id: 'ramps-sideways',
    label: 'Ramps and thresholds sideways',
    how: 'Squeegee and deck up, over it at an angle.',
    kinds: kindsWith('squeegee-blades'),
    every: 'use',
    picture: 'ramp',
    keepsAway: ['driven-over-ramps', 'squeegee-tilted', 'skirts-worn'],
  },
  {
    id: 'no-detergent-overnight',
    label: 'No solution left overnight',
    how: 'Run empty and rinsed with clean water: what dries in the valve shuts it.',
    kinds: kindsWith('solution-tank'),
    every: 'day',
    picture: 'drain',
    keepsAway: ['tube-blocked', 'solenoid-failed', 'tank-screen-blocked'],
  },
  {
    id: 'charged-after-work',
    label: 'Charge after every use',
    how: 'A whole charge, in moving air, no flame near; never left standing flat.',
    kinds: kindsWith('batteries'),
    every: 'use',
    picture: 'charge',
    keepsAway: ['batteries-sulphated'],
  },
  {
    id: 'cells-watered',
    label: 'Look at the water of the cells',
    how: 'After charging, goggles and gloves on; distilled water just over the plates.',
    kinds: kindsWith('batteries'),
    every: 'month',
    picture: 'water-cells',
    keepsAway: ['batteries-sulphated'],
    flooded: true,
  },
  {
    id: 'float-by-hand',
    label: 'Move the float by hand',
    how: 'It falls by itself; with it up the suction stops, and no water reaches the motor.',
    kinds: kindsWith('float'),
    every: 'week',
    picture: 'float',
    keepsAway: ['float-fouled', 'float-shut'],
  },
  {
    id: 'emptied-at-the-line',
    label: 'Empty it before the line',
    how: 'The bin emptied, the bag changed before it is full. A full one is the first cause of heat.',
    kinds: kindsWith('bin', 'bin-or-bag', 'bag', 'outer-bag', 'drum'),
    every: 'use',
    picture: 'empty',
    keepsAway: ['bag-or-bin-full', 'thermal-cutout-open'],
  },
  {
    id: 'hair-cut-off',
    label: 'Hair off the roll',
    how: 'Plug or pack out, then cut along the groove; the ends too.',
    kinds: kindsWith('roll'),
    every: 'month',
    picture: 'hair',
    keepsAway: ['roll-bound-by-hair', 'bearing-rough'],
  },
  {
    id: 'sole-plate-wiped',
    label: 'Wipe roll, sole plate and seal',
    how: 'A damp cloth, then dry: it pushes easier and seals better.',
    kinds: kindsWith('head-mouth'),
    every: 'month',
    picture: 'turn-by-hand',
    keepsAway: ['head-mouth-blocked'],
  },
  {
    id: 'filter-washed-dried',
    label: 'Wash the filter, dry it a whole day',
    how: 'Cold water until it runs clear, squeezed; a day to dry away from heat. A second one keeps the machine in use.',
    kinds: kindsWith('pre-filter', 'pre-foam'),
    every: 'month',
    picture: 'filter-dry',
    keepsAway: ['filter-clogged', 'filter-dirty'],
  },
  {
    id: 'nothing-wet',
    label: 'Nothing wet, no ash, no fine dust',
    how: 'Water, embers and building dust are for other machines.',
    kinds: kindsWith('bag', 'bin', 'bin-or-bag', 'outer-bag').filter((k) => k !== 'wet-dry-tub'),
    every: 'use',
    picture: 'dry-hands',
    keepsAway: ['motor-wet', 'filter-clogged'],
  },
  {
    id: 'plug-not-cord',
    label: 'Pull the plug, not the cord',
    how: 'A loose bend at the handle when it is wound up.',
    kinds: kindsWith('cord'),
    every: 'use',
    picture: 'plug',
    keepsAway: ['cord-broken-at-grip', 'cord-damaged'],
  },
];

/** What its people do on a machine of a kind. */
export function operatorItemsOn(kind: string, sealedBattery: boolean | null): OperatorItem[] {
  return operatorItems.filter((i) => i.kinds.includes(kind) && !(i.flooded && sealedBattery === true));
}
