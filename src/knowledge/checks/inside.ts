import type { CheckText } from '../assemble';

/** What is seen and felt with the sole plate, the roll or the motor bay open. Minutes: common practice, no source. */
export const insideChecks: CheckText[] = [
  {
    id: 'sole-plate-look',
    label: 'Sole plate off, look',
    how: [
      'Plug out, machine on its back, sole plate off.',
      'Hair, objects, belt there, belt whole, on its track.',
      'Heat marks on the post or the duct.',
    ],
    minutes: 2,
    access: 'sole-plate',
    power: 'no',
    cautions: ['unplug-before-opening', 'brittle-plastic'],
    aspects: [
      {
        id: 'belt',
        label: 'Belt',
        outcomes: [
          { id: 'belt-whole', label: 'whole' },
          { id: 'belt-cracked', label: 'cracked or brittle', proves: ['belt-brittle'] },
          { id: 'belt-glazed', label: 'glazed or loose', proves: ['belt-slipping'] },
          { id: 'belt-teeth-worn', label: 'teeth worn or gone', proves: ['belt-teeth-worn'] },
          { id: 'belt-off-track', label: 'off its track', proves: ['belt-off-track'] },
          { id: 'belt-missing', label: 'missing or in pieces', proves: ['belt-broken'] },
        ],
        leak: {
          'belt-cracked': 0.01,
          'belt-glazed': 0.01,
          'belt-teeth-worn': 0.01,
          'belt-off-track': 0.002,
          'belt-missing': 0.002,
        },
      },
      {
        id: 'hair',
        label: 'Hair',
        outcomes: [
          { id: 'hair-none', label: 'none' },
          { id: 'hair-little', label: 'little' },
          { id: 'hair-much', label: 'much', proves: ['roll-bound-by-hair'] },
        ],
        leak: { 'hair-little': 0.35, 'hair-much': 0.02 },
      },
      {
        id: 'object',
        label: 'Object',
        outcomes: [
          { id: 'no-object', label: 'none' },
          { id: 'mouth-blocked', label: 'across the mouth', proves: ['head-mouth-blocked'] },
          { id: 'object', label: 'in the roll', proves: ['roll-jammed-by-object'] },
        ],
        leak: { 'mouth-blocked': 0.005, object: 0.005 },
      },
      {
        id: 'heat',
        label: 'Heat marks',
        outcomes: [
          { id: 'no-heat-marks', label: 'none' },
          { id: 'heat-marks', label: 'seen', raises: ['burnt-smell'] },
        ],
      },
      {
        id: 'crumbs',
        label: 'Rubber',
        outcomes: [
          { id: 'no-crumbs', label: 'none' },
          { id: 'rubber-crumbs', label: 'black dust or crumbs' },
        ],
        leak: { 'rubber-crumbs': 0.03 },
      },
      {
        id: 'roll',
        label: 'Roll itself',
        outcomes: [
          { id: 'roll-sound', label: 'sound' },
          { id: 'roll-mildewed', label: 'mouldy', proves: ['roll-mouldy'], raises: ['mould-dust'] },
        ],
        leak: { 'roll-mildewed': 0.003 },
      },
      {
        id: 'bars',
        label: 'Bars across the mouth',
        outcomes: [
          { id: 'bars-straight', label: 'straight' },
          { id: 'bar-bent', label: 'bent or missing', proves: ['ingest-bar-missing'] },
        ],
        leak: { 'bar-bent': 0.003 },
      },
    ],
  },
  {
    id: 'belt-against-new',
    label: 'Belt against a new one',
    how: [
      'Old and new belt flat, side by side, not pulled.',
      'Type worn / new in mm, or the lengthening in %.',
      'Over about 3 % it slips.',
    ],
    minutes: 1,
    access: 'sole-plate',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'lengthening',
        label: 'Longer than new by',
        outcomes: [
          { id: 'belt-as-new', label: 'as new' },
          { id: 'belt-stretched', label: 'stretched', proves: ['belt-slipping'] },
        ],
        reading: {
          quantity: 'percent',
          unit: '%',
          min: -5,
          max: 40,
          classes: [
            { outcome: 'belt-as-new', scatter: { shape: 'normal', mean: 0.6, sd: 1 } },
            { outcome: 'belt-stretched', scatter: { shape: 'uniform', from: 2.5, to: 15 } },
          ],
          basis: 'from memory',
        },
      },
    ],
  },
  {
    id: 'shaft-look',
    label: 'Motor shaft, belt cover',
    how: [
      'Look at the bare shaft where the belt runs.',
      'Old rubber is wiped off, a groove is felt with a nail.',
      'Is the belt cover seated?',
    ],
    minutes: 1,
    access: 'sole-plate',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'shaft',
        label: 'Shaft',
        outcomes: [
          { id: 'shaft-clean', label: 'clean' },
          { id: 'shaft-rubbered', label: 'melted rubber', proves: ['rubber-on-shaft'] },
        ],
      },
      {
        id: 'cover',
        label: 'Cover',
        outcomes: [
          { id: 'cover-seated', label: 'seated' },
          { id: 'cover-loose', label: 'loose or missing', proves: ['belt-cover-off'] },
        ],
      },
    ],
  },
  {
    id: 'end-cap-look',
    label: 'End caps',
    how: ['Roll out, caps off.', 'Hair wound behind the cap, melted plastic, cap in its notch.', 'Both ends.'],
    minutes: 3,
    access: 'roll-out',
    power: 'no',
    cautions: ['unplug-before-opening', 'blades'],
    aspects: [
      {
        id: 'caps',
        label: 'Caps',
        outcomes: [
          { id: 'caps-clean', label: 'clean' },
          { id: 'caps-hair-packed', label: 'hair packed', proves: ['roll-bound-by-hair'] },
          { id: 'sleeve-dry', label: 'sleeve dry', proves: ['sleeve-dry'] },
          { id: 'caps-mis-seated', label: 'mis-seated', proves: ['endcap-misseated'] },
          { id: 'caps-seized', label: 'seized', proves: ['bearing-rough'] },
        ],
      },
    ],
  },
  {
    id: 'bearing-feel',
    label: 'Roll bearings',
    how: [
      'Roll out, clean the ends.',
      'Turn each bearing slowly between two fingers.',
      'Rough is replaced, not oiled; in doubt, hold it against a new one.',
    ],
    minutes: 2,
    access: 'roll-out',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'bearing',
        label: 'Bearings',
        outcomes: [
          { id: 'bearing-smooth', label: 'smooth' },
          { id: 'bearing-doubt', label: 'in doubt' },
          { id: 'bearing-rough', label: 'rough', proves: ['bearing-rough'] },
          { id: 'bearing-seized', label: 'seized', proves: ['bearing-rough'] },
        ],
        leak: { 'bearing-doubt': 0.06, 'bearing-rough': 0.01, 'bearing-seized': 0.002 },
      },
    ],
  },
  {
    id: 'sprocket-look',
    label: 'Sprockets',
    how: [
      'Roll out, brush the teeth clean.',
      'Look at both sprockets from the side.',
      'Hooked or missing teeth eat belts.',
    ],
    minutes: 1,
    access: 'roll-out',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'sprockets',
        label: 'Sprockets',
        outcomes: [
          { id: 'sprockets-sound', label: 'sound' },
          { id: 'roll-sprocket-worn', label: 'roll’s worn', proves: ['roll-sprocket-worn'] },
          { id: 'motor-sprocket-worn', label: 'motor’s worn', proves: ['motor-sprocket-worn'] },
        ],
      },
    ],
  },
  {
    id: 'carbon-brush-length',
    label: 'Carbon brush length',
    how: [
      'Motor bay open, brushes drawn one at a time.',
      'Length in mm, mark on the end, burnt edge trailing.',
      'They go back the way round they came out.',
    ],
    minutes: 4,
    access: 'motor-bay',
    power: 'no',
    cautions: ['flying-springs', 'unplug-before-opening', 'mould-dust'],
    aspects: [
      {
        id: 'length',
        label: 'Length',
        outcomes: [
          { id: 'brushes-long', label: 'enough' },
          { id: 'brushes-short', label: 'worn', proves: ['carbon-brushes-worn', 'vac-brushes-worn'] },
        ],
        reading: {
          quantity: 'length',
          unit: 'mm',
          min: 0,
          max: 60,
          classes: [
            { outcome: 'brushes-long', scatter: { shape: 'uniform', from: 10, to: 40 } },
            { outcome: 'brushes-short', scatter: { shape: 'uniform', from: 2, to: 9 } },
          ],
          basis: 'common practice, no source',
        },
      },
      {
        id: 'edge',
        label: 'Edge and mark',
        outcomes: [
          { id: 'edge-trailing', label: 'trailing' },
          { id: 'edge-wrong', label: 'wrong way round', proves: ['brush-fitted-reversed'] },
        ],
        leak: { 'edge-wrong': 0.003 },
      },
      {
        id: 'spring',
        label: 'Spring and holder',
        outcomes: [
          { id: 'spring-firm', label: 'firm' },
          { id: 'spring-weak', label: 'weak or loose', proves: ['brush-holder-loose'] },
        ],
        leak: { 'spring-weak': 0.003 },
      },
    ],
  },
  {
    id: 'armature-sound',
    label: 'Motor run bare, clamped',
    how: [
      'Motor out and clamped, eye protection.',
      'Seconds, not minutes.',
      'Smooth or harsh; stop at once if it screams.',
    ],
    minutes: 6,
    access: 'motor-bay',
    power: 'live',
    cautions: ['bare-motor-run', 'live-measurement'],
    aspects: [
      {
        id: 'armature',
        label: 'Motor',
        outcomes: [
          { id: 'armature-smooth', label: 'smooth' },
          { id: 'armature-harsh', label: 'harsh', proves: ['suction-motor-worn', 'armature-bad'] },
          { id: 'armature-dead', label: 'does not run', proves: ['suction-motor-failed', 'vac-motor-failed'] },
        ],
      },
    ],
  },
  {
    id: 'fan-look',
    label: 'Fan',
    how: [
      'Motor bay open, plug out.',
      'Turn the fan by hand; look at every blade.',
      'Something hard that went through leaves its mark.',
    ],
    minutes: 2,
    access: 'motor-bay',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'fan',
        label: 'Fan',
        outcomes: [
          { id: 'fan-whole', label: 'whole' },
          { id: 'fan-rubs', label: 'rubs', proves: ['fan-rubbing'] },
          { id: 'fan-broken', label: 'blade broken', proves: ['fan-broken'] },
        ],
      },
    ],
  },
];
