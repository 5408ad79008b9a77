import type { FaultText } from '../assemble';
import { fault, type Shows } from '../write';

/** The sealed vacuum from the lossy piece on: `before` is still good. */
function losesFrom(piece: 'hose' | 'wand' | 'head', outcome: 'weak' | 'none'): Shows {
  const from = { hose: ['hose', 'wand', 'head'], wand: ['wand', 'head'], head: ['head'] }[piece];
  return Object.fromEntries(from.map((at) => [`inlet-vacuum=${at}-${outcome}`, 'usually']));
}

const weakEverywhere: Shows = { 'inlet-vacuum=machine-weak': 'usually', ...losesFrom('hose', 'weak') };

/** Floor to exhaust. How common, and how surely each shows: common practice, no source. */
export const airFaults: FaultText[] = [
  fault(
    'filter-clogged',
    'Pre-motor filter clogged',
    {
      'weak-suction': 'usually',
      'no-suction': 'sometimes',
      'bad-smell': 'sometimes',
      'indicator-red': 'often',
      'burning-smell': 'rarely',
    },
    { 'filter-look=filter-caked': 'always', ...weakEverywhere },
    ['Wash or replace the filter', 4, 'filter-bay', ['filter']],
  ),
  // Washed is not new: nothing is fitted.
  fault(
    'filter-dirty',
    'Pre-motor filter grey',
    { 'weak-suction': 'sometimes', 'bad-smell': 'rarely' },
    { 'filter-look=filter-grey': 'always', 'inlet-vacuum=machine-weak': 'rarely' },
    ['Wash the filter, dry it a day', 3, 'filter-bay'],
    {},
    { waits: true },
  ),
  fault(
    'felt-clogged',
    'Pre-motor felt clogged',
    { 'weak-suction': 'usually', 'no-suction': 'rarely' },
    { 'filter-look=felt-caked': 'always', ...weakEverywhere },
    ['Replace the felt', 3, 'filter-bay', ['filter']],
  ),
  fault(
    'exhaust-filter-clogged',
    'Exhaust filter clogged',
    { 'weak-suction': 'often', 'bad-smell': 'often' },
    { 'exhaust-filter-look=exhaust-clogged': 'always', 'inlet-vacuum=machine-weak': 'rarely' },
    ['Fit a new exhaust filter', 2, 'outside', ['filter']],
  ),
  fault(
    'exhaust-filter-apart',
    'Exhaust filter fallen apart',
    { 'blows-dust': 'always' },
    { 'exhaust-filter-look=exhaust-apart': 'always' },
    ['Clear its crumbs, fit a new exhaust filter', 4, 'outside', ['filter']],
  ),
  fault(
    'bag-or-bin-full',
    'Bag or bin over full',
    {
      'weak-suction': 'usually',
      'bad-smell': 'sometimes',
      'no-suction': 'rarely',
      'blows-dust': 'rarely',
      'indicator-red': 'sometimes',
    },
    { 'bag-or-bin=over-full': 'always', ...weakEverywhere },
    ['Empty it', 2, 'outside'],
  ),
  fault(
    'bag-missing',
    'Bag missing or not seated',
    { 'blows-dust': 'always' },
    { 'bag-or-bin=bag-missing': 'always' },
    ['Fit a bag, clean the motor inlet', 4, 'filter-bay', ['filter']],
  ),
  fault(
    'hose-clogged',
    'Hose clogged',
    { 'no-suction': 'usually', 'weak-suction': 'often', 'indicator-red': 'sometimes' },
    { 'hose-drop=held': 'always', ...losesFrom('hose', 'none') },
    ['Clear the hose', 5, 'hose-off'],
  ),
  fault(
    'wand-clogged',
    'Wand clogged',
    { 'no-suction': 'often', 'weak-suction': 'often' },
    { 'wand-look=wand-blocked': 'always', ...losesFrom('wand', 'none') },
    ['Clear the wand', 4, 'outside'],
  ),
  fault(
    'head-duct-clogged',
    'Duct behind the roll clogged',
    { 'weak-only-in-floor-mode': 'usually', 'no-suction': 'sometimes', 'weak-suction': 'often' },
    { 'head-duct-look=duct-blocked': 'always', ...losesFrom('head', 'none') },
    ['Clear the duct', 5, 'sole-plate'],
  ),
  fault(
    'head-mouth-blocked',
    'Something across the head’s mouth',
    { 'weak-only-in-floor-mode': 'often', 'weak-suction': 'sometimes', rattle: 'rarely' },
    { 'sole-plate-look=mouth-blocked': 'always', ...losesFrom('head', 'weak') },
    ['Take it out', 2, 'sole-plate'],
  ),
  fault(
    'cyclone-plugged',
    'Mesh or cyclone plugged',
    { 'weak-suction': 'usually', 'blows-dust': 'rarely' },
    { 'cyclone-look=cyclone-matted': 'always', 'filter-look=filter-grey': 'sometimes', ...weakEverywhere },
    ['Clean the mesh and cones, dry', 15, 'filter-bay'],
  ),
  fault(
    'cones-some-plugged',
    'Some cones plugged',
    { 'weak-suction': 'often' },
    {
      'cyclone-look=cyclone-some': 'always',
      'filter-look=filter-grey': 'sometimes',
      'inlet-vacuum=machine-weak': 'sometimes',
    },
    ['Clear the plugged cones from below, dry', 8, 'filter-bay'],
  ),
  fault(
    'hose-split',
    'Hose split',
    { 'weak-suction': 'usually' },
    { 'hose-split=fault': 'always', ...losesFrom('hose', 'weak') },
    ['Fit a new hose', 6, 'hose-off', ['hose']],
  ),
  fault(
    'handle-cracked',
    'Handle duct cracked',
    { 'weak-suction': 'often' },
    { 'hose-split=handle-cracked': 'always', ...losesFrom('hose', 'weak') },
    ['Fit a new handle shell', 15, 'handle'],
  ),
  fault(
    'neck-hose-split',
    'Neck hose split',
    { 'weak-only-in-floor-mode': 'usually', 'weak-suction': 'often' },
    { 'neck-hose-split=fault': 'always', ...losesFrom('head', 'weak') },
    ['Fit a new neck hose', 8, 'sole-plate', ['hose']],
  ),
  fault(
    'changeover-leaking',
    'Change-over flap leaks',
    { 'weak-only-in-floor-mode': 'usually', 'weak-suction': 'sometimes' },
    { 'changeover-look=flap-leaks': 'always', ...losesFrom('head', 'weak') },
    ['Free and clean the flap', 8, 'hose-off'],
  ),
  fault(
    'seal-leaking',
    'Motor seal leaks',
    { 'weak-suction': 'usually', 'blows-dust': 'sometimes' },
    { 'seal-look=fault': 'usually', ...weakEverywhere },
    ['Fit or seat the seal', 8, 'filter-bay', ['seal']],
  ),
  fault(
    'bin-gasket-leaking',
    'Bin gasket leaks',
    { 'weak-suction': 'usually' },
    { 'seal-look=bin-gasket-fault': 'always', ...weakEverywhere },
    ['Fit or seat the gasket', 3, 'outside', ['seal']],
  ),
  fault(
    'pre-filter-disintegrated',
    'Pre-motor filter falling apart',
    { 'blows-dust': 'always', 'bad-smell': 'rarely' },
    {
      'filter-look=filter-disintegrated': 'usually',
      'filter-look=filter-torn': 'rarely',
      'wet-signs=filter-swollen': 'sometimes',
    },
    ['Fit a new filter, clean the motor inlet', 5, 'filter-bay', ['filter']],
  ),
];
