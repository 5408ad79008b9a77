import type { ReadingSpec, Scatter } from '@/core/diagnosis/knowledge';
import type { AspectText, CheckText } from '../assemble';

/** Ohms are looked at on a log scale: a good contact, a bad one, an open one differ by powers of ten. */
function ohms(classes: [outcome: string, from: number, to: number][]): ReadingSpec {
  return {
    quantity: 'resistance',
    unit: 'Ω',
    min: 0,
    max: 1e9,
    logScale: true,
    classes: classes.map(([outcome, from, to]) => ({
      outcome,
      scatter: { shape: 'uniform', from, to } satisfies Scatter,
    })),
    basis: 'common practice, no source',
  };
}

const closedContact = (closed: string, poor: string, open: string) =>
  ohms([
    [closed, 1e-3, 1.5],
    [poor, 1.5, 2e4],
    [open, 2e4, 1e9],
  ]);

/**
 * A motor's winding and its insulation. The ohms of a winding go with the square of its volts: on the mains some ohms to
 * some hundred, for a battery a few hundredths to some, where a plain meter can tell an open one but hardly a short.
 * Common practice, no source.
 * @param opened null when an open circuit may be the carbon brushes
 */
function windingAndFrame(shorted: string[], opened: string[] | null): AspectText[] {
  const battery = ohms([
    ['winding-sound', 0.03, 60],
    ['winding-shorted', 1e-3, 0.03],
    ['winding-open', 3e3, 1e9],
  ]).classes;
  return [
    {
      id: 'winding',
      label: 'Winding',
      condition: 'winding',
      outcomes: [
        { id: 'winding-sound', label: 'sound' },
        { id: 'winding-shorted', label: 'shorted', proves: shorted },
        { id: 'winding-open', label: 'open', ...(opened ? { proves: opened } : {}) },
      ],
      reading: {
        ...ohms([
          ['winding-sound', 1, 400],
          ['winding-shorted', 1e-3, 0.8],
          ['winding-open', 3e3, 1e9],
        ]),
        classesFor: { pack: battery, 'lead-acid': battery },
      },
      leak: { 'winding-shorted': 0.004, 'winding-open': 0.004 },
    },
    {
      id: 'frame',
      label: 'To the frame',
      condition: 'frame',
      outcomes: [
        { id: 'frame-clear', label: 'clear' },
        { id: 'frame-leaky', label: 'leaky', raises: ['wet-signs'] },
      ],
      reading: ohms([
        ['frame-clear', 1e6, 1e9],
        ['frame-leaky', 1e-3, 1e6],
      ]),
      leak: { 'frame-leaky': 0.003 },
    },
  ];
}

/**
 * Meter work. Volts at the head: the mains voltage is a supply (110-120 V on 120 V mains); a high-impedance meter shows
 * a ghost of about 5 V on a dead line (common practice, no source). Scatters: from memory.
 */
export const meterChecks: CheckText[] = [
  {
    id: 'head-on-test-lead',
    label: 'Head on a test lead',
    how: [
      'Head off the wand, roll free by hand.',
      'Feed the head by itself with the fused test lead.',
      'Runs: the fault is before the head.',
    ],
    minutes: 2,
    access: 'outside',
    power: 'yes',
    spinsRoll: true,
    cautions: ['roll-free-before-power', 'live-measurement'],
    aspects: [
      {
        id: 'head',
        label: 'Head',
        outcomes: [
          { id: 'runs', label: 'runs' },
          { id: 'dead', label: 'dead' },
        ],
      },
    ],
  },
  {
    id: 'head-socket-volts',
    label: 'Volts at the head socket',
    how: [
      'Roll free by hand, wand on, handle leaned back.',
      'Outer contacts, roll switched on: volts AC.',
      'Once more with the roll off: a ghost of a few volts is normal there.',
    ],
    minutes: 2,
    access: 'outside',
    power: 'live',
    spinsRoll: true,
    cautions: ['live-measurement', 'roll-free-before-power'],
    aspects: [
      {
        id: 'roll-on',
        label: 'Roll on',
        condition: 'roll-on',
        sets: ['brush-switch-position=on'],
        outcomes: [
          { id: 'supply', label: 'supply' },
          { id: 'low', label: 'low supply' },
          { id: 'ghost', label: 'ghost' },
          { id: 'none', label: 'none' },
        ],
        leak: { low: 0.01, ghost: 0.004, none: 0.004 },
        reading: {
          quantity: 'voltage',
          unit: 'V',
          relativeTo: 'mainsV',
          min: 0,
          max: 1.25,
          classes: [
            { outcome: 'supply', scatter: { shape: 'normal', mean: 0.98, sd: 0.055 } },
            { outcome: 'low', scatter: { shape: 'uniform', from: 0.25, to: 0.9 } },
            { outcome: 'ghost', scatter: { shape: 'logNormal', median: 5 / 120, spread: 0.7 } },
            { outcome: 'none', scatter: { shape: 'uniform', from: -0.005, to: 0.008 } },
          ],
          basis: 'from memory',
        },
      },
      {
        id: 'roll-off',
        label: 'Roll off',
        condition: 'roll-off',
        neutral: true,
        outcomes: [
          { id: 'off-none', label: 'none' },
          { id: 'off-ghost', label: 'ghost' },
          { id: 'off-supply', label: 'supply' },
        ],
        reading: {
          quantity: 'voltage',
          unit: 'V',
          relativeTo: 'mainsV',
          min: 0,
          max: 1.25,
          classes: [
            { outcome: 'off-none', scatter: { shape: 'uniform', from: -0.005, to: 0.008 } },
            { outcome: 'off-ghost', scatter: { shape: 'logNormal', median: 5 / 120, spread: 0.7 } },
            { outcome: 'off-supply', scatter: { shape: 'normal', mean: 0.98, sd: 0.055 } },
          ],
          basis: 'from memory',
        },
      },
    ],
  },
  {
    id: 'wand-contacts-look',
    label: 'Wand and socket contacts',
    how: [
      'Plug out. Wand out at both ends.',
      'Pins straight, bright, springy; socket firm.',
      'Clean with a little spirit, let it flash off.',
    ],
    minutes: 1,
    access: 'outside',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'contacts',
        label: 'Contacts',
        outcomes: [
          { id: 'contacts-bright', label: 'bright, firm' },
          { id: 'contacts-dirty', label: 'dirty or bent', proves: ['wand-contacts-dirty'] },
          { id: 'socket-loose', label: 'head socket loose', proves: ['head-socket-loose'] },
        ],
      },
    ],
  },
  {
    id: 'hose-conductor-ohms',
    label: 'Hose wires, flexed',
    how: [
      'Plug out, hose off at both ends.',
      'Ohms end to end on each conductor.',
      'Flex the hose all along while you read; note the worst.',
    ],
    minutes: 3,
    access: 'hose-off',
    power: 'no',
    cautions: ['unplug-before-opening', 'electrified-hose'],
    aspects: [
      {
        id: 'conductor',
        label: 'Worst conductor',
        outcomes: [
          { id: 'hose-wires-sound', label: 'sound' },
          { id: 'hose-wires-poor', label: 'poor' },
          { id: 'hose-wires-open', label: 'open', proves: ['hose-conductor-open'] },
        ],
        reading: closedContact('hose-wires-sound', 'hose-wires-poor', 'hose-wires-open'),
        leak: { 'hose-wires-poor': 0.01, 'hose-wires-open': 0.003 },
      },
    ],
  },
  {
    id: 'tilt-switch-ohms',
    label: 'Tilt switch',
    how: [
      'Plug out, head open, switch in its holder.',
      'Ohms across it with the handle leaned back: must be near 0.',
      'Then upright: must be open.',
    ],
    minutes: 3,
    access: 'head',
    power: 'no',
    cautions: ['unplug-before-opening', 'interlock-bypass'],
    aspects: [
      {
        id: 'leaned-back',
        label: 'Leaned back',
        condition: 'leaned-back',
        outcomes: [
          { id: 'tilt-closed', label: 'closed' },
          { id: 'tilt-poor', label: 'poor contact' },
          { id: 'tilt-open', label: 'open', proves: ['tilt-switch-failed'] },
        ],
        reading: closedContact('tilt-closed', 'tilt-poor', 'tilt-open'),
        leak: { 'tilt-poor': 0.005, 'tilt-open': 0.003 },
      },
      {
        id: 'upright',
        label: 'Upright',
        condition: 'upright',
        outcomes: [
          { id: 'upright-open', label: 'open' },
          { id: 'upright-closed', label: 'closed', proves: ['tilt-switch-stuck-closed'] },
        ],
        reading: ohms([
          ['upright-open', 2e4, 1e9],
          ['upright-closed', 1e-3, 2e4],
        ]),
        leak: { 'upright-closed': 0.003 },
      },
    ],
  },
  {
    id: 'handle-switch-ohms',
    label: 'Handle switch',
    how: ['Plug out, handle open.', 'Ohms across the brush switch, switched on: near 0.', 'Off: open.'],
    minutes: 4,
    access: 'handle',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'on',
        label: 'Switched on',
        condition: 'on',
        outcomes: [
          { id: 'switch-closed', label: 'closed' },
          { id: 'switch-poor', label: 'poor contact' },
          { id: 'switch-open', label: 'open', proves: ['handle-brush-switch-failed'] },
        ],
        reading: closedContact('switch-closed', 'switch-poor', 'switch-open'),
        leak: { 'switch-poor': 0.005, 'switch-open': 0.003 },
      },
      {
        id: 'off',
        label: 'Switched off',
        condition: 'off',
        neutral: true,
        outcomes: [
          { id: 'off-open', label: 'open' },
          { id: 'off-closed', label: 'closed' },
        ],
        reading: ohms([
          ['off-open', 2e4, 1e9],
          ['off-closed', 1e-3, 2e4],
        ]),
      },
    ],
  },
  {
    id: 'motor-winding-ohms',
    label: 'Brush motor winding',
    how: [
      'Plug out, head open, motor leads off the board.',
      'Ohms across the motor, turning the shaft slowly.',
      'Then each lead to the frame: must be over range.',
    ],
    minutes: 3,
    access: 'head',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: windingAndFrame(['brush-motor-failed'], ['brush-motor-failed']),
  },
  {
    id: 'brush-motor-turn',
    label: 'Brush motor turned by hand',
    how: [
      'Plug out, head open, belt or gears off.',
      'Turn the motor by its shaft.',
      'It must run free and even, without grit.',
    ],
    minutes: 1,
    access: 'head',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'feel',
        label: 'It',
        outcomes: [
          { id: 'brush-motor-free', label: 'turns free' },
          { id: 'brush-motor-rough', label: 'rough' },
          { id: 'brush-motor-stuck', label: 'stuck' },
        ],
        leak: { 'brush-motor-rough': 0.01, 'brush-motor-stuck': 0.003 },
      },
    ],
  },
  {
    id: 'plug-ohms',
    label: 'Ohms at the plug',
    how: [
      'Plug out, in your hand; machine switched on.',
      'Ohms across its two live pins; flex the cord all along.',
      'Earth pin to bare metal; live pins together to bare metal, with the insulation tester.',
    ],
    minutes: 2,
    access: 'outside',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'circuit',
        label: 'Across the pins',
        outcomes: [
          { id: 'circuit-closed', label: 'a few ohms' },
          { id: 'circuit-jumps', label: 'jumps when flexed', proves: ['cord-broken-at-grip'] },
          { id: 'circuit-open', label: 'open' },
        ],
        // A switch with electronics in it looks open on a sound machine.
        leak: { 'circuit-jumps': 0.004, 'circuit-open': 0.1 },
      },
      {
        id: 'earth',
        label: 'Earth',
        outcomes: [
          { id: 'earth-sound', label: 'sound, or none by design' },
          { id: 'earth-open', label: 'open', raises: ['earth-broken'] },
        ],
        leak: { 'earth-open': 0.003 },
      },
      {
        id: 'insulation',
        label: 'Insulation',
        outcomes: [
          { id: 'insulation-clear', label: 'clear' },
          { id: 'insulation-leaky', label: 'leaky', raises: ['wet-signs'] },
        ],
        reading: ohms([
          ['insulation-clear', 1e6, 1e12],
          ['insulation-leaky', 1e-3, 1e6],
        ]),
        leak: { 'insulation-leaky': 0.003 },
      },
    ],
  },
  {
    id: 'suction-motor-ohms',
    label: 'Suction motor winding',
    how: [
      'Plug out, motor bay open, motor leads off.',
      'Ohms across the motor, turning the fan slowly.',
      'Then each lead to the frame: must be over range.',
    ],
    minutes: 3,
    access: 'motor-bay',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: windingAndFrame(['suction-motor-failed', 'vac-motor-failed'], null),
  },
  {
    id: 'head-board-look',
    label: 'Head board',
    how: [
      'Plug out, head open.',
      'Burnt parts, cracked joints, dust bridges.',
      'Volts in and none out, measured live, condemns it.',
    ],
    minutes: 3,
    access: 'head',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'board',
        label: 'Board',
        outcomes: [
          { id: 'board-sound', label: 'nothing to see' },
          { id: 'board-burnt', label: 'burnt', proves: ['head-board-failed'] },
        ],
      },
    ],
  },
  {
    id: 'main-switch-ohms',
    label: 'Main switch and cut-out',
    how: ['Plug out, motor bay open.', 'Ohms across the main switch, on.', 'Then across the cut-out, cold.'],
    minutes: 3,
    access: 'motor-bay',
    power: 'no',
    cautions: ['unplug-before-opening'],
    aspects: [
      {
        id: 'main',
        label: 'Main switch, on',
        condition: 'main',
        outcomes: [
          { id: 'main-closed', label: 'closed' },
          { id: 'main-poor', label: 'poor contact' },
          { id: 'main-open', label: 'open', proves: ['main-switch-failed'] },
        ],
        reading: closedContact('main-closed', 'main-poor', 'main-open'),
        leak: { 'main-poor': 0.005, 'main-open': 0.003 },
      },
      {
        id: 'cut-out',
        label: 'Cut-out, cold',
        condition: 'cut-out',
        outcomes: [
          { id: 'cutout-closed', label: 'closed' },
          { id: 'cutout-open', label: 'open', proves: ['thermal-cutout-open'] },
        ],
        reading: ohms([
          ['cutout-closed', 1e-3, 5],
          ['cutout-open', 1e3, 1e9],
        ]),
        leak: { 'cutout-open': 0.003 },
      },
      {
        id: 'coil',
        label: 'Contactor coil',
        condition: 'coil',
        onlyWith: ['contactor'],
        outcomes: [
          { id: 'coil-sound', label: 'sound' },
          { id: 'coil-open', label: 'open', proves: ['contactor-failed'] },
        ],
        reading: ohms([
          ['coil-sound', 2, 500],
          ['coil-open', 5e3, 1e9],
        ]),
        leak: { 'coil-open': 0.003 },
      },
    ],
  },
];
