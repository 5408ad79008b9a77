import type { Show } from '@/core/diagnosis/knowledge';
import type { FaultText } from '../assemble';

const basis = 'common practice, no source';

/** The sealed vacuum from the lossy piece on: `before` is still good. */
function losesFrom(piece: 'hose' | 'wand' | 'head', outcome: 'weak' | 'none'): Show[] {
  const from = { hose: ['hose', 'wand', 'head'], wand: ['wand', 'head'], head: ['head'] }[piece];
  return from.map((at) => ({ check: 'inlet-vacuum', outcome: `${at}-${outcome}`, strength: 'usually' }));
}

const weakEverywhere: Show[] = [
  { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'usually' },
  ...losesFrom('hose', 'weak'),
];

/** Floor to exhaust. How common, and how surely each shows: common practice, no source. */
export const airFaults: FaultText[] = [
  {
    id: 'filter-clogged',
    label: 'Pre-motor filter clogged',
    complaints: [
      { complaint: 'weak-suction', strength: 'usually' },
      { complaint: 'no-suction', strength: 'sometimes' },
      { complaint: 'bad-smell', strength: 'sometimes' },
      { complaint: 'indicator-red', strength: 'often' },
      { complaint: 'burning-smell', strength: 'rarely' },
    ],
    shows: [{ check: 'filter-look', outcome: 'filter-caked', strength: 'always' }, ...weakEverywhere],
    repair: {
      label: 'Wash or replace the filter',
      minutes: 4,
      access: 'filter-bay',
      parts: ['filter'],
      power: true,
    },
    basis,
  },
  {
    id: 'filter-dirty',
    label: 'Pre-motor filter grey',
    complaints: [
      { complaint: 'weak-suction', strength: 'sometimes' },
      { complaint: 'bad-smell', strength: 'rarely' },
    ],
    shows: [
      { check: 'filter-look', outcome: 'filter-grey', strength: 'always' },
      { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'rarely' },
    ],
    // Washed is not new: nothing is fitted.
    repair: { label: 'Wash the filter, dry it a day', minutes: 3, access: 'filter-bay', power: true, waits: true },
    basis,
  },
  {
    id: 'felt-clogged',
    label: 'Pre-motor felt clogged',
    complaints: [
      { complaint: 'weak-suction', strength: 'usually' },
      { complaint: 'no-suction', strength: 'rarely' },
    ],
    shows: [{ check: 'filter-look', outcome: 'felt-caked', strength: 'always' }, ...weakEverywhere],
    repair: { label: 'Replace the felt', minutes: 3, access: 'filter-bay', parts: ['filter'], power: true },
    basis,
  },
  {
    id: 'exhaust-filter-clogged',
    label: 'Exhaust filter clogged',
    complaints: [
      { complaint: 'weak-suction', strength: 'often' },
      { complaint: 'bad-smell', strength: 'often' },
    ],
    shows: [
      { check: 'exhaust-filter-look', outcome: 'exhaust-clogged', strength: 'always' },
      { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'rarely' },
    ],
    repair: {
      label: 'Fit a new exhaust filter',
      minutes: 2,
      access: 'outside',
      parts: ['filter'],
      power: true,
    },
    basis,
  },
  {
    id: 'exhaust-filter-apart',
    label: 'Exhaust filter fallen apart',
    complaints: [{ complaint: 'blows-dust', strength: 'always' }],
    shows: [{ check: 'exhaust-filter-look', outcome: 'exhaust-apart', strength: 'always' }],
    repair: {
      label: 'Clear its crumbs, fit a new exhaust filter',
      minutes: 4,
      access: 'outside',
      parts: ['filter'],
      power: true,
    },
    basis,
  },
  {
    id: 'bag-or-bin-full',
    label: 'Bag or bin over full',
    complaints: [
      { complaint: 'weak-suction', strength: 'usually' },
      { complaint: 'bad-smell', strength: 'sometimes' },
      { complaint: 'no-suction', strength: 'rarely' },
      { complaint: 'blows-dust', strength: 'rarely' },
      { complaint: 'indicator-red', strength: 'sometimes' },
    ],
    shows: [{ check: 'bag-or-bin', outcome: 'over-full', strength: 'always' }, ...weakEverywhere],
    repair: { label: 'Empty it', minutes: 2, access: 'outside', power: true },
    basis,
  },
  {
    id: 'bag-missing',
    label: 'Bag missing or not seated',
    complaints: [{ complaint: 'blows-dust', strength: 'always' }],
    shows: [{ check: 'bag-or-bin', outcome: 'bag-missing', strength: 'always' }],
    repair: {
      label: 'Fit a bag, clean the motor inlet',
      minutes: 4,
      access: 'filter-bay',
      parts: ['filter'],
      power: true,
    },
    basis,
  },
  {
    id: 'hose-clogged',
    label: 'Hose clogged',
    complaints: [
      { complaint: 'no-suction', strength: 'usually' },
      { complaint: 'weak-suction', strength: 'often' },
      { complaint: 'indicator-red', strength: 'sometimes' },
    ],
    shows: [{ check: 'hose-drop', outcome: 'held', strength: 'always' }, ...losesFrom('hose', 'none')],
    repair: { label: 'Clear the hose', minutes: 5, access: 'hose-off', power: true },
    basis,
  },
  {
    id: 'wand-clogged',
    label: 'Wand clogged',
    complaints: [
      { complaint: 'no-suction', strength: 'often' },
      { complaint: 'weak-suction', strength: 'often' },
    ],
    shows: [{ check: 'wand-look', outcome: 'wand-blocked', strength: 'always' }, ...losesFrom('wand', 'none')],
    repair: { label: 'Clear the wand', minutes: 4, access: 'outside', power: true },
    basis,
  },
  {
    id: 'head-duct-clogged',
    label: 'Duct behind the roll clogged',
    complaints: [
      { complaint: 'weak-only-in-floor-mode', strength: 'usually' },
      { complaint: 'no-suction', strength: 'sometimes' },
      { complaint: 'weak-suction', strength: 'often' },
    ],
    shows: [{ check: 'head-duct-look', outcome: 'duct-blocked', strength: 'always' }, ...losesFrom('head', 'none')],
    repair: { label: 'Clear the duct', minutes: 5, access: 'sole-plate', power: true },
    basis,
  },
  {
    id: 'head-mouth-blocked',
    label: 'Something across the head’s mouth',
    complaints: [
      { complaint: 'weak-only-in-floor-mode', strength: 'often' },
      { complaint: 'weak-suction', strength: 'sometimes' },
      { complaint: 'rattle', strength: 'rarely' },
    ],
    shows: [{ check: 'sole-plate-look', outcome: 'mouth-blocked', strength: 'always' }, ...losesFrom('head', 'weak')],
    repair: { label: 'Take it out', minutes: 2, access: 'sole-plate', power: true },
    basis,
  },
  {
    id: 'cyclone-plugged',
    label: 'Mesh or cyclone plugged',
    complaints: [
      { complaint: 'weak-suction', strength: 'usually' },
      { complaint: 'blows-dust', strength: 'rarely' },
    ],
    shows: [
      { check: 'cyclone-look', outcome: 'cyclone-matted', strength: 'always' },
      { check: 'filter-look', outcome: 'filter-grey', strength: 'sometimes' },
      ...weakEverywhere,
    ],
    repair: { label: 'Clean the mesh and cones, dry', minutes: 15, access: 'filter-bay', power: true },
    basis,
  },
  {
    id: 'cones-some-plugged',
    label: 'Some cones plugged',
    complaints: [{ complaint: 'weak-suction', strength: 'often' }],
    shows: [
      { check: 'cyclone-look', outcome: 'cyclone-some', strength: 'always' },
      { check: 'filter-look', outcome: 'filter-grey', strength: 'sometimes' },
      { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'sometimes' },
    ],
    repair: { label: 'Clear the plugged cones from below, dry', minutes: 8, access: 'filter-bay', power: true },
    basis,
  },
  {
    id: 'hose-split',
    label: 'Hose split',
    complaints: [{ complaint: 'weak-suction', strength: 'usually' }],
    shows: [{ check: 'hose-split', outcome: 'fault', strength: 'always' }, ...losesFrom('hose', 'weak')],
    repair: { label: 'Fit a new hose', minutes: 6, access: 'hose-off', parts: ['hose'], power: true },
    basis,
  },
  {
    id: 'handle-cracked',
    label: 'Handle duct cracked',
    complaints: [{ complaint: 'weak-suction', strength: 'often' }],
    shows: [{ check: 'hose-split', outcome: 'handle-cracked', strength: 'always' }, ...losesFrom('hose', 'weak')],
    repair: { label: 'Fit a new handle shell', minutes: 15, access: 'handle', power: true },
    basis,
  },
  {
    id: 'neck-hose-split',
    label: 'Neck hose split',
    complaints: [
      { complaint: 'weak-only-in-floor-mode', strength: 'usually' },
      { complaint: 'weak-suction', strength: 'often' },
    ],
    shows: [{ check: 'neck-hose-split', outcome: 'fault', strength: 'always' }, ...losesFrom('head', 'weak')],
    repair: { label: 'Fit a new neck hose', minutes: 8, access: 'sole-plate', parts: ['hose'], power: true },
    basis,
  },
  {
    id: 'changeover-leaking',
    label: 'Change-over flap leaks',
    complaints: [
      { complaint: 'weak-only-in-floor-mode', strength: 'usually' },
      { complaint: 'weak-suction', strength: 'sometimes' },
    ],
    shows: [{ check: 'changeover-look', outcome: 'flap-leaks', strength: 'always' }, ...losesFrom('head', 'weak')],
    repair: { label: 'Free and clean the flap', minutes: 8, access: 'hose-off', power: true },
    basis,
  },
  {
    id: 'seal-leaking',
    label: 'Motor seal leaks',
    complaints: [
      { complaint: 'weak-suction', strength: 'usually' },
      { complaint: 'blows-dust', strength: 'sometimes' },
    ],
    shows: [{ check: 'seal-look', outcome: 'fault', strength: 'usually' }, ...weakEverywhere],
    repair: { label: 'Fit or seat the seal', minutes: 8, access: 'filter-bay', parts: ['seal'], power: true },
    basis,
  },
  {
    id: 'bin-gasket-leaking',
    label: 'Bin gasket leaks',
    complaints: [{ complaint: 'weak-suction', strength: 'usually' }],
    shows: [{ check: 'seal-look', outcome: 'bin-gasket-fault', strength: 'always' }, ...weakEverywhere],
    repair: { label: 'Fit or seat the gasket', minutes: 3, access: 'outside', parts: ['seal'], power: true },
    basis,
  },
  {
    id: 'pre-filter-disintegrated',
    label: 'Pre-motor filter falling apart',
    complaints: [
      { complaint: 'blows-dust', strength: 'always' },
      { complaint: 'bad-smell', strength: 'rarely' },
    ],
    shows: [
      { check: 'filter-look', outcome: 'filter-disintegrated', strength: 'usually' },
      { check: 'filter-look', outcome: 'filter-torn', strength: 'rarely' },
      { check: 'wet-signs', outcome: 'filter-swollen', strength: 'sometimes' },
    ],
    repair: {
      label: 'Fit a new filter, clean the motor inlet',
      minutes: 5,
      access: 'filter-bay',
      parts: ['filter'],
      power: true,
    },
    basis,
  },
];
