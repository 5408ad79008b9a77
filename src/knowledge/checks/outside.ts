import type { CheckText } from '../assemble';

/** What is asked, looked at, turned and heard with nothing opened. Minutes: common practice, no source. */
export const outsideChecks: CheckText[] = [
  {
    id: 'brush-switch-position',
    label: 'Brush switch position',
    how: ['Look at the brush switch on the handle.', 'Work it on and off once.', 'Leave it on.'],
    minutes: 0.2,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'position',
        label: 'Switch',
        outcomes: [
          { id: 'on', label: 'on' },
          { id: 'none-fitted', label: 'none fitted' },
          { id: 'off', label: 'off', proves: ['brush-switch-off'], resets: true },
        ],
        leak: { 'none-fitted': 0.05, off: 0.005 },
      },
    ],
  },
  {
    id: 'floor-setting',
    label: 'Floor setting',
    how: ['Read the floor or height setting.', 'Is the handle parked upright?', 'Set it to carpet and lean it back.'],
    minutes: 0.2,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'setting',
        label: 'Setting',
        outcomes: [
          { id: 'carpet', label: 'carpet' },
          { id: 'hard-floor', label: 'hard floor' },
          { id: 'parked', label: 'parked upright' },
        ],
        leak: { 'hard-floor': 0.06, parked: 0.03 },
      },
    ],
  },
  {
    id: 'handle-seated',
    label: 'Handle pushed home',
    how: [
      'Pull and push the handle along the wand.',
      'A click and no play is home.',
      'Push it home before anything else.',
    ],
    minutes: 0.3,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'seat',
        label: 'Handle',
        outcomes: [
          { id: 'home', label: 'home' },
          { id: 'loose', label: 'loose', proves: ['handle-not-home'], resets: true },
        ],
        leak: { loose: 0.005 },
      },
    ],
  },
  {
    id: 'finger-turn',
    label: 'Turn the roll by hand',
    how: [
      'Plug out.',
      'Turn the roll with a finger from outside, half a turn each way.',
      'Feel for the drag of the belt, for grit, for a stop.',
    ],
    minutes: 0.3,
    access: 'outside',
    power: 'no',
    cautions: ['unplug-before-opening'],
    freesRoll: { butNot: ['stuck'] },
    aspects: [
      {
        id: 'feel',
        label: 'Roll',
        outcomes: [
          { id: 'normal-drag', label: 'turns with the belt’s drag' },
          { id: 'free-no-drag', label: 'no resistance at all' },
          { id: 'grates', label: 'turns but grates' },
          { id: 'stiff', label: 'stiff' },
          { id: 'stuck', label: 'stuck' },
        ],
      },
    ],
  },
  {
    id: 'run-seconds',
    label: 'Run it for seconds',
    how: [
      'Head off the floor, hands clear.',
      'On for three seconds: watch what turns, listen, smell.',
      'Off at the first scream or smoke.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'roll',
        label: 'Roll',
        onlyWith: ['roll', 'brush', 'brush-front', 'brush-motor'],
        leak: { 'roll-backwards': 0.001, 'roll-bursts': 0.005, 'roll-slow': 0.01, 'roll-none': 0.004 },
        outcomes: [
          { id: 'roll-normal', label: 'turns normally' },
          { id: 'roll-backwards', label: 'runs backwards', proves: ['belt-twisted-wrong'] },
          { id: 'roll-bursts', label: 'in bursts' },
          { id: 'roll-slow', label: 'slow' },
          { id: 'roll-none', label: 'does not turn' },
        ],
      },
      {
        id: 'sound',
        label: 'Sound',
        outcomes: [
          { id: 'sound-even', label: 'even' },
          { id: 'sound-rattle', label: 'rattle' },
          { id: 'sound-squeal', label: 'squeal' },
          { id: 'sound-ratchet', label: 'ratchet' },
          { id: 'sound-harsh', label: 'harsh' },
          { id: 'sound-hiss', label: 'hiss' },
          { id: 'sound-scrape', label: 'scrape' },
          { id: 'sound-silent', label: 'nothing runs' },
        ],
        leak: { 'sound-hiss': 0.01, 'sound-scrape': 0.003, 'sound-silent': 0.002 },
      },
      {
        id: 'smell',
        label: 'Smell',
        outcomes: [
          { id: 'smell-clean', label: 'none' },
          { id: 'smell-burning', label: 'burning', raises: ['burnt-smell'] },
        ],
      },
    ],
  },
  {
    id: 'wind-down-listen',
    label: 'Listen to it wind down',
    how: [
      'Run a few seconds, switch off.',
      'Listen until it stands still.',
      'Rough or sudden is the motor’s bearings or armature.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    headOffWith: ['nozzle-socket'],
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'wind-down',
        label: 'Wind-down',
        outcomes: [
          { id: 'wind-smooth', label: 'smooth' },
          { id: 'wind-rough', label: 'rough' },
          { id: 'wind-abrupt', label: 'abrupt' },
        ],
      },
    ],
  },
  {
    id: 'roll-speed',
    label: 'Roll speed',
    how: [
      'Reflective mark on the roll.',
      'Head off the floor, tachometer square to it.',
      'Run five seconds, read, switch off.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'speed',
        label: 'Speed',
        outcomes: [
          { id: 'speed-right', label: 'right' },
          { id: 'speed-low', label: 'low' },
          { id: 'speed-none', label: 'none' },
        ],
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
    ],
  },
  {
    id: 'motor-current',
    label: 'Current by clamp',
    how: [
      'Clamp round one conductor: a line splitter on the plug, or the battery’s lead.',
      'Run ten seconds, all that turns turning.',
      'Read when it has settled.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'current',
        label: 'Current',
        outcomes: [
          { id: 'current-normal', label: 'normal' },
          { id: 'current-low', label: 'low' },
          { id: 'current-over', label: 'over the plate' },
          { id: 'current-none', label: 'none' },
        ],
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
    ],
  },
  {
    id: 'breaker-reset',
    label: 'Cut-out or breaker',
    how: [
      'Plug out. Press the reset button: a click means that it had tripped.',
      'No button, and it runs again when cold: it came back by itself.',
      'It tripped for a reason: look for the jam, the clog, the hot motor.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'no',
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'reset',
        label: 'Reset',
        outcomes: [
          { id: 'was-not-tripped', label: 'was not tripped' },
          { id: 'came-back', label: 'came back by itself, cool', proves: ['thermal-cutout-open'], resets: true },
          { id: 'clicked', label: 'clicked', proves: ['thermal-cutout-open'], resets: true },
        ],
        leak: { 'came-back': 0.003, clicked: 0.005 },
      },
      {
        id: 'head-reset',
        label: 'In the head',
        outcomes: [
          { id: 'head-was-not-tripped', label: 'was not tripped' },
          { id: 'head-clicked', label: 'clicked', proves: ['head-breaker-tripped'], resets: true },
        ],
        leak: { 'head-clicked': 0.003 },
      },
    ],
  },
  {
    id: 'wet-signs',
    label: 'Signs of water',
    how: [
      'Look into head, bin and filter bay with a lamp.',
      'Mud, mildew, rust on screws, a swollen filter.',
      'Two signs outrank everything else.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'no',
    cautions: ['mould-dust'],
    aspects: [
      // One by one: several are seen at once, and each speaks for itself.
      {
        id: 'mud',
        label: 'Mud',
        impliedBy: 'wet-signs',
        outcomes: [
          { id: 'no-mud', label: 'no mud' },
          { id: 'mud', label: 'mud', raises: ['wet-signs'] },
        ],
        leak: { mud: 0.006 },
      },
      {
        id: 'rust',
        label: 'Rust',
        outcomes: [
          { id: 'no-rust', label: 'no rust' },
          { id: 'rust', label: 'rust', raises: ['wet-signs'] },
        ],
        leak: { rust: 0.01 },
      },
      {
        id: 'mildew',
        label: 'Mildew',
        outcomes: [
          { id: 'no-mildew', label: 'no mildew' },
          { id: 'mildew', label: 'mildew', raises: ['wet-signs', 'mould-dust'] },
        ],
        leak: { mildew: 0.006 },
      },
      {
        id: 'filter',
        label: 'Filter',
        outcomes: [
          { id: 'filter-flat', label: 'filter flat' },
          { id: 'filter-swollen', label: 'filter swollen', raises: ['wet-signs'] },
        ],
        leak: { 'filter-swollen': 0.006 },
      },
    ],
  },
  {
    id: 'cord-look',
    label: 'Look along the cord',
    how: [
      'Plug out. Run the cord through the fingers.',
      'Nicks, crushed places, tape, loose grip.',
      'Look at the plug and its pins.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'cord',
        label: 'Cord',
        outcomes: [
          { id: 'fine', label: 'fine' },
          { id: 'damaged', label: 'damaged', proves: ['cord-damaged'], raises: ['damaged-cord'] },
        ],
        leak: { damaged: 0.01 },
      },
      {
        id: 'plug',
        label: 'Plug',
        outcomes: [
          { id: 'plug-sound', label: 'sound' },
          { id: 'plug-burnt', label: 'burnt or loose', proves: ['plug-damaged'], raises: ['damaged-cord'] },
        ],
        leak: { 'plug-burnt': 0.005 },
      },
    ],
  },
  {
    id: 'cord-flex',
    label: 'Flex the cord under power',
    how: [
      'Cord looked at first: no damage may be seen.',
      'Run it, bend the cord at grip and plug, not with bare wire near.',
      'Does it cut out?',
    ],
    minutes: 1,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    headOffWith: ['nozzle-socket'],
    madeAfter: 'cord-look',
    cautions: ['roll-free-before-power', 'damaged-cord'],
    aspects: [
      {
        id: 'flex',
        label: 'When bent',
        outcomes: [
          { id: 'steady', label: 'no change' },
          { id: 'cuts', label: 'cuts out or in', proves: ['cord-broken-at-grip'] },
        ],
        leak: { cuts: 0.005 },
      },
    ],
  },
  {
    id: 'outlet-test',
    label: 'Another machine on the outlet',
    how: [
      'Plug a lamp or a known machine into the same outlet.',
      'Ask which outlet was used at home.',
      'A dead outlet is the house, not the machine.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'outlet',
        label: 'Outlet',
        outcomes: [
          { id: 'outlet-live', label: 'live' },
          { id: 'outlet-dead', label: 'dead', proves: ['outlet-dead'] },
        ],
        leak: { 'outlet-dead': 0.003 },
      },
    ],
  },
  {
    id: 'bristle-height',
    label: 'Bristle height',
    how: [
      'Machine on its back, plug out.',
      'Rule across the running face: how far do the bristles stand out?',
      'A step that is left comes before a new roll. Is the face caked?',
    ],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        // Where nothing can be set on, worn is worn.
        id: 'height',
        label: 'Stand-out',
        notWith: ['height-setting', 'height-cam'],
        outcomes: [
          { id: 'bristles-proud', label: 'stand out' },
          { id: 'bristles-short', label: 'flush or short', proves: ['bristles-worn'] },
        ],
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
      {
        id: 'step',
        label: 'Stand-out and step',
        onlyWith: ['height-setting', 'height-cam'],
        outcomes: [
          { id: 'stands-right', label: 'a few millimetres proud' },
          { id: 'too-proud', label: 'too proud', proves: ['height-wrong'] },
          { id: 'short-step-left', label: 'short, a step is left', proves: ['roll-set-low'] },
          { id: 'short-on-last', label: 'short on the last step', proves: ['bristles-worn'] },
        ],
        leak: { 'too-proud': 0.01, 'short-step-left': 0.01, 'short-on-last': 0.005 },
      },
      {
        id: 'face',
        label: 'Sole plate',
        outcomes: [
          { id: 'face-smooth', label: 'smooth' },
          { id: 'face-caked', label: 'caked', proves: ['sole-plate-caked'] },
        ],
        leak: { 'face-caked': 0.02 },
      },
      {
        id: 'strip',
        label: 'Strip',
        outcomes: [
          { id: 'strip-stands', label: 'stands' },
          { id: 'strip-short', label: 'worn flat', proves: ['bristle-strip-worn'] },
        ],
        leak: { 'strip-short': 0.003 },
      },
    ],
  },
  {
    id: 'frame-look',
    label: 'Frame, wheels, handle',
    how: ['Stand it upright and rock it.', 'Roll the wheels, work the latches.', 'Look for cracks and missing screws.'],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: [],
    aspects: [
      {
        id: 'wheels',
        label: 'Wheels',
        outcomes: [
          { id: 'wheels-free', label: 'free' },
          { id: 'wheels-bound', label: 'bound', proves: ['wheels-bound'] },
        ],
      },
      {
        id: 'lock',
        label: 'Handle lock',
        outcomes: [
          { id: 'lock-holds', label: 'holds' },
          { id: 'lock-slips', label: 'slips', proves: ['handle-lock-worn'] },
        ],
      },
      {
        id: 'shell',
        label: 'Shell',
        outcomes: [
          { id: 'shell-sound', label: 'sound' },
          { id: 'latch-broken', label: 'latch broken', proves: ['latch-broken'] },
          { id: 'housing-cracked', label: 'cracked', proves: ['housing-cracked'] },
        ],
      },
      {
        id: 'screws',
        label: 'Screws',
        outcomes: [
          { id: 'screws-all', label: 'all there' },
          { id: 'screw-missing', label: 'missing', proves: ['screws-missing'], raises: ['screws-missing'] },
        ],
        leak: { 'screw-missing': 0.01 },
      },
      {
        id: 'axle',
        label: 'Axle',
        outcomes: [
          { id: 'axle-firm', label: 'firm' },
          { id: 'axle-loose', label: 'loose', proves: ['axle-worn'] },
        ],
        leak: { 'axle-loose': 0.003 },
      },
      {
        id: 'bail',
        label: 'Handle bail',
        outcomes: [
          { id: 'bail-firm', label: 'firm' },
          { id: 'bail-loose', label: 'loose', proves: ['handle-bail-loose'] },
        ],
        leak: { 'bail-loose': 0.003 },
      },
      {
        id: 'guard',
        label: 'Guard',
        outcomes: [
          { id: 'guard-there', label: 'there' },
          { id: 'guard-missing', label: 'missing', proves: ['guard-missing'] },
        ],
        leak: { 'guard-missing': 0.003 },
      },
      {
        id: 'base',
        label: 'Nozzle base',
        outcomes: [
          { id: 'base-sound', label: 'sound' },
          { id: 'base-cracked', label: 'cracked', proves: ['nozzle-base-cracked'] },
        ],
        leak: { 'base-cracked': 0.003 },
      },
      {
        id: 'detent',
        label: 'Neck detent',
        outcomes: [
          { id: 'detent-holds', label: 'holds' },
          { id: 'detent-worn', label: 'worn', proves: ['detent-worn'] },
        ],
        leak: { 'detent-worn': 0.003 },
      },
      {
        id: 'housing-detent',
        label: 'Housing detent',
        outcomes: [
          { id: 'housing-detent-holds', label: 'holds' },
          { id: 'housing-detent-worn', label: 'worn', proves: ['housing-detent-worn'] },
        ],
        leak: { 'housing-detent-worn': 0.003 },
      },
    ],
  },
  {
    id: 'head-lamp-look',
    label: 'Head lamp',
    how: [
      'Machine on, brush switch on.',
      'Is the lamp in the head lit?',
      'A lit lamp means that supply reaches the head.',
    ],
    minutes: 0.3,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'lamp',
        label: 'Lamp',
        sets: ['brush-switch-position=on'],
        outcomes: [
          { id: 'lamp-lit', label: 'lit' },
          { id: 'no-lamp', label: 'has none' },
          { id: 'lamp-dark', label: 'dark' },
        ],
        leak: { 'no-lamp': 0.5, 'lamp-dark': 0.02 },
      },
    ],
  },
  {
    id: 'indicator-test',
    label: 'Filter light test',
    how: [
      'Machine on, palm over the hose end for three seconds.',
      'The light must turn.',
      'A light that stays green proves nothing about the filter.',
    ],
    minutes: 0.5,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power'],
    aspects: [
      {
        id: 'light',
        label: 'Light',
        outcomes: [
          { id: 'light-turns', label: 'turns' },
          { id: 'light-stuck', label: 'stays green', proves: ['indicator-stuck'] },
        ],
        leak: { 'light-stuck': 0.15 },
      },
    ],
  },
];
