import type { Show } from '@/core/diagnosis/knowledge';
import type { FaultText } from '../assemble';

const basis = 'common practice, no source';

/** What a head that is not fed shows as it was found. */
const notFed: Show[] = [
  { check: 'run-seconds', outcome: 'roll-none', strength: 'always' },
  { check: 'roll-speed', outcome: 'speed-none', strength: 'always' },
  { check: 'motor-current', outcome: 'current-low', strength: 'usually' },
];

/** What a head without supply shows, whatever broke before it, also when its switch is on. */
const noSupplyAtHead: Show[] = [
  { check: 'head-socket-volts', condition: 'roll-on', outcome: 'ghost', strength: 'often' },
  { check: 'head-socket-volts', condition: 'roll-on', outcome: 'none', strength: 'sometimes' },
  ...notFed,
  { check: 'head-lamp-look', outcome: 'lamp-dark', strength: 'usually' },
];

/** A head that has supply and does not turn. */
const deadHead: Show[] = [
  { check: 'head-on-test-lead', outcome: 'dead', strength: 'always' },
  { check: 'run-seconds', outcome: 'roll-none', strength: 'always' },
  { check: 'roll-speed', outcome: 'speed-none', strength: 'always' },
  { check: 'motor-current', outcome: 'current-low', strength: 'usually' },
];

/** A machine that does nothing at all. */
const allDead: Show[] = [
  { check: 'run-seconds', outcome: 'sound-silent', strength: 'usually' },
  { check: 'run-seconds', outcome: 'roll-none', strength: 'usually' },
  { check: 'motor-current', outcome: 'current-none', strength: 'usually' },
  { check: 'head-socket-volts', condition: 'roll-on', outcome: 'none', strength: 'usually' },
  { check: 'head-lamp-look', outcome: 'lamp-dark', strength: 'usually' },
];

/** Wall to motor. How common, and how surely each shows: common practice, no source. */
export const powerFaults: FaultText[] = [
  {
    id: 'outlet-dead',
    label: 'Outlet dead',
    complaints: [{ complaint: 'dead', strength: 'always' }],
    shows: [{ check: 'outlet-test', outcome: 'outlet-dead', strength: 'always' }, ...allDead],
    repair: { label: 'Try it on a good outlet', minutes: 1, access: 'outside', power: true },
    basis,
  },
  {
    id: 'plug-damaged',
    label: 'Plug burnt or loose',
    complaints: [
      { complaint: 'dead-intermittent', strength: 'often' },
      { complaint: 'dead', strength: 'sometimes' },
      { complaint: 'burning-smell', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'sometimes' },
      { check: 'plug-ohms', outcome: 'earth-open', strength: 'sometimes' },
      { check: 'cord-look', outcome: 'plug-burnt', strength: 'always' },
    ],
    repair: { label: 'Fit a new plug', minutes: 8, access: 'outside', parts: ['cord'], power: true },
    basis,
  },
  {
    id: 'cord-damaged',
    label: 'Cord damaged',
    complaints: [
      { complaint: 'dead', strength: 'sometimes' },
      { complaint: 'dead-intermittent', strength: 'sometimes' },
      { complaint: 'trips-house-breaker', strength: 'often' },
      { complaint: 'sparks', strength: 'rarely' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'sometimes' },
      { check: 'plug-ohms', outcome: 'circuit-jumps', strength: 'sometimes' },
      { check: 'plug-ohms', outcome: 'insulation-leaky', strength: 'rarely' },
      { check: 'plug-ohms', outcome: 'earth-open', strength: 'rarely' },
      { check: 'cord-look', outcome: 'damaged', strength: 'usually' },
    ],
    repair: { label: 'Fit a new cord', minutes: 20, access: 'motor-bay', parts: ['cord'], power: true },
    basis,
  },
  {
    id: 'cord-broken-at-grip',
    label: 'Cord broken at its grip',
    complaints: [
      { complaint: 'dead-intermittent', strength: 'usually' },
      { complaint: 'dead', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-jumps', strength: 'usually' },
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'sometimes' },
      { check: 'plug-ohms', outcome: 'earth-open', strength: 'rarely' },
      { check: 'cord-flex', outcome: 'cuts', strength: 'always' },
      { check: 'run-seconds', outcome: 'sound-silent', strength: 'sometimes' },
      { check: 'cord-look', outcome: 'damaged', strength: 'rarely' },
    ],
    repair: {
      label: 'Shorten or replace the cord at the grip',
      minutes: 15,
      access: 'motor-bay',
      parts: ['cord'],
      power: true,
    },
    basis,
  },
  {
    id: 'main-switch-failed',
    label: 'Main switch failed',
    complaints: [
      { complaint: 'dead', strength: 'usually' },
      { complaint: 'dead-intermittent', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'usually' },
      { check: 'main-switch-ohms', condition: 'main', outcome: 'main-open', strength: 'usually' },
      { check: 'main-switch-ohms', condition: 'main', outcome: 'main-poor', strength: 'rarely' },
      ...allDead,
    ],
    repair: { label: 'Fit a new main switch', minutes: 12, access: 'motor-bay', parts: ['switch'], power: true },
    basis,
  },
  {
    id: 'thermal-cutout-open',
    symptom: true,
    label: 'Cut-out has opened',
    complaints: [
      { complaint: 'stops-after-minutes', strength: 'usually' },
      { complaint: 'dead', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'rarely' },
      { check: 'breaker-reset', outcome: 'clicked', strength: 'often' },
      { check: 'breaker-reset', outcome: 'came-back', strength: 'sometimes' },
      { check: 'trip-time', outcome: 'trip-late', strength: 'often' },
      { check: 'trip-time', outcome: 'trip-early', strength: 'rarely' },
      { check: 'main-switch-ohms', condition: 'cut-out', outcome: 'cutout-open', strength: 'rarely' },
    ],
    broughtOnBy: [
      { fault: 'filter-clogged', strength: 'rarely' },
      { fault: 'felt-clogged', strength: 'rarely' },
      { fault: 'hose-clogged', strength: 'rarely' },
      { fault: 'wand-clogged', strength: 'rarely' },
      { fault: 'head-duct-clogged', strength: 'rarely' },
      { fault: 'exhaust-filter-clogged', strength: 'rarely' },
      { fault: 'bag-or-bin-full', strength: 'rarely' },
      { fault: 'cyclone-plugged', strength: 'rarely' },
      { fault: 'suction-motor-worn', strength: 'rarely' },
    ],
    repair: {
      label: 'Reset it, clear the air path',
      minutes: 20,
      access: 'filter-bay',
      power: true,
    },
    basis,
  },
  {
    id: 'suction-motor-worn',
    label: 'Suction motor worn',
    complaints: [
      { complaint: 'harsh-motor', strength: 'always' },
      { complaint: 'burning-smell', strength: 'rarely' },
      { complaint: 'weak-suction', strength: 'rarely' },
      { complaint: 'sparks', strength: 'sometimes' },
    ],
    shows: [
      { check: 'motor-spin', outcome: 'spin-rough', strength: 'usually' },
      { check: 'run-seconds', outcome: 'sound-harsh', strength: 'always' },
      { check: 'wind-down-listen', outcome: 'wind-rough', strength: 'always' },
      { check: 'armature-sound', outcome: 'armature-harsh', strength: 'always' },
      { check: 'motor-current', outcome: 'current-over', strength: 'sometimes' },
      { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'sometimes' },
    ],
    repair: { label: 'Fit a new motor', minutes: 30, access: 'motor-bay', parts: ['motor'], power: true },
    basis,
  },
  {
    id: 'suction-motor-failed',
    label: 'Suction motor failed',
    complaints: [
      { complaint: 'dead', strength: 'usually' },
      { complaint: 'no-suction', strength: 'often' },
      { complaint: 'trips-house-breaker', strength: 'sometimes' },
      { complaint: 'burning-smell', strength: 'often' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'often' },
      { check: 'plug-ohms', outcome: 'insulation-leaky', strength: 'sometimes' },
      { check: 'suction-motor-ohms', outcome: 'winding-open', strength: 'often' },
      { check: 'suction-motor-ohms', outcome: 'winding-shorted', strength: 'sometimes' },
      { check: 'suction-motor-ohms', outcome: 'frame-leaky', strength: 'sometimes' },
      { check: 'motor-spin', outcome: 'spin-stuck', strength: 'sometimes' },
      { check: 'armature-sound', outcome: 'armature-dead', strength: 'always' },
      { check: 'run-seconds', outcome: 'sound-silent', strength: 'usually' },
      { check: 'inlet-vacuum', outcome: 'machine-none', strength: 'always' },
      { check: 'wind-down-listen', outcome: 'wind-abrupt', strength: 'sometimes' },
    ],
    repair: { label: 'Fit a new motor', minutes: 30, access: 'motor-bay', parts: ['motor'], power: true },
    basis,
  },
  {
    id: 'carbon-brushes-worn',
    label: 'Carbon brushes worn',
    complaints: [
      { complaint: 'dead-intermittent', strength: 'often' },
      { complaint: 'sparks', strength: 'often' },
      { complaint: 'dead', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'sometimes' },
      { check: 'suction-motor-ohms', outcome: 'winding-open', strength: 'sometimes' },
      { check: 'carbon-brush-length', outcome: 'brushes-short', strength: 'always' },
      { check: 'armature-sound', outcome: 'armature-dead', strength: 'often', kinds: ['handheld-mains'] },
      { check: 'run-seconds', outcome: 'sound-silent', strength: 'rarely' },
    ],
    repair: {
      label: 'Fit new carbon brushes, bed them in',
      minutes: 10,
      access: 'motor-bay',
      parts: ['carbon'],
      power: true,
    },
    basis,
  },
  {
    id: 'fan-broken',
    label: 'Fan broken',
    complaints: [
      { complaint: 'harsh-motor', strength: 'usually' },
      { complaint: 'rattle', strength: 'usually' },
      { complaint: 'weak-suction', strength: 'usually' },
    ],
    shows: [
      { check: 'motor-spin', outcome: 'spin-rubs', strength: 'sometimes' },
      { check: 'fan-look', outcome: 'fan-broken', strength: 'always' },
      { check: 'run-seconds', outcome: 'sound-harsh', strength: 'usually' },
      { check: 'inlet-vacuum', outcome: 'machine-weak', strength: 'usually' },
    ],
    repair: { label: 'Fit a new fan or motor', minutes: 30, access: 'motor-bay', parts: ['motor'], power: true },
    basis,
  },
  {
    id: 'indicator-stuck',
    label: 'Filter indicator stuck',
    complaints: [{ complaint: 'indicator-never-red', strength: 'always' }],
    shows: [{ check: 'indicator-test', outcome: 'light-stuck', strength: 'always' }],
    repair: { label: 'Free or replace the indicator', minutes: 6, access: 'filter-bay', power: true },
    basis,
  },
  {
    id: 'brush-switch-off',
    label: 'Brush switch is off',
    complaints: [{ complaint: 'roll-not-turning', strength: 'always' }],
    // The lamp and the volts are looked at with the switch on: they say nothing about it.
    shows: [{ check: 'brush-switch-position', outcome: 'off', strength: 'always' }, ...notFed],
    repair: { label: 'Switch it on', minutes: 1, access: 'outside', power: true },
    basis,
  },
  {
    id: 'handle-not-home',
    label: 'Handle not pushed home',
    complaints: [
      { complaint: 'dead', strength: 'usually' },
      { complaint: 'roll-not-turning', strength: 'often' },
      { complaint: 'dead-intermittent', strength: 'sometimes' },
    ],
    shows: [
      { check: 'plug-ohms', outcome: 'circuit-open', strength: 'often' },
      { check: 'handle-seated', outcome: 'loose', strength: 'always' },
      ...noSupplyAtHead,
    ],
    repair: { label: 'Push the handle home', minutes: 1, access: 'outside', power: true },
    basis,
  },
  {
    id: 'handle-brush-switch-failed',
    label: 'Handle brush switch failed',
    complaints: [
      { complaint: 'roll-not-turning', strength: 'always' },
      { complaint: 'roll-stops-and-starts', strength: 'sometimes' },
    ],
    shows: [
      { check: 'handle-switch-ohms', condition: 'on', outcome: 'switch-open', strength: 'usually' },
      { check: 'handle-switch-ohms', condition: 'on', outcome: 'switch-poor', strength: 'rarely' },
      ...noSupplyAtHead,
    ],
    repair: { label: 'Fit a new brush switch', minutes: 15, access: 'handle', parts: ['switch'], power: true },
    basis,
  },
  {
    id: 'hose-conductor-open',
    label: 'Hose wire broken',
    complaints: [
      { complaint: 'roll-not-turning', strength: 'usually' },
      { complaint: 'roll-stops-and-starts', strength: 'often' },
    ],
    shows: [{ check: 'hose-conductor-ohms', outcome: 'hose-wires-open', strength: 'always' }, ...noSupplyAtHead],
    repair: { label: 'Fit a new hose', minutes: 10, access: 'hose-off', parts: ['hose'], power: true },
    basis,
  },
  {
    id: 'wand-contacts-dirty',
    label: 'Wand contacts dirty or bent',
    complaints: [
      { complaint: 'roll-stops-and-starts', strength: 'often' },
      { complaint: 'roll-not-turning', strength: 'often' },
    ],
    shows: [
      { check: 'wand-contacts-look', outcome: 'contacts-dirty', strength: 'always' },
      { check: 'head-socket-volts', condition: 'roll-on', outcome: 'low', strength: 'sometimes' },
      { check: 'head-socket-volts', condition: 'roll-on', outcome: 'ghost', strength: 'sometimes' },
      { check: 'run-seconds', outcome: 'roll-bursts', strength: 'sometimes' },
      { check: 'run-seconds', outcome: 'roll-none', strength: 'often' },
      { check: 'head-lamp-look', outcome: 'lamp-dark', strength: 'often' },
    ],
    repair: { label: 'Clean and straighten the contacts', minutes: 4, access: 'outside', power: true },
    basis,
  },
  {
    id: 'head-socket-loose',
    label: 'Head socket loose',
    complaints: [
      { complaint: 'roll-stops-and-starts', strength: 'usually' },
      { complaint: 'roll-not-turning', strength: 'sometimes' },
    ],
    shows: [
      { check: 'wand-contacts-look', outcome: 'socket-loose', strength: 'usually' },
      { check: 'run-seconds', outcome: 'roll-bursts', strength: 'often' },
      { check: 'head-on-test-lead', outcome: 'dead', strength: 'sometimes' },
    ],
    repair: { label: 'Fit a new head socket', minutes: 15, access: 'head', power: true },
    basis,
  },
  {
    id: 'tilt-switch-failed',
    label: 'Tilt switch failed',
    complaints: [
      { complaint: 'roll-not-turning', strength: 'usually' },
      { complaint: 'roll-stops-and-starts', strength: 'sometimes' },
    ],
    shows: [
      { check: 'tilt-switch-ohms', condition: 'leaned-back', outcome: 'tilt-open', strength: 'usually' },
      { check: 'tilt-switch-ohms', condition: 'leaned-back', outcome: 'tilt-poor', strength: 'rarely' },
      ...deadHead,
    ],
    repair: { label: 'Fit a new tilt switch', minutes: 15, access: 'head', parts: ['switch'], power: true },
    basis,
  },
  {
    id: 'tilt-switch-stuck-closed',
    label: 'Tilt switch stuck closed',
    complaints: [{ complaint: 'roll-runs-upright', strength: 'always' }],
    shows: [{ check: 'tilt-switch-ohms', condition: 'upright', outcome: 'upright-closed', strength: 'always' }],
    repair: { label: 'Fit a new tilt switch', minutes: 15, access: 'head', parts: ['switch'], power: true },
    basis,
  },
  {
    id: 'head-board-failed',
    label: 'Head board failed',
    complaints: [
      { complaint: 'roll-not-turning', strength: 'usually' },
      { complaint: 'roll-stops-and-starts', strength: 'sometimes' },
      { complaint: 'burning-smell', strength: 'sometimes' },
    ],
    shows: [{ check: 'head-board-look', outcome: 'board-burnt', strength: 'often' }, ...deadHead],
    repair: { label: 'Fit a new head board', minutes: 15, access: 'head', parts: ['board'], power: true },
    basis,
  },
  {
    id: 'brush-motor-failed',
    label: 'Brush motor failed',
    complaints: [
      { complaint: 'roll-not-turning', strength: 'usually' },
      { complaint: 'burning-smell', strength: 'often' },
      { complaint: 'roll-stops-and-starts', strength: 'sometimes' },
    ],
    shows: [
      { check: 'brush-motor-turn', outcome: 'brush-motor-stuck', strength: 'sometimes' },
      { check: 'brush-motor-turn', outcome: 'brush-motor-rough', strength: 'sometimes' },
      { check: 'motor-winding-ohms', condition: 'winding', outcome: 'winding-open', strength: 'often' },
      { check: 'motor-winding-ohms', condition: 'winding', outcome: 'winding-shorted', strength: 'sometimes' },
      { check: 'run-seconds', outcome: 'smell-burning', strength: 'often' },
      ...deadHead,
    ],
    repair: { label: 'Fit a new brush motor', minutes: 25, access: 'head', parts: ['motor'], power: true },
    basis,
  },
  {
    id: 'head-lamp-out',
    label: 'Head lamp out',
    complaints: [],
    shows: [{ check: 'head-lamp-look', outcome: 'lamp-dark', strength: 'always' }],
    repair: { label: 'Fit a new lamp', minutes: 5, access: 'head', power: true },
    basis,
  },
  {
    id: 'water-in-head',
    label: 'Water in the head',
    danger: 'wet-signs',
    complaints: [
      { complaint: 'burning-smell', strength: 'often' },
      { complaint: 'trips-house-breaker', strength: 'often' },
      { complaint: 'bad-smell', strength: 'often' },
      { complaint: 'roll-not-turning', strength: 'sometimes' },
    ],
    shows: [
      { check: 'brush-motor-turn', outcome: 'brush-motor-rough', strength: 'sometimes' },
      { check: 'plug-ohms', outcome: 'insulation-leaky', strength: 'sometimes' },
      { check: 'wet-signs', outcome: 'rust', strength: 'often' },
      { check: 'wet-signs', outcome: 'mildew', strength: 'often' },
      { check: 'wet-signs', outcome: 'mud', strength: 'often' },
      { check: 'motor-winding-ohms', condition: 'frame', outcome: 'frame-leaky', strength: 'often' },
      { check: 'finger-turn', outcome: 'stiff', strength: 'sometimes' },
      { check: 'bearing-feel', outcome: 'bearing-rough', strength: 'often' },
    ],
    repair: { label: 'Open, wash, dry a day, insulation-test', minutes: 25, access: 'head', power: true },
    basis,
  },
];
