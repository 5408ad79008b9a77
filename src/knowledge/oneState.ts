/**
 * Faults that are states of one part: at most one of each line is there. What was there before a repair is another matter.
 * Common practice, no source.
 */
export const oneState: string[][] = [
  ['belt-broken', 'belt-off-track', 'belt-slipping', 'belt-teeth-worn', 'belt-twisted-wrong', 'belt-brittle'],
  ['roll-bound-by-hair', 'roll-jammed-by-object'],
  ['filter-clogged', 'filter-dirty', 'pre-filter-disintegrated'],
  ['exhaust-filter-clogged', 'exhaust-filter-apart'],
  ['cyclone-plugged', 'cones-some-plugged'],
  ['primary-belt-broken', 'primary-belt-stretched'],
  ['bristles-worn', 'roll-set-low'],
  ['bag-or-bin-full', 'bag-missing', 'bag-clogged'],
  ['deck-belt-slipping', 'deck-belt-loose', 'deck-belt-tight', 'deck-belt-broken'],
  ['tilt-switch-failed', 'tilt-switch-stuck-closed'],
  ['clutch-left-off', 'clutch-stuck-engaged'],
  ['battery-worn', 'pack-deep-flat'],
  ['suction-motor-worn', 'suction-motor-failed', 'vac-motor-failed'],
  ['u-bend-missing', 'u-bend-clogged'],
  ['float-fouled', 'float-shut'],
  ['drive-wheel-bound', 'drive-wheel-failed'],
  ['fan-broken', 'fan-rubbing'],
  ['turbine-jammed', 'turbine-shaft-worn'],
  ['remote-unpaired', 'receiver-board-failed'],
];
