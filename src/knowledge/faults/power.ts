import type { FaultText } from '../assemble';
import { fault, type Shows } from '../write';

/** What a head that is not fed shows as it was found. */
const notFed: Shows = {
  'run-seconds=roll-none': 'always',
  'roll-speed=speed-none': 'always',
  'motor-current=current-low': 'usually',
};

/** What a head without supply shows, whatever broke before it, also when its switch is on. */
const noSupplyAtHead: Shows = {
  'head-socket-volts@roll-on=ghost': 'often',
  'head-socket-volts@roll-on=none': 'sometimes',
  ...notFed,
  'head-lamp-look=lamp-dark': 'usually',
};

/** A head that has supply and does not turn. */
const deadHead: Shows = {
  'head-on-test-lead=dead': 'always',
  'run-seconds=roll-none': 'always',
  'roll-speed=speed-none': 'always',
  'motor-current=current-low': 'usually',
};

/** A machine that does nothing at all. */
const allDead: Shows = {
  'run-seconds=sound-silent': 'usually',
  'run-seconds=roll-none': 'usually',
  'motor-current=current-none': 'usually',
  'head-socket-volts@roll-on=none': 'usually',
  'head-lamp-look=lamp-dark': 'usually',
};

/** Wall to motor. How common, and how surely each shows: common practice, no source. */
export const powerFaults: FaultText[] = [
  fault('outlet-dead', 'Outlet dead', { dead: 'always' }, { 'outlet-test=outlet-dead': 'always', ...allDead }, [
    'Try it on a good outlet',
    1,
    'outside',
  ]),
  fault(
    'plug-damaged',
    'Plug burnt or loose',
    { 'dead-intermittent': 'often', dead: 'sometimes', 'burning-smell': 'sometimes' },
    { 'plug-ohms=circuit-open': 'sometimes', 'plug-ohms=earth-open': 'sometimes', 'cord-look=plug-burnt': 'always' },
    ['Fit a new plug', 8, 'outside', ['cord']],
  ),
  fault(
    'cord-damaged',
    'Cord damaged',
    { dead: 'sometimes', 'dead-intermittent': 'sometimes', 'trips-house-breaker': 'often', sparks: 'rarely' },
    {
      'plug-ohms=circuit-open': 'sometimes',
      'plug-ohms=circuit-jumps': 'sometimes',
      'plug-ohms=insulation-leaky': 'rarely',
      'plug-ohms=earth-open': 'rarely',
      'cord-look=damaged': 'usually',
    },
    ['Fit a new cord', 20, 'motor-bay', ['cord']],
  ),
  fault(
    'cord-broken-at-grip',
    'Cord broken at its grip',
    { 'dead-intermittent': 'usually', dead: 'sometimes' },
    {
      'plug-ohms=circuit-jumps': 'usually',
      'plug-ohms=circuit-open': 'sometimes',
      'plug-ohms=earth-open': 'rarely',
      'cord-flex=cuts': 'always',
      'run-seconds=sound-silent': 'sometimes',
      'cord-look=damaged': 'rarely',
    },
    ['Shorten or replace the cord at the grip', 15, 'motor-bay', ['cord']],
  ),
  fault(
    'main-switch-failed',
    'Main switch failed',
    { dead: 'usually', 'dead-intermittent': 'sometimes' },
    {
      'plug-ohms=circuit-open': 'usually',
      'main-switch-ohms@main=main-open': 'usually',
      'main-switch-ohms@main=main-poor': 'rarely',
      ...allDead,
    },
    ['Fit a new main switch', 12, 'motor-bay', ['switch']],
  ),
  fault(
    'thermal-cutout-open',
    'Cut-out has opened',
    { 'stops-after-minutes': 'usually', dead: 'sometimes' },
    {
      'plug-ohms=circuit-open': 'rarely',
      'breaker-reset=clicked': 'often',
      'breaker-reset=came-back': 'sometimes',
      'trip-time=trip-late': 'often',
      'trip-time=trip-early': 'rarely',
      'main-switch-ohms@cut-out=cutout-open': 'rarely',
    },
    ['Reset it, clear the air path', 20, 'filter-bay'],
    {
      'filter-clogged': 'rarely',
      'felt-clogged': 'rarely',
      'hose-clogged': 'rarely',
      'wand-clogged': 'rarely',
      'head-duct-clogged': 'rarely',
      'exhaust-filter-clogged': 'rarely',
      'bag-or-bin-full': 'rarely',
      'cyclone-plugged': 'rarely',
      'suction-motor-worn': 'rarely',
    },
    { symptom: true },
  ),
  fault(
    'suction-motor-worn',
    'Suction motor worn',
    { 'harsh-motor': 'always', 'burning-smell': 'rarely', 'weak-suction': 'rarely', sparks: 'sometimes' },
    {
      'motor-spin=spin-rough': 'usually',
      'run-seconds=sound-harsh': 'always',
      'wind-down-listen=wind-rough': 'always',
      'armature-sound=armature-harsh': 'always',
      'motor-current=current-over': 'sometimes',
      'inlet-vacuum=machine-weak': 'sometimes',
    },
    ['Fit a new motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    'suction-motor-failed',
    'Suction motor failed',
    { dead: 'usually', 'no-suction': 'often', 'trips-house-breaker': 'sometimes', 'burning-smell': 'often' },
    {
      'plug-ohms=circuit-open': 'often',
      'plug-ohms=insulation-leaky': 'sometimes',
      'suction-motor-ohms=winding-open': 'often',
      'past-the-brushes=past-open': 'usually',
      'suction-motor-ohms=winding-shorted': 'sometimes',
      'suction-motor-ohms=frame-leaky': 'sometimes',
      'motor-spin=spin-stuck': 'sometimes',
      'motor-spin=spin-rough': 'sometimes',
      'armature-sound=armature-dead': 'always',
      'run-seconds=sound-silent': 'usually',
      'inlet-vacuum=machine-none': 'always',
      'wind-down-listen=wind-abrupt': 'sometimes',
    },
    ['Fit a new motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    'carbon-brushes-worn',
    'Carbon brushes worn',
    { 'dead-intermittent': 'often', sparks: 'often', dead: 'sometimes' },
    {
      'plug-ohms=circuit-open': 'sometimes',
      'suction-motor-ohms=winding-open': 'sometimes',
      'carbon-brush-length=brushes-short': 'always',
      'armature-sound=armature-dead': 'often',
      'run-seconds=sound-silent': 'rarely',
    },
    ['Fit new carbon brushes, bed them in', 10, 'motor-bay', ['carbon']],
    {},
    { only: { 'armature-sound=armature-dead': ['handheld-mains'] } },
  ),
  fault(
    'fan-broken',
    'Fan broken',
    { 'harsh-motor': 'usually', rattle: 'usually', 'weak-suction': 'usually' },
    {
      'motor-spin=spin-rubs': 'sometimes',
      'fan-look=fan-broken': 'always',
      'run-seconds=sound-harsh': 'usually',
      'inlet-vacuum=machine-weak': 'usually',
    },
    ['Fit a new fan or motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    'indicator-stuck',
    'Filter indicator stuck',
    { 'indicator-never-red': 'always' },
    { 'indicator-test=light-stuck': 'always' },
    ['Free or replace the indicator', 6, 'filter-bay'],
  ),
  // The lamp and the volts are looked at with the switch on: they say nothing about it.
  fault(
    'brush-switch-off',
    'Brush switch is off',
    { 'roll-not-turning': 'always' },
    { 'brush-switch-position=off': 'always', ...notFed },
    ['Switch it on', 1, 'outside'],
  ),
  fault(
    'handle-not-home',
    'Handle not pushed home',
    { dead: 'usually', 'roll-not-turning': 'often', 'dead-intermittent': 'sometimes' },
    { 'plug-ohms=circuit-open': 'often', 'handle-seated=loose': 'always', ...noSupplyAtHead },
    ['Push the handle home', 1, 'outside'],
  ),
  fault(
    'handle-brush-switch-failed',
    'Handle brush switch failed',
    { 'roll-not-turning': 'always', 'roll-stops-and-starts': 'sometimes' },
    {
      'handle-switch-ohms@on=switch-open': 'usually',
      'handle-switch-ohms@on=switch-poor': 'rarely',
      ...noSupplyAtHead,
    },
    ['Fit a new brush switch', 15, 'handle', ['switch']],
  ),
  fault(
    'hose-conductor-open',
    'Hose wire broken',
    { 'roll-not-turning': 'usually', 'roll-stops-and-starts': 'often' },
    { 'hose-conductor-ohms=hose-wires-open': 'always', ...noSupplyAtHead },
    ['Fit a new hose', 10, 'hose-off', ['hose']],
  ),
  fault(
    'wand-contacts-dirty',
    'Wand contacts dirty or bent',
    { 'roll-stops-and-starts': 'often', 'roll-not-turning': 'often' },
    {
      'wand-contacts-look=contacts-dirty': 'always',
      'head-socket-volts@roll-on=low': 'sometimes',
      'head-socket-volts@roll-on=ghost': 'sometimes',
      'run-seconds=roll-bursts': 'sometimes',
      'run-seconds=roll-none': 'often',
      'head-lamp-look=lamp-dark': 'often',
    },
    ['Clean and straighten the contacts', 4, 'outside'],
  ),
  fault(
    'head-socket-loose',
    'Head socket loose',
    { 'roll-stops-and-starts': 'usually', 'roll-not-turning': 'sometimes' },
    {
      'wand-contacts-look=socket-loose': 'usually',
      'run-seconds=roll-bursts': 'often',
      'head-on-test-lead=dead': 'sometimes',
    },
    ['Fit a new head socket', 15, 'head'],
  ),
  fault(
    'tilt-switch-failed',
    'Tilt switch failed',
    { 'roll-not-turning': 'usually', 'roll-stops-and-starts': 'sometimes' },
    {
      'tilt-switch-ohms@leaned-back=tilt-open': 'usually',
      'tilt-switch-ohms@leaned-back=tilt-poor': 'rarely',
      ...deadHead,
    },
    ['Fit a new tilt switch', 15, 'head', ['switch']],
  ),
  fault(
    'tilt-switch-stuck-closed',
    'Tilt switch stuck closed',
    { 'roll-runs-upright': 'always' },
    { 'tilt-switch-ohms@upright=upright-closed': 'always' },
    ['Fit a new tilt switch', 15, 'head', ['switch']],
  ),
  fault(
    'head-board-failed',
    'Head board failed',
    { 'roll-not-turning': 'usually', 'roll-stops-and-starts': 'sometimes', 'burning-smell': 'sometimes' },
    { 'head-board-look=board-burnt': 'often', ...deadHead },
    ['Fit a new head board', 15, 'head', ['board']],
  ),
  fault(
    'brush-motor-failed',
    'Brush motor failed',
    { 'roll-not-turning': 'usually', 'burning-smell': 'often', 'roll-stops-and-starts': 'sometimes' },
    {
      'brush-motor-turn=brush-motor-stuck': 'sometimes',
      'brush-motor-turn=brush-motor-rough': 'sometimes',
      'motor-winding-ohms@winding=winding-open': 'often',
      'motor-winding-ohms@winding=winding-shorted': 'sometimes',
      'run-seconds=smell-burning': 'often',
      ...deadHead,
    },
    ['Fit a new brush motor', 25, 'head', ['motor']],
  ),
  fault('head-lamp-out', 'Head lamp out', {}, { 'head-lamp-look=lamp-dark': 'always' }, ['Fit a new lamp', 5, 'head']),
  fault(
    'water-in-head',
    'Water in the head',
    { 'burning-smell': 'often', 'trips-house-breaker': 'often', 'bad-smell': 'often', 'roll-not-turning': 'sometimes' },
    {
      'brush-motor-turn=brush-motor-rough': 'sometimes',
      'plug-ohms=insulation-leaky': 'sometimes',
      'wet-signs=rust': 'often',
      'wet-signs=mildew': 'often',
      'wet-signs=mud': 'often',
      'motor-winding-ohms@frame=frame-leaky': 'often',
      'finger-turn=stiff': 'sometimes',
      'bearing-feel=bearing-rough': 'often',
    },
    ['Open, wash, dry a day, insulation-test', 25, 'head'],
    {},
    { danger: 'wet-signs' },
  ),
];
