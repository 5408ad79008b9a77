import type { ReadingSpec } from '@/core/diagnosis/knowledge';
import type { CheckText } from '../assemble';
import { aspect, check, either, look, outcome, ranges } from '../write';

const OPENED = ['unplug-before-opening'];
const PACK = ['lithium-care', 'lead-acid'];

const contact = (closed: string, open: string): ReadingSpec =>
  ranges('resistance', 'Ω', [0, 1e9], { [closed]: [1e-3, 5], [open]: [1e3, 1e9] }, { logScale: true });

/** Remotes, packs, big batteries, motors on the bench. Minutes and ranges: common practice, no source. */
export const electricChecks: CheckText[] = [
  look(
    ['remote-lamp', 'Lamp of the remote', 0.2, 'outside'],
    ['Press the switch on the handle.', 'Its lamp must flash.', 'Dark: the battery in the handle first.'],
    ['remote-lit', 'flashes'],
    ['remote-dark', 'dark', 'remote-battery-flat'],
  ),
  check(
    ['remote-battery', 'Battery of the remote', 1, 'outside'],
    ['Battery out of the handle.', 'Volts across it, by itself.', '12 V is printed on most: under 10.8 it is spent.'],
    [
      either(
        'volts',
        'Volts',
        ['remote-battery-good', 'good'],
        ['remote-battery-low', 'spent', 'remote-battery-flat'],
        0.003,
        {
          reading: ranges('voltage', 'V', [0, 15], {
            'remote-battery-good': [10.7, 13.5],
            'remote-battery-low': [0, 10.9],
          }),
        },
      ),
    ],
  ),
  check(
    ['remote-resync', 'Pair remote and body again', 1, 'outside'],
    ['Fresh battery in the handle.', 'Pair them as the plate says.', 'Does it answer now?'],
    [
      aspect('pairing', 'It', [
        outcome('was-paired', 'was paired'),
        outcome('pairs', 'pairs and runs', { proves: 'remote-unpaired', leak: 0.003 }),
        outcome('will-not-pair', 'will not pair', { proves: 'receiver-board-failed', leak: 0.003 }),
      ]),
    ],
    { power: 'yes' },
  ),
  look(
    ['indicator-adjust', 'Indicator’s adjuster', 2, 'outside'],
    [
      'New bag, clean path, machine on.',
      'The light must be green, palm over the mouth red.',
      'Turn the adjuster between the two.',
    ],
    ['adjuster-right', 'right'],
    ['adjuster-out', 'out', 'indicator-misadjusted'],
    { power: 'yes', spinsRoll: true },
  ),
  look(
    ['lamp-look', 'Lamp', 0.3, 'outside'],
    [
      'Machine on, look at the lamp.',
      'Lamp out: turn the bulb, look at its contacts.',
      'It has its own wires: they break first.',
    ],
    ['lamp-burns', 'burns'],
    ['lamp-out', 'out', 'lamp-dead'],
    { power: 'yes', spinsRoll: true },
  ),
  check(
    ['pack-volts', 'Pack volts at rest', 1, 'outside'],
    ['Pack off the charger ten minutes.', 'Volts across the pack’s own contacts.', 'Type what the meter shows.'],
    [
      aspect(
        'volts',
        'Volts',
        [
          outcome('pack-full', 'charged'),
          outcome('pack-low', 'low', { leak: 0.08 }),
          outcome('pack-flat', 'dead flat', { proves: 'pack-deep-flat', leak: 0.003 }),
        ],
        {
          reading: ranges(
            'voltage',
            'V',
            [0, 1.35],
            { 'pack-full': [0.95, 1.18], 'pack-low': [0.7, 0.97], 'pack-flat': [-0.005, 0.72] },
            { relativeTo: 'mainsV' },
          ),
        },
      ),
    ],
    { cautions: PACK },
  ),
  check(
    ['pack-under-load', 'Pack volts under load', 2, 'outside'],
    [
      'Charged pack in, machine on its highest step.',
      'Volts at the contacts after ten seconds.',
      'A worn pack sags at once.',
    ],
    [
      either('volts', 'Volts', ['holds', 'holds'], ['sags', 'sags', ['battery-worn', 'batteries-sulphated']], 0.003, {
        reading: ranges(
          'voltage',
          'V',
          [0, 1.35],
          { holds: [0.88, 1.12], sags: [0.3, 0.89] },
          { relativeTo: 'mainsV' },
        ),
      }),
    ],
    { power: 'yes', spinsRoll: true, cautions: PACK },
  ),
  check(
    ['cell-spread', 'Spread between the cells', 4, 'battery'],
    [
      'Pack open only where that is allowed, insulated tools.',
      'Volts of every cell; type highest less lowest with its unit: 80 mV.',
      'One weak cell ends the run.',
    ],
    [
      either(
        'spread',
        'Highest less lowest',
        ['spread-narrow', 'narrow'],
        ['spread-wide', 'wide', 'battery-worn'],
        0.003,
        {
          reading: ranges(
            'voltage',
            'V',
            [0, 5],
            { 'spread-narrow': [0.001, 0.06], 'spread-wide': [0.05, 2] },
            { logScale: true },
          ),
        },
      ),
    ],
    { cautions: ['cells-bare', 'battery-out-before-opening'] },
  ),
  check(
    ['charger-volts', 'Charger output', 1, 'outside'],
    [
      'Charger on the wall, nothing on it.',
      'Volts at its plug, probes insulated.',
      'Some chargers show nothing until a pack is on.',
    ],
    [
      either('volts', 'Volts', ['charger-good', 'good'], ['charger-none', 'low or none', 'charger-failed'], 0.003, {
        reading: ranges(
          'voltage',
          'V',
          [0, 2.5],
          { 'charger-good': [1, 1.6], 'charger-none': [-0.005, 0.95] },
          { relativeTo: 'mainsV' },
        ),
      }),
    ],
  ),
  check(
    ['pack-contacts-look', 'Pack and contacts', 0.5, 'outside'],
    [
      'Pack or machine off its dock.',
      'Swollen, dented, hot, leaking? Then hands off.',
      'Contacts bright and springy on both sides? Wipe with a little spirit, let it flash off.',
    ],
    [
      aspect('body', 'Pack', [
        outcome('pack-body-sound', 'sound'),
        outcome('pack-swollen', 'swollen, dented, hot or leaking', { raises: ['lithium-pack'], leak: 0.004 }),
      ]),
      either(
        'contacts',
        'Contacts',
        ['contacts-shine', 'bright'],
        ['contacts-dull', 'dirty or bent', 'pack-contacts-dirty'],
        0.005,
      ),
    ],
    { cautions: ['lithium-care', 'solvents'] },
  ),
  check(
    ['trigger-ohms', 'Trigger or start switch', 3, 'motor-bay'],
    ['Made dead, body open.', 'Ohms across the switch, pressed: near 0.', 'Work it twenty times while you read.'],
    [
      either('pressed', 'Pressed', ['trigger-closed', 'closed'], ['trigger-open', 'open', 'trigger-failed'], 0.003, {
        reading: contact('trigger-closed', 'trigger-open'),
      }),
    ],
    { cautions: OPENED },
  ),
  look(
    ['board-look', 'Main board', 3, 'motor-bay'],
    ['Made dead, body open.', 'Burnt parts, cracked joints, water marks.', 'Volts in and none out condemns it.'],
    ['main-board-sound', 'nothing to see'],
    ['main-board-burnt', 'burnt', 'main-board-failed'],
    { cautions: OPENED },
  ),
  check(
    ['gravity-test', 'Acid gravity', 8, 'battery'],
    [
      'Goggles, gloves, air. Charged and rested.',
      'Hydrometer in every cell; type the lowest as % of full.',
      'Sealed batteries: leave this out.',
    ],
    [
      either('gravity', 'Lowest cell', ['gravity-full', 'full'], ['gravity-low', 'low', 'batteries-sulphated'], 0.003, {
        reading: ranges('percent', '%', [0, 110], { 'gravity-full': [85, 104], 'gravity-low': [5, 84] }),
      }),
    ],
    { cautions: ['lead-acid'] },
  ),
  look(
    ['battery-cable-look', 'Battery cables', 2, 'battery'],
    [
      'Key out, battery plug parted, rings off.',
      'Rock every clamp, look for green and white.',
      'Feel for warmth after a run.',
    ],
    ['cables-tight', 'tight and clean'],
    ['cable-corroded', 'loose or corroded', 'battery-cable-loose'],
    { cautions: ['lead-acid'] },
  ),
  check(
    ['contactor-click', 'Contactor', 1, 'outside'],
    [
      'Seat taken, key on, brushes up.',
      'Call for the brush: a contactor clicks.',
      'No click: the chain before it, or itself.',
    ],
    [
      aspect('click', 'Contactor', [
        outcome('contactor-clicks', 'clicks'),
        outcome('contactor-silent', 'silent', { leak: 0.01 }),
      ]),
    ],
    { power: 'yes' },
  ),
  check(
    ['seat-switch-ohms', 'Seat switch', 3, 'battery'],
    [
      'Key out, battery plug parted, seat up, lead off the switch.',
      'Ohms across it, pressed: near 0.',
      'Never left bridged.',
    ],
    [
      either('pressed', 'Pressed', ['seat-closed', 'closed'], ['seat-open', 'open', 'seat-switch-failed'], 0.003, {
        reading: contact('seat-closed', 'seat-open'),
      }),
    ],
    { cautions: ['interlock-bypass'] },
  ),
  look(
    ['hour-meter-look', 'Hour meter', 1, 'outside'],
    ['Note the hours, run it six minutes.', 'One tenth must have passed.', 'A dead meter hides when service is due.'],
    ['meter-counts', 'counts'],
    ['meter-still', 'stands', 'hour-meter-dead'],
    { power: 'yes' },
  ),
  check(
    ['field-ohms', 'Field winding', 3, 'motor-bay'],
    ['Plug out, brushes lifted.', 'Ohms of each half of the field: alike.', 'Then each to the frame: over range.'],
    [
      aspect(
        'field',
        'Field',
        [
          outcome('field-sound', 'sound'),
          outcome('field-shorted', 'shorted', { proves: 'field-failed', leak: 0.003 }),
          outcome('field-open', 'open', { proves: 'field-failed', leak: 0.003 }),
        ],
        {
          reading: ranges(
            'resistance',
            'Ω',
            [0, 1e9],
            { 'field-sound': [1, 60], 'field-shorted': [1e-3, 0.8], 'field-open': [1e3, 1e9] },
            { logScale: true },
          ),
        },
      ),
    ],
    { cautions: OPENED },
  ),
  check(
    ['bar-to-bar-ohms', 'Bar to bar', 8, 'motor-out'],
    [
      'Armature out, commutator wiped.',
      'Ohms between each pair of neighbours, once round.',
      'Type the farthest from the middle one, in %.',
    ],
    [
      either(
        'bars',
        'Farthest from the middle',
        ['bars-alike', 'alike'],
        ['bar-outlier', 'one stands out', 'armature-bad'],
        0.003,
        { reading: ranges('percent', '%', [0, 1000], { 'bars-alike': [0, 12], 'bar-outlier': [15, 400] }) },
      ),
    ],
    { cautions: OPENED },
  ),
  look(
    ['commutator-look', 'Commutator', 2, 'motor-out'],
    [
      'Armature out, a lamp on the bars.',
      'Even brown is good; grooves, black bars, high mica are not.',
      'Clean, never polish.',
    ],
    ['commutator-even', 'even'],
    ['commutator-grooved', 'grooved or black', 'commutator-worn'],
    { cautions: OPENED },
  ),
  check(
    ['pump-listen', 'Pump', 1, 'outside'],
    ['Tank filled, pump on.', 'A working pump hums low and even.', 'Racing is air, silence is the pump.'],
    [
      aspect('pump', 'Pump', [
        outcome('pump-hums', 'hums'),
        outcome('pump-races', 'races', { proves: 'pump-air-locked', leak: 0.003 }),
        outcome('pump-silent', 'silent', { proves: 'pump-failed', leak: 0.003 }),
      ]),
    ],
    { power: 'yes' },
  ),
  check(
    ['sensor-look', 'Sensors and bumper', 1, 'outside'],
    [
      'Wipe and look at every window underneath.',
      'Press the bumper all along its edge.',
      'It must come back everywhere.',
    ],
    [
      either('windows', 'Sensors', ['sensors-clear', 'clear'], ['sensor-dusty', 'dusty', 'sensor-dirty'], 0.05),
      either('bumper', 'Bumper', ['bumper-free', 'free'], ['bumper-jammed', 'stuck', 'bumper-stuck'], 0.003),
    ],
    { cautions: ['flying-springs'] },
  ),
];
