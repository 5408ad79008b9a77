import type { CheckText } from '../assemble';
import { aspect, check, either, outcome } from '../write';

/** What is asked, looked at, turned and heard with nothing opened. Minutes: common practice, no source. */
export const outsideChecks: CheckText[] = [
  check(
    ['brush-switch-position', 'Brush switch position', 0.2, 'outside'],
    ['Look at the brush switch on the handle.', 'Work it on and off once.', 'Leave it on.'],
    [
      aspect('position', 'Switch', [
        outcome('on', 'on'),
        outcome('none-fitted', 'none fitted', { leak: 0.05 }),
        outcome('off', 'off', { proves: 'brush-switch-off', resets: true, leak: 0.005 }),
      ]),
    ],
    { putsRight: ['brush-switch-off'] },
  ),
  check(
    ['floor-setting', 'Floor setting', 0.2, 'outside'],
    ['Read the floor or height setting.', 'Is the handle parked upright?', 'Set it to carpet and lean it back.'],
    [
      aspect('setting', 'Setting', [
        outcome('carpet', 'carpet'),
        outcome('hard-floor', 'hard floor', { leak: 0.06 }),
        outcome('parked', 'parked upright', { leak: 0.03 }),
      ]),
    ],
    { putsRight: ['floor-setting-wrong'] },
  ),
  check(
    ['handle-seated', 'Handle pushed home', 0.3, 'outside'],
    ['Pull and push the handle along its tube.', 'A click and no play is home.', 'Push it home before anything else.'],
    [
      aspect('seat', 'Handle', [
        outcome('home', 'home'),
        outcome('loose', 'loose', { proves: 'handle-not-home', resets: true, leak: 0.005 }),
      ]),
    ],
    { putsRight: ['handle-not-home'] },
  ),
  check(
    ['finger-turn', 'Turn the roll by hand', 0.3, 'outside'],
    [
      'Plug out.',
      'Turn the roll with a finger from outside, half a turn each way.',
      'Feel for {~belt:the drag of the belt|an even drag}, for grit, for a stop.',
    ],
    [
      aspect('feel', 'Roll', [
        outcome('normal-drag', 'turns with an even drag'),
        outcome('free-no-drag', 'no resistance at all'),
        outcome('grates', 'turns but grates'),
        outcome('stiff', 'stiff'),
        outcome('stuck', 'stuck'),
      ]),
    ],
    { cautions: ['unplug-before-opening'], freesRoll: { butNot: ['stuck'] } },
  ),
  check(
    ['run-seconds', 'Run it for seconds', 0.5, 'outside'],
    [
      'Head off the floor, hands clear.',
      'On for three seconds: watch what turns, listen, smell.',
      'Off at the first scream or smoke.',
    ],
    [
      aspect(
        'roll',
        'Roll',
        [
          outcome('roll-normal', 'turns normally'),
          outcome('roll-backwards', 'runs backwards', { proves: 'belt-twisted-wrong', leak: 0.001 }),
          outcome('roll-bursts', 'in bursts', { leak: 0.005 }),
          outcome('roll-slow', 'slow', { leak: 0.01 }),
          outcome('roll-none', 'does not turn', { leak: 0.004 }),
        ],
        { onlyWith: ['roll', 'brush', 'brush-front', 'brush-motor'] },
      ),
      aspect('sound', 'Sound', [
        outcome('sound-even', 'even'),
        outcome('sound-rattle', 'rattle'),
        outcome('sound-squeal', 'squeal'),
        outcome('sound-ratchet', 'ratchet'),
        outcome('sound-harsh', 'harsh'),
        outcome('sound-hiss', 'hiss', { leak: 0.01 }),
        outcome('sound-scrape', 'scrape', { leak: 0.003 }),
        outcome('sound-silent', 'nothing runs', { leak: 0.002 }),
      ]),
      aspect('smell', 'Smell', [
        outcome('smell-clean', 'none'),
        outcome('smell-burning', 'burning', { raises: ['burnt-smell'] }),
      ]),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
  check(
    ['wind-down-listen', 'Listen to it wind down', 0.5, 'outside'],
    [
      'Run a few seconds, switch off.',
      'Listen until it stands still.',
      'Rough or sudden is the motor’s bearings or armature.',
    ],
    [
      aspect('wind-down', 'Wind-down', [
        outcome('wind-smooth', 'smooth'),
        outcome('wind-rough', 'rough'),
        outcome('wind-abrupt', 'abrupt'),
      ]),
    ],
    { power: 'yes', spinsRoll: true, headOffWith: ['nozzle-socket'], cautions: ['roll-free-before-power'] },
  ),
  check(
    ['roll-speed', 'Roll speed', 1, 'outside'],
    [
      'Reflective mark on the roll.',
      'Head off the floor, tachometer square to it.',
      'Run five seconds, read, switch off.',
    ],
    [
      aspect(
        'speed',
        'Speed',
        [outcome('speed-right', 'right'), outcome('speed-low', 'low'), outcome('speed-none', 'none')],
        {
          reading: {
            quantity: 'speed',
            unit: 'r/min',
            relativeTo: 'rollRpm',
            min: 0,
            max: 3,
            classes: [
              { outcome: 'speed-right', scatter: { shape: 'normal', mean: 1, sd: 0.08 } },
              { outcome: 'speed-low', scatter: { shape: 'uniform', from: 0.1, to: 0.9 } },
              { outcome: 'speed-none', scatter: { shape: 'uniform', from: -0.01, to: 0.03 } },
            ],
            basis: 'common practice, no source',
          },
        },
      ),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
  check(
    ['motor-current', 'Current by clamp', 1, 'outside'],
    [
      'Clamp round one conductor: a line splitter on the plug, or the battery’s lead.',
      'Run ten seconds, all that turns turning.',
      'Read when it has settled.',
    ],
    [
      aspect(
        'current',
        'Current',
        [
          outcome('current-normal', 'normal'),
          outcome('current-low', 'low'),
          outcome('current-over', 'over the plate'),
          outcome('current-none', 'none'),
        ],
        {
          reading: {
            quantity: 'current',
            unit: 'A',
            relativeTo: 'ratedCurrentA',
            min: 0,
            max: 6,
            classes: [
              { outcome: 'current-normal', scatter: { shape: 'normal', mean: 0.95, sd: 0.08 } },
              { outcome: 'current-low', scatter: { shape: 'uniform', from: 0.2, to: 0.85 } },
              { outcome: 'current-over', scatter: { shape: 'uniform', from: 1.1, to: 3 } },
              { outcome: 'current-none', scatter: { shape: 'uniform', from: -0.01, to: 0.02 } },
            ],
            basis: 'common practice, no source',
          },
        },
      ),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
  check(
    ['breaker-reset', 'Cut-out or breaker', 0.5, 'outside'],
    [
      'Plug out. Press the reset button: a click means that it had tripped.',
      'No button, and it runs again when cold: it came back by itself.',
      'It tripped for a reason: look for the jam, the clog, the hot motor.',
    ],
    [
      aspect('reset', 'Reset', [
        outcome('was-not-tripped', 'was not tripped'),
        outcome('came-back', 'came back by itself, cool', { proves: 'thermal-cutout-open', resets: true, leak: 0.003 }),
        outcome('clicked', 'clicked', { proves: 'thermal-cutout-open', resets: true, leak: 0.005 }),
      ]),
      aspect('head-reset', 'In the head', [
        outcome('head-was-not-tripped', 'was not tripped'),
        outcome('head-clicked', 'clicked', { proves: 'head-breaker-tripped', resets: true, leak: 0.003 }),
      ]),
    ],
    { cautions: ['roll-free-before-power'] },
  ),
  check(
    ['wet-signs', 'Signs of water', 0.5, 'outside'],
    [
      'With a lamp, look into the {head-mouth:head|deck}{~bin:, the bin}{bag/bin-or-bag:, the bag chamber}{outer-bag:, the bag}{drum:, the drum}{recovery-tank:, the tanks}{pre-filter/pre-foam/breather-filter/vac-filter:, the filter bay}.',
      'Mud, mildew, rust on screws{pre-filter/pre-foam/breather-filter/vac-filter:, a swollen filter}.',
      'Two signs outrank everything else.',
    ],
    [
      // One by one: several are seen at once, and each speaks for itself.
      aspect(
        'mud',
        'Mud',
        [outcome('no-mud', 'no mud'), outcome('mud', 'mud', { raises: ['wet-signs'], leak: 0.006 })],
        { impliedBy: 'wet-signs' },
      ),
      aspect('rust', 'Rust', [
        outcome('no-rust', 'no rust'),
        outcome('rust', 'rust', { raises: ['wet-signs'], leak: 0.01 }),
      ]),
      aspect('mildew', 'Mildew', [
        outcome('no-mildew', 'no mildew'),
        outcome('mildew', 'mildew', { raises: ['wet-signs', 'mould-dust'], leak: 0.006 }),
      ]),
      aspect(
        'filter',
        'Filter',
        [
          outcome('filter-flat', 'filter flat'),
          outcome('filter-swollen', 'filter swollen', { raises: ['wet-signs'], leak: 0.006 }),
        ],
        { onlyWith: ['pre-filter', 'pre-foam', 'breather-filter', 'vac-filter'] },
      ),
    ],
    { cautions: ['mould-dust'] },
  ),
  check(
    ['cord-look', 'Look along the cord', 1, 'outside'],
    [
      'Plug out. Run the cord through the fingers.',
      'Nicks, crushed places, tape, loose grip.',
      'Look at the plug and its pins.',
    ],
    [
      aspect('cord', 'Cord', [
        outcome('fine', 'fine'),
        outcome('damaged', 'damaged', { proves: 'cord-damaged', raises: ['damaged-cord'], leak: 0.01 }),
      ]),
      aspect('plug', 'Plug', [
        outcome('plug-sound', 'sound'),
        outcome('plug-burnt', 'burnt or loose', { proves: 'plug-damaged', raises: ['damaged-cord'], leak: 0.005 }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['cord-flex', 'Flex the cord under power', 1, 'outside'],
    [
      'Cord looked at first: no damage may be seen.',
      'Run it, bend the cord at grip and plug, not with bare wire near.',
      'Does it cut out?',
    ],
    [either('flex', 'When bent', ['steady', 'no change'], ['cuts', 'cuts out or in', 'cord-broken-at-grip'], 0.005)],
    {
      power: 'yes',
      spinsRoll: true,
      headOffWith: ['nozzle-socket'],
      madeAfter: 'cord-look',
      cautions: ['roll-free-before-power', 'damaged-cord'],
    },
  ),
  check(
    ['outlet-test', 'Another machine on the outlet', 0.5, 'outside'],
    [
      'Plug a lamp or a known machine into the same outlet.',
      'Ask which outlet was used at home.',
      'A dead outlet is the house, not the machine.',
    ],
    [either('outlet', 'Outlet', ['outlet-live', 'live'], ['outlet-dead', 'dead', 'outlet-dead'], 0.003)],
  ),
  check(
    ['bristle-height', 'Bristle height', 1, 'outside'],
    [
      'Machine on its back, plug out.',
      'Rule across the running face: how far do the bristles stand out?',
      'A step that is left comes before a new roll. Is the face caked?',
    ],
    [
      // Where nothing can be set on, worn is worn.
      aspect(
        'height',
        'Stand-out',
        [
          outcome('bristles-proud', 'stand out'),
          outcome('bristles-short', 'flush or short', { proves: 'bristles-worn' }),
        ],
        {
          notWith: ['height-setting', 'height-cam'],
          reading: {
            quantity: 'length',
            unit: 'mm',
            min: -15,
            max: 20,
            classes: [
              { outcome: 'bristles-proud', scatter: { shape: 'normal', mean: 3.5, sd: 1.2 } },
              { outcome: 'bristles-short', scatter: { shape: 'uniform', from: -6, to: 1.2 } },
            ],
            basis: 'common practice, no source',
          },
        },
      ),
      aspect(
        'step',
        'Stand-out and step',
        [
          outcome('stands-right', 'a few millimetres proud'),
          outcome('too-proud', 'too proud', { proves: 'height-wrong', leak: 0.01 }),
          outcome('short-step-left', 'short, a step is left', { proves: 'roll-set-low', leak: 0.01 }),
          outcome('short-on-last', 'short on the last step', { proves: 'bristles-worn', leak: 0.005 }),
        ],
        { onlyWith: ['height-setting', 'height-cam'] },
      ),
      either('face', 'Sole plate', ['face-smooth', 'smooth'], ['face-caked', 'caked', 'sole-plate-caked'], 0.02),
      either('strip', 'Strip', ['strip-stands', 'stands'], ['strip-short', 'worn flat', 'bristle-strip-worn'], 0.003),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['frame-look', 'Frame, wheels, handle', 1, 'outside'],
    [
      'Stand it upright and rock it.',
      '{~wheels:Roll the wheels. }{latches:Work the latches.}',
      'Look for cracks and missing screws.',
    ],
    [
      aspect('wheels', 'Wheels', [
        outcome('wheels-free', 'free'),
        outcome('wheels-bound', 'bound', { proves: 'wheels-bound' }),
      ]),
      aspect('lock', 'Handle lock', [
        outcome('lock-holds', 'holds'),
        outcome('lock-slips', 'slips', { proves: 'handle-lock-worn' }),
      ]),
      aspect('shell', 'Shell', [
        outcome('shell-sound', 'sound'),
        outcome('latch-broken', 'latch broken', { proves: 'latch-broken' }),
        outcome('housing-cracked', 'cracked', { proves: 'housing-cracked' }),
      ]),
      aspect('screws', 'Screws', [
        outcome('screws-all', 'all there'),
        outcome('screw-missing', 'missing', { proves: 'screws-missing', raises: ['screws-missing'], leak: 0.01 }),
      ]),
      either('axle', 'Axle', ['axle-firm', 'firm'], ['axle-loose', 'loose', 'axle-worn'], 0.003),
      either('bail', 'Handle bail', ['bail-firm', 'firm'], ['bail-loose', 'loose', 'handle-bail-loose'], 0.003),
      either('guard', 'Guard', ['guard-there', 'there'], ['guard-missing', 'missing', 'guard-missing'], 0.003),
      either('base', 'Nozzle base', ['base-sound', 'sound'], ['base-cracked', 'cracked', 'nozzle-base-cracked'], 0.003),
      either('detent', 'Neck detent', ['detent-holds', 'holds'], ['detent-worn', 'worn', 'detent-worn'], 0.003),
      either(
        'housing-detent',
        'Housing detent',
        ['housing-detent-holds', 'holds'],
        ['housing-detent-worn', 'worn', 'housing-detent-worn'],
        0.003,
      ),
    ],
  ),
  check(
    ['head-lamp-look', 'Head lamp', 0.3, 'outside'],
    ['Machine on, brush switch on.', 'Is the lamp in the head lit?', 'A lit lamp means that supply reaches the head.'],
    [
      aspect(
        'lamp',
        'Lamp',
        [
          outcome('lamp-lit', 'lit'),
          outcome('no-lamp', 'has none', { leak: 0.5 }),
          outcome('lamp-dark', 'dark', { leak: 0.02 }),
        ],
        { sets: ['brush-switch-position=on'] },
      ),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
  check(
    ['indicator-test', 'Filter light test', 0.5, 'outside'],
    [
      'Machine on, palm over the hose end for three seconds.',
      'The light must turn.',
      'A light that stays green proves nothing about the filter.',
    ],
    [either('light', 'Light', ['light-turns', 'turns'], ['light-stuck', 'stays green', 'indicator-stuck'], 0.15)],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
];
