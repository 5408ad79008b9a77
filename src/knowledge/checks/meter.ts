import type { ReadingSpec, Scatter } from '@/core/diagnosis/knowledge';
import type { AspectText, CheckText } from '../assemble';
import { aspect, check, either, outcome } from '../write';

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
    aspect(
      'frame',
      'To the frame',
      [outcome('frame-clear', 'clear'), outcome('frame-leaky', 'leaky', { raises: ['wet-signs'], leak: 0.003 })],
      {
        condition: 'frame',
        reading: ohms([
          ['frame-clear', 1e6, 1e9],
          ['frame-leaky', 1e-3, 1e6],
        ]),
      },
    ),
  ];
}

/**
 * Meter work. Volts at the head: the mains voltage is a supply (110-120 V on 120 V mains); a high-impedance meter shows
 * a ghost of about 5 V on a dead line (common practice, no source). Scatters: from memory.
 */
export const meterChecks: CheckText[] = [
  check(
    ['head-on-test-lead', 'Head on a test lead', 2, 'outside'],
    [
      '{wand:Head off the wand|Head’s own plug parted}, roll free by hand.',
      'Feed the head by itself with the fused test lead.',
      'Runs: the fault is before the head.',
    ],
    [aspect('head', 'Head', [outcome('runs', 'runs'), outcome('dead', 'dead')])],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power', 'live-measurement'] },
  ),
  check(
    ['head-socket-volts', 'Volts at the head socket', 2, 'outside'],
    [
      'Roll free by hand, wand on, handle leaned back.',
      'Outer contacts, roll switched on: volts AC.',
      'Once more with the roll off: a ghost of a few volts is normal there.',
    ],
    [
      aspect(
        'roll-on',
        'Roll on',
        [
          outcome('supply', 'supply'),
          outcome('low', 'low supply', { leak: 0.01 }),
          outcome('ghost', 'ghost', { leak: 0.004 }),
          outcome('none', 'none', { leak: 0.004 }),
        ],
        {
          condition: 'roll-on',
          sets: ['brush-switch-position=on'],
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
      ),
      aspect(
        'roll-off',
        'Roll off',
        [outcome('off-none', 'none'), outcome('off-ghost', 'ghost'), outcome('off-supply', 'supply')],
        {
          condition: 'roll-off',
          neutral: true,
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
      ),
    ],
    { power: 'live', spinsRoll: true, cautions: ['live-measurement', 'roll-free-before-power'] },
  ),
  check(
    ['wand-contacts-look', 'Wand and socket contacts', 1, 'outside'],
    [
      'Plug out. Wand out at both ends.',
      'Pins straight, bright, springy; socket firm.',
      'Clean with a little spirit, let it flash off.',
    ],
    [
      aspect('contacts', 'Contacts', [
        outcome('contacts-bright', 'bright, firm'),
        outcome('contacts-dirty', 'dirty or bent', { proves: 'wand-contacts-dirty' }),
        outcome('socket-loose', 'head socket loose', { proves: 'head-socket-loose' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['hose-conductor-ohms', 'Hose wires, flexed', 3, 'hose-off'],
    [
      'Plug out, hose off at both ends.',
      'Ohms end to end on each conductor.',
      'Flex the hose all along while you read; note the worst.',
    ],
    [
      aspect(
        'conductor',
        'Worst conductor',
        [
          outcome('hose-wires-sound', 'sound'),
          outcome('hose-wires-poor', 'poor', { leak: 0.01 }),
          outcome('hose-wires-open', 'open', { proves: 'hose-conductor-open', leak: 0.003 }),
        ],
        { reading: closedContact('hose-wires-sound', 'hose-wires-poor', 'hose-wires-open') },
      ),
    ],
    { cautions: ['unplug-before-opening', 'electrified-hose'] },
  ),
  check(
    ['tilt-switch-ohms', 'Tilt switch', 3, 'head'],
    [
      'Plug out, head open, switch in its holder.',
      'Ohms across it with the handle leaned back: must be near 0.',
      'Then upright: must be open.',
    ],
    [
      aspect(
        'leaned-back',
        'Leaned back',
        [
          outcome('tilt-closed', 'closed'),
          outcome('tilt-poor', 'poor contact', { leak: 0.005 }),
          outcome('tilt-open', 'open', { proves: 'tilt-switch-failed', leak: 0.003 }),
        ],
        { condition: 'leaned-back', reading: closedContact('tilt-closed', 'tilt-poor', 'tilt-open') },
      ),
      either(
        'upright',
        'Upright',
        ['upright-open', 'open'],
        ['upright-closed', 'closed', 'tilt-switch-stuck-closed'],
        0.003,
        {
          condition: 'upright',
          reading: ohms([
            ['upright-open', 2e4, 1e9],
            ['upright-closed', 1e-3, 2e4],
          ]),
        },
      ),
    ],
    { cautions: ['unplug-before-opening', 'interlock-bypass'] },
  ),
  check(
    ['handle-switch-ohms', 'Handle switch', 4, 'handle'],
    ['Plug out, handle open.', 'Ohms across the brush switch, switched on: near 0.', 'Off: open.'],
    [
      aspect(
        'on',
        'Switched on',
        [
          outcome('switch-closed', 'closed'),
          outcome('switch-poor', 'poor contact', { leak: 0.005 }),
          outcome('switch-open', 'open', { proves: 'handle-brush-switch-failed', leak: 0.003 }),
        ],
        { condition: 'on', reading: closedContact('switch-closed', 'switch-poor', 'switch-open') },
      ),
      aspect('off', 'Switched off', [outcome('off-open', 'open'), outcome('off-closed', 'closed')], {
        condition: 'off',
        neutral: true,
        reading: ohms([
          ['off-open', 2e4, 1e9],
          ['off-closed', 1e-3, 2e4],
        ]),
      }),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['motor-winding-ohms', 'Brush motor winding', 3, 'head'],
    [
      'Plug out, head open, motor leads off the board.',
      'Ohms across the motor, turning the shaft slowly.',
      'Then each lead to the frame: must be over range.',
    ],
    windingAndFrame(['brush-motor-failed'], ['brush-motor-failed']),
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['brush-motor-turn', 'Brush motor turned by hand', 1, 'head'],
    [
      'Plug out, head open{~belt:, belt off}{gears:, gears off}.',
      'Turn the motor by its shaft.',
      'It must run free and even, without grit.',
    ],
    [
      aspect('feel', 'It', [
        outcome('brush-motor-free', 'turns free'),
        outcome('brush-motor-rough', 'rough', { leak: 0.01 }),
        outcome('brush-motor-stuck', 'stuck', { leak: 0.003 }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['plug-ohms', 'Ohms at the plug', 2, 'outside'],
    [
      'Plug out, in your hand; machine switched on.',
      'Ohms across its two live pins; flex the cord all along.',
      'Earth pin to bare metal; live pins together to bare metal, with the insulation tester.',
    ],
    [
      aspect('circuit', 'Across the pins', [
        outcome('circuit-closed', 'a few ohms'),
        outcome('circuit-jumps', 'jumps when flexed', { proves: 'cord-broken-at-grip', leak: 0.004 }),
        // A switch with electronics in it looks open on a sound machine.
        outcome('circuit-open', 'open', { leak: 0.1 }),
      ]),
      aspect('earth', 'Earth', [
        outcome('earth-sound', 'sound, or none by design'),
        outcome('earth-open', 'open', { raises: ['earth-broken'], leak: 0.003 }),
      ]),
      aspect(
        'insulation',
        'Insulation',
        [
          outcome('insulation-clear', 'clear'),
          outcome('insulation-leaky', 'leaky', { raises: ['wet-signs'], leak: 0.003 }),
        ],
        {
          reading: ohms([
            ['insulation-clear', 1e6, 1e12],
            ['insulation-leaky', 1e-3, 1e6],
          ]),
        },
      ),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['suction-motor-ohms', 'Suction motor winding', 3, 'motor-bay'],
    [
      'Plug out, motor bay open, motor leads off.',
      'Ohms across the motor, turning the fan slowly.',
      'Then each lead to the frame: must be over range.',
    ],
    windingAndFrame(['suction-motor-failed', 'vac-motor-failed'], null),
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['past-the-brushes', 'Winding past the brushes', 4, 'motor-bay'],
    [
      'Plug out, motor bay open, brushes drawn.',
      'Ohms through each field coil, then from bar to opposite bar.',
      'Whole there, and open at its leads: brushes, springs or leads.',
    ],
    [
      either(
        'past',
        'Winding',
        ['past-whole', 'whole'],
        ['past-open', 'open or burnt', ['suction-motor-failed', 'vac-motor-failed']],
        0.001,
      ),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['head-board-look', 'Head board', 3, 'head'],
    [
      'Plug out, head open.',
      'Burnt parts, cracked joints, dust bridges.',
      'Volts in and none out, measured live, condemns it.',
    ],
    [
      aspect('board', 'Board', [
        outcome('board-sound', 'nothing to see'),
        outcome('board-burnt', 'burnt', { proves: 'head-board-failed' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['main-switch-ohms', 'Main switch and cut-out', 3, 'motor-bay'],
    ['Plug out, motor bay open.', 'Ohms across the main switch, on.', 'Then across the cut-out, cold.'],
    [
      aspect(
        'main',
        'Main switch, on',
        [
          outcome('main-closed', 'closed'),
          outcome('main-poor', 'poor contact', { leak: 0.005 }),
          outcome('main-open', 'open', { proves: 'main-switch-failed', leak: 0.003 }),
        ],
        { condition: 'main', reading: closedContact('main-closed', 'main-poor', 'main-open') },
      ),
      either(
        'cut-out',
        'Cut-out, cold',
        ['cutout-closed', 'closed'],
        ['cutout-open', 'open', 'thermal-cutout-open'],
        0.003,
        {
          condition: 'cut-out',
          reading: ohms([
            ['cutout-closed', 1e-3, 5],
            ['cutout-open', 1e3, 1e9],
          ]),
        },
      ),
      either('coil', 'Contactor coil', ['coil-sound', 'sound'], ['coil-open', 'open', 'contactor-failed'], 0.003, {
        condition: 'coil',
        onlyWith: ['contactor'],
        reading: ohms([
          ['coil-sound', 2, 500],
          ['coil-open', 5e3, 1e9],
        ]),
      }),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
];
