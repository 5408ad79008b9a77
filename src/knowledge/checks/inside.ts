import type { CheckText } from '../assemble';
import { aspect, check, either, outcome } from '../write';

/** What is seen and felt with the sole plate, the roll or the motor bay open. Minutes: common practice, no source. */
export const insideChecks: CheckText[] = [
  check(
    ['sole-plate-look', 'Sole plate off, look', 2, 'sole-plate'],
    [
      'Plug out, machine on its back, sole plate off.',
      'Hair, string, objects{~belt:; belt there, whole, on its track}.',
      'Heat marks on the post or the duct.',
    ],
    [
      aspect('belt', 'Belt', [
        outcome('belt-whole', 'whole'),
        outcome('belt-cracked', 'cracked or brittle', { proves: 'belt-brittle', leak: 0.01 }),
        outcome('belt-glazed', 'glazed or loose', { proves: 'belt-slipping', leak: 0.01 }),
        outcome('belt-teeth-worn', 'teeth worn or gone', { proves: 'belt-teeth-worn', leak: 0.01 }),
        outcome('belt-off-track', 'off its track', { proves: 'belt-off-track', leak: 0.002 }),
        outcome('belt-missing', 'missing or in pieces', { proves: 'belt-broken', leak: 0.002 }),
      ]),
      aspect('hair', 'Hair', [
        outcome('hair-none', 'none'),
        outcome('hair-little', 'little', { leak: 0.35 }),
        outcome('hair-much', 'much', { proves: 'roll-bound-by-hair', leak: 0.02 }),
      ]),
      aspect('object', 'Object', [
        outcome('no-object', 'none'),
        outcome('mouth-blocked', 'across the mouth', { proves: 'head-mouth-blocked', leak: 0.005 }),
        outcome('object', 'in the roll', { proves: 'roll-jammed-by-object', leak: 0.005 }),
      ]),
      aspect('heat', 'Heat marks', [
        outcome('no-heat-marks', 'none'),
        outcome('heat-marks', 'seen', { raises: ['burnt-smell'] }),
      ]),
      aspect('crumbs', 'Rubber', [
        outcome('no-crumbs', 'none'),
        outcome('rubber-crumbs', 'black dust or crumbs', { leak: 0.03 }),
      ]),
      aspect('roll', 'Roll itself', [
        outcome('roll-sound', 'sound'),
        outcome('roll-mildewed', 'mouldy', { proves: 'roll-mouldy', raises: ['mould-dust'], leak: 0.003 }),
      ]),
      either(
        'bars',
        'Bars across the mouth',
        ['bars-straight', 'straight'],
        ['bar-bent', 'bent or missing', 'ingest-bar-missing'],
        0.003,
      ),
    ],
    { cautions: ['unplug-before-opening', 'brittle-plastic'] },
  ),
  check(
    ['belt-against-new', 'Belt against a new one', 1, 'sole-plate'],
    [
      'Old and new belt flat, side by side, not pulled.',
      'Type worn / new in mm, or the lengthening in %.',
      'Over about 3 % it slips.',
    ],
    [
      aspect(
        'lengthening',
        'Longer than new by',
        [outcome('belt-as-new', 'as new'), outcome('belt-stretched', 'stretched', { proves: 'belt-slipping' })],
        {
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
      ),
    ],
  ),
  check(
    ['shaft-look', 'Motor shaft, belt cover', 1, 'sole-plate'],
    [
      'Look at the bare shaft where the belt runs.',
      'Old rubber is wiped off, a groove is felt with a nail.',
      'Is the belt cover seated?',
    ],
    [
      aspect('shaft', 'Shaft', [
        outcome('shaft-clean', 'clean'),
        outcome('shaft-rubbered', 'melted rubber', { proves: 'rubber-on-shaft' }),
      ]),
      aspect('cover', 'Cover', [
        outcome('cover-seated', 'seated'),
        outcome('cover-loose', 'loose or missing', { proves: 'belt-cover-off' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['end-cap-look', 'End caps', 3, 'roll-out'],
    ['Roll out, caps off.', 'Hair wound behind the cap, melted plastic, cap in its notch.', 'Both ends.'],
    [
      aspect('caps', 'Caps', [
        outcome('caps-clean', 'clean'),
        outcome('caps-hair-packed', 'hair packed', { proves: 'roll-bound-by-hair' }),
        outcome('sleeve-dry', 'sleeve dry', { proves: 'sleeve-dry' }),
        outcome('caps-mis-seated', 'mis-seated', { proves: 'endcap-misseated' }),
        outcome('caps-seized', 'seized', { proves: 'bearing-rough' }),
      ]),
    ],
    { cautions: ['unplug-before-opening', 'blades'] },
  ),
  check(
    ['bearing-feel', 'Roll bearings', 2, 'roll-out'],
    [
      'Roll out, clean the ends.',
      'Turn each bearing slowly between two fingers.',
      'Rough is replaced, not oiled; in doubt, hold it against a new one.',
    ],
    [
      aspect('bearing', 'Bearings', [
        outcome('bearing-smooth', 'smooth'),
        outcome('bearing-doubt', 'in doubt', { leak: 0.06 }),
        outcome('bearing-rough', 'rough', { proves: 'bearing-rough', leak: 0.01 }),
        outcome('bearing-seized', 'seized', { proves: 'bearing-rough', leak: 0.002 }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['sprocket-look', 'Sprockets', 1, 'roll-out'],
    ['Roll out, brush the teeth clean.', 'Look at both sprockets from the side.', 'Hooked or missing teeth eat belts.'],
    [
      aspect('sprockets', 'Sprockets', [
        outcome('sprockets-sound', 'sound'),
        outcome('roll-sprocket-worn', 'roll’s worn', { proves: 'roll-sprocket-worn' }),
        outcome('motor-sprocket-worn', 'motor’s worn', { proves: 'motor-sprocket-worn' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['carbon-brush-length', 'Carbon brush length', 4, 'motor-bay'],
    [
      'Motor bay open, brushes drawn one at a time.',
      'Length in mm, mark on the end, burnt edge trailing.',
      'They go back the way round they came out.',
    ],
    [
      aspect(
        'length',
        'Length',
        [
          outcome('brushes-long', 'enough'),
          outcome('brushes-short', 'worn', { proves: ['carbon-brushes-worn', 'vac-brushes-worn'] }),
        ],
        {
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
      ),
      either(
        'edge',
        'Edge and mark',
        ['edge-trailing', 'trailing'],
        ['edge-wrong', 'wrong way round', 'brush-fitted-reversed'],
        0.003,
      ),
      either(
        'spring',
        'Spring and holder',
        ['spring-firm', 'firm'],
        ['spring-weak', 'weak or loose', 'brush-holder-loose'],
        0.003,
      ),
    ],
    { cautions: ['flying-springs', 'unplug-before-opening', 'mould-dust'] },
  ),
  check(
    ['armature-sound', 'Motor run bare, clamped', 6, 'motor-bay'],
    ['Motor out and clamped, eye protection.', 'Seconds, not minutes.', 'Smooth or harsh; stop at once if it screams.'],
    [
      aspect('armature', 'Motor', [
        outcome('armature-smooth', 'smooth'),
        outcome('armature-harsh', 'harsh', { proves: ['suction-motor-worn', 'armature-bad'] }),
        outcome('armature-dead', 'does not run', { proves: ['suction-motor-failed', 'vac-motor-failed'] }),
      ]),
    ],
    { power: 'live', cautions: ['bare-motor-run', 'live-measurement'] },
  ),
  check(
    ['fan-look', 'Fan', 2, 'motor-bay'],
    [
      'Fan bared, plug out.',
      'Turn the fan by hand; look at every blade.',
      'Something hard that went through leaves its mark.',
    ],
    [
      aspect('fan', 'Fan', [
        outcome('fan-whole', 'whole'),
        outcome('fan-rubs', 'rubs', { proves: 'fan-rubbing' }),
        outcome('fan-broken', 'blade broken', { proves: 'fan-broken' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
];
