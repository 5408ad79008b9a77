import type { AspectText, CheckText } from '../assemble';

function vacuumAt(condition: string, label: string, onlyWith?: string[]): AspectText {
  return {
    id: condition,
    label,
    condition,
    ...(onlyWith ? { onlyWith } : {}),
    outcomes: [
      { id: `${condition}-good`, label: 'good' },
      { id: `${condition}-weak`, label: 'weak' },
      { id: `${condition}-none`, label: 'next to none' },
    ],
    reading: {
      quantity: 'pressure',
      unit: 'kPa',
      relativeTo: 'healthyVacuumKpa',
      min: 0,
      max: 2,
      classes: [
        { outcome: `${condition}-good`, scatter: { shape: 'normal', mean: 1, sd: 0.09 } },
        { outcome: `${condition}-weak`, scatter: { shape: 'uniform', from: 0.2, to: 0.88 } },
        { outcome: `${condition}-none`, scatter: { shape: 'uniform', from: -0.01, to: 0.2 } },
      ],
      basis: 'common practice, no source',
    },
  };
}

/** The air line: bin and filters first, then the path is split. Minutes: common practice, no source. */
export const airChecks: CheckText[] = [
  {
    id: 'bag-or-bin',
    label: 'Bag or bin',
    how: [
      'Look at the line on the bin or feel the bag.',
      'Is a bag in at all?',
      'Empty it before anything else is judged.',
    ],
    minutes: 0.3,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'fill',
        label: 'Fill',
        outcomes: [
          { id: 'below-line', label: 'below the line' },
          { id: 'over-full', label: 'over full', proves: ['bag-or-bin-full'], resets: true },
          { id: 'bag-clogged', label: 'not full, but dense', proves: ['bag-clogged'] },
          { id: 'bag-missing', label: 'bag missing', proves: ['bag-missing'] },
        ],
        leak: { 'over-full': 0.05, 'bag-missing': 0.002 },
      },
    ],
  },
  {
    id: 'filter-look',
    label: 'Pre-motor filter',
    how: [
      'Filter out, against the light.',
      'A green light on the machine proves nothing.',
      'Squeeze the foam: damp, grit, crumbs.',
    ],
    minutes: 1,
    access: 'filter-bay',
    power: 'no',
    cautions: ['mould-dust'],
    aspects: [
      {
        id: 'filter',
        label: 'Filter',
        outcomes: [
          { id: 'filter-clean', label: 'clean' },
          { id: 'filter-grey', label: 'grey', proves: ['filter-dirty'] },
          { id: 'filter-damp', label: 'damp' },
          { id: 'filter-caked', label: 'caked', proves: ['filter-clogged'] },
          { id: 'filter-torn', label: 'torn', proves: ['pre-filter-disintegrated'] },
          { id: 'filter-disintegrated', label: 'falling apart', proves: ['pre-filter-disintegrated'] },
        ],
        leak: {
          'filter-grey': 0.15,
          'filter-damp': 0.02,
          'filter-caked': 0.02,
          'filter-torn': 0.003,
          'filter-disintegrated': 0.002,
        },
      },
      {
        id: 'felt',
        label: 'Felt behind it',
        outcomes: [
          { id: 'felt-clean', label: 'clean' },
          { id: 'felt-caked', label: 'caked', proves: ['felt-clogged'] },
        ],
      },
    ],
  },
  {
    id: 'exhaust-filter-look',
    label: 'Exhaust filter',
    how: [
      'Filter out, look at both sides.',
      'Black on the motor side is carbon, not failure.',
      'Grey and heavy all through is clogged.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: ['mould-dust'],
    aspects: [
      {
        id: 'exhaust',
        label: 'Filter',
        outcomes: [
          { id: 'exhaust-fine', label: 'fine' },
          { id: 'exhaust-clogged', label: 'clogged', proves: ['exhaust-filter-clogged'] },
          { id: 'exhaust-apart', label: 'falling apart', proves: ['exhaust-filter-apart'] },
        ],
        leak: { 'exhaust-clogged': 0.01, 'exhaust-apart': 0.002 },
      },
    ],
  },
  {
    id: 'inlet-vacuum',
    label: 'Sealed vacuum',
    how: [
      'Manometer sealed on the machine’s own inlet, hose off: read.',
      'Add the hose, then the wand, then the head: read each.',
      'The piece that loses it holds the clog or the leak.',
    ],
    minutes: 3,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      vacuumAt('machine', 'At the machine'),
      vacuumAt('hose', 'With the hose', ['hose']),
      vacuumAt('wand', 'With the wand', ['wand']),
      vacuumAt('head', 'At the head', ['head-mouth', 'squeegee-blades']),
    ],
  },
  {
    id: 'hose-drop',
    label: 'Drop through the hose',
    how: [
      'Hose off at both ends.',
      'Drop a coin-sized blunt object through, then look to the light.',
      'Blunt rod only in a plain hose, never in one with wires.',
    ],
    minutes: 1,
    access: 'hose-off',
    power: 'no',
    cautions: ['electrified-hose'],
    aspects: [
      {
        id: 'hose',
        label: 'Hose',
        outcomes: [
          { id: 'falls-through', label: 'falls through' },
          { id: 'held', label: 'held', proves: ['hose-clogged'] },
        ],
        leak: { held: 0.005 },
      },
    ],
  },
  {
    id: 'wand-look',
    label: 'Look through the wand',
    how: ['Wand out at both ends.', 'Look to the light, or drop the blunt object.', 'Push back the way it came.'],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'wand',
        label: 'Wand',
        outcomes: [
          { id: 'wand-clear', label: 'clear' },
          { id: 'wand-blocked', label: 'blocked', proves: ['wand-clogged'] },
        ],
        leak: { 'wand-blocked': 0.005 },
      },
    ],
  },
  {
    id: 'head-duct-look',
    label: 'Duct behind the roll',
    how: [
      'Sole plate off, lamp into the duct.',
      'Finger or hook pick round the bend.',
      'The tip of the internal hose is easily torn.',
    ],
    minutes: 1,
    access: 'sole-plate',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'duct',
        label: 'Duct',
        outcomes: [
          { id: 'duct-clear', label: 'clear' },
          { id: 'duct-blocked', label: 'blocked', proves: ['head-duct-clogged'] },
        ],
      },
    ],
  },
  {
    id: 'hose-split',
    label: 'Hose and handle for splits',
    how: [
      'Stretch the hose, turn it in the light.',
      'Cuffs and handle joints too.',
      'Palm over the end: listen for the hiss.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'hose',
        label: 'Hose',
        outcomes: [
          { id: 'fine', label: 'fine' },
          { id: 'fault', label: 'split', proves: ['hose-split'] },
        ],
        leak: { fault: 0.005 },
      },
      {
        id: 'handle',
        label: 'Handle',
        outcomes: [
          { id: 'handle-sound', label: 'sound' },
          { id: 'handle-cracked', label: 'cracked', proves: ['handle-cracked'] },
        ],
        leak: { 'handle-cracked': 0.005 },
      },
    ],
  },
  {
    id: 'neck-hose-split',
    label: 'Neck hose',
    how: [
      'Plate off, bend the neck both ways.',
      'Look into every fold of the neck hose.',
      'A split opens only when it is bent.',
    ],
    minutes: 1,
    access: 'sole-plate',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'neck',
        label: 'Neck hose',
        outcomes: [
          { id: 'fine', label: 'fine' },
          { id: 'fault', label: 'split', proves: ['neck-hose-split'] },
        ],
        leak: { fault: 0.005 },
      },
    ],
  },
  {
    id: 'seal-look',
    label: 'Seals and gaskets',
    how: [
      'Bin lid, filter door and motor seal.',
      'Flat, clean, all round, no dust tracks across.',
      'A dust track is a leak.',
    ],
    minutes: 1,
    access: 'filter-bay',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'seal',
        label: 'Motor seal',
        outcomes: [
          { id: 'fine', label: 'fine' },
          { id: 'fault', label: 'leaks', proves: ['seal-leaking'] },
        ],
        leak: { fault: 0.005 },
      },
      {
        id: 'bin-gasket',
        label: 'Bin gasket',
        outcomes: [
          { id: 'bin-gasket-fine', label: 'fine' },
          { id: 'bin-gasket-fault', label: 'leaks', proves: ['bin-gasket-leaking'] },
        ],
        leak: { 'bin-gasket-fault': 0.005 },
      },
      {
        id: 'bag-door',
        label: 'Bag door',
        outcomes: [
          { id: 'bag-door-fine', label: 'fine' },
          { id: 'bag-door-fault', label: 'leaks', proves: ['bag-door-leak'] },
        ],
        leak: { 'bag-door-fault': 0.005 },
      },
    ],
  },
  {
    id: 'cyclone-look',
    label: 'Mesh or cyclone',
    how: [
      'Bin apart, shroud off.',
      'Look through every cone, brush the mesh.',
      'Fine dust past it ends in the filter.',
    ],
    minutes: 6,
    access: 'filter-bay',
    power: 'no',
    cautions: ['mould-dust', 'brittle-plastic'],
    aspects: [
      {
        id: 'cyclone',
        label: 'Mesh or cones',
        outcomes: [
          { id: 'cyclone-clear', label: 'clear' },
          { id: 'cyclone-some', label: 'some plugged', proves: ['cones-some-plugged'] },
          { id: 'cyclone-matted', label: 'matted', proves: ['cyclone-plugged'] },
        ],
        leak: { 'cyclone-some': 0.03, 'cyclone-matted': 0.01 },
      },
      {
        id: 'mesh',
        label: 'Shroud',
        outcomes: [
          { id: 'mesh-open', label: 'open' },
          { id: 'mesh-matted', label: 'matted', proves: ['mesh-matted'] },
        ],
        leak: { 'mesh-matted': 0.005 },
      },
    ],
  },
  {
    id: 'changeover-look',
    label: 'Change-over flap',
    how: [
      'Work the knob from floor to hose.',
      'Look that the flap shuts fully both ways.',
      'Grit on its seat is a leak at the floor.',
    ],
    minutes: 1,
    access: 'hose-off',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'flap',
        label: 'Flap',
        outcomes: [
          { id: 'flap-shuts', label: 'shuts' },
          { id: 'flap-leaks', label: 'hangs or leaks', proves: ['changeover-leaking'] },
        ],
      },
    ],
  },
  {
    id: 'trip-time',
    label: 'Time to cut-out',
    how: [
      'Stay with it: run it on the bench, head off the floor.',
      'Minutes until it cuts out; stop at 15.',
      'A short time means little cooling air.',
    ],
    minutes: 10,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'trip',
        label: 'Runs for',
        outcomes: [
          { id: 'trip-none', label: 'does not trip' },
          { id: 'trip-late', label: 'trips late' },
          { id: 'trip-early', label: 'trips early' },
        ],
        leak: { 'trip-late': 0.01, 'trip-early': 0.005 },
        reading: {
          quantity: 'time',
          unit: 'min',
          min: 0,
          max: 120,
          classes: [
            { outcome: 'trip-none', scatter: { shape: 'uniform', from: 14.5, to: 40 } },
            { outcome: 'trip-late', scatter: { shape: 'uniform', from: 5, to: 14.5 } },
            { outcome: 'trip-early', scatter: { shape: 'uniform', from: 0.2, to: 5 } },
          ],
          basis: 'common practice, no source',
        },
      },
    ],
  },
];
