import type { FaultText } from '../assemble';
import { fault, type Surely } from '../write';

/** What a head that is not fed shows as it was found. */
const notFed: Surely = { always: 'run-seconds=roll-none roll-speed=speed-none', usually: 'motor-current=current-low' };

/** What a head without supply shows, whatever broke before it, also when its switch is on. */
const noSupplyAtHead: Surely = [
  {
    usually: 'head-lamp-look=lamp-dark',
    often: 'head-socket-volts@roll-on=ghost',
    sometimes: 'head-socket-volts@roll-on=none',
  },
  notFed,
];

/** A head that has supply and does not turn. */
const deadHead: Surely = {
  always: 'head-on-test-lead=dead run-seconds=roll-none roll-speed=speed-none',
  usually: 'motor-current=current-low',
};

/** A machine that does nothing at all. */
const allDead: Surely = {
  usually: `run-seconds=sound-silent run-seconds=roll-none motor-current=current-none
        head-socket-volts@roll-on=none head-lamp-look=lamp-dark`,
};

/** Wall to motor. How common, and how surely each shows: common practice, no source. */
export const powerFaults: FaultText[] = [
  fault(
    ['outlet-dead', 'Outlet dead'],
    { always: 'dead' },
    [{ always: 'outlet-test=outlet-dead' }, allDead],
    ['Try it on a good outlet', 1, 'outside'],
  ),
  fault(
    ['plug-damaged', 'Plug burnt or loose'],
    { often: 'dead-intermittent', sometimes: 'dead burning-smell' },
    { always: 'cord-look=plug-burnt', sometimes: 'plug-ohms=circuit-open plug-ohms=earth-open' },
    ['Fit a new plug', 8, 'outside', ['cord']],
  ),
  fault(
    ['cord-damaged', 'Cord damaged'],
    { often: 'trips-house-breaker', sometimes: 'dead dead-intermittent', rarely: 'sparks' },
    {
      usually: 'cord-look=damaged',
      sometimes: 'plug-ohms=circuit-open plug-ohms=circuit-jumps',
      rarely: 'plug-ohms=insulation-leaky plug-ohms=earth-open',
    },
    ['Fit a new cord', 20, 'motor-bay', ['cord']],
  ),
  fault(
    ['cord-broken-at-grip', 'Cord broken at its grip'],
    { usually: 'dead-intermittent', sometimes: 'dead' },
    {
      always: 'cord-flex=cuts',
      usually: 'plug-ohms=circuit-jumps',
      sometimes: 'plug-ohms=circuit-open run-seconds=sound-silent',
      rarely: 'plug-ohms=earth-open cord-look=damaged',
    },
    ['Shorten or replace the cord at the grip', 15, 'motor-bay', ['cord']],
  ),
  fault(
    ['main-switch-failed', 'Main switch failed'],
    { usually: 'dead', sometimes: 'dead-intermittent' },
    [
      { usually: 'plug-ohms=circuit-open main-switch-ohms@main=main-open', rarely: 'main-switch-ohms@main=main-poor' },
      allDead,
    ],
    ['Fit a new main switch', 12, 'motor-bay', ['switch']],
  ),
  fault(
    ['thermal-cutout-open', 'Cut-out has opened'],
    { usually: 'stops-after-minutes', sometimes: 'dead' },
    {
      often: 'breaker-reset=clicked trip-time=trip-late',
      sometimes: 'breaker-reset=came-back',
      rarely: 'plug-ohms=circuit-open trip-time=trip-early main-switch-ohms@cut-out=cutout-open',
    },
    ['Reset it, clear the air path', 20, 'filter-bay'],
    {
      rarely: `filter-clogged felt-clogged hose-clogged wand-clogged head-duct-clogged exhaust-filter-clogged
        bag-or-bin-full cyclone-plugged suction-motor-worn`,
    },
    { symptom: true },
  ),
  fault(
    ['suction-motor-worn', 'Suction motor worn'],
    { always: 'harsh-motor', sometimes: 'sparks', rarely: 'burning-smell weak-suction' },
    {
      always: 'run-seconds=sound-harsh wind-down-listen=wind-rough armature-sound=armature-harsh',
      usually: 'motor-spin=spin-rough',
      sometimes: 'motor-current=current-over inlet-vacuum=machine-weak',
    },
    ['Fit a new motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    ['suction-motor-failed', 'Suction motor failed'],
    { usually: 'dead', often: 'no-suction burning-smell', sometimes: 'trips-house-breaker' },
    {
      always: 'armature-sound=armature-dead inlet-vacuum=machine-none',
      usually: 'past-the-brushes=past-open run-seconds=sound-silent',
      often: 'plug-ohms=circuit-open suction-motor-ohms=winding-open',
      sometimes: `plug-ohms=insulation-leaky suction-motor-ohms=winding-shorted suction-motor-ohms=frame-leaky
        motor-spin=spin-stuck motor-spin=spin-rough wind-down-listen=wind-abrupt`,
    },
    ['Fit a new motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    ['carbon-brushes-worn', 'Carbon brushes worn'],
    { often: 'dead-intermittent sparks', sometimes: 'dead' },
    {
      always: 'carbon-brush-length=brushes-short',
      often: 'armature-sound=armature-dead',
      sometimes: 'plug-ohms=circuit-open suction-motor-ohms=winding-open',
      rarely: 'run-seconds=sound-silent',
    },
    ['Fit new carbon brushes, bed them in', 10, 'motor-bay', ['carbon']],
    {},
    { only: { 'armature-sound=armature-dead': ['handheld-mains'] } },
  ),
  fault(
    ['fan-broken', 'Fan broken'],
    { usually: 'harsh-motor rattle weak-suction' },
    {
      always: 'fan-look=fan-broken',
      usually: 'run-seconds=sound-harsh inlet-vacuum=machine-weak',
      sometimes: 'motor-spin=spin-rubs',
    },
    ['Fit a new fan or motor', 30, 'motor-bay', ['motor']],
  ),
  fault(
    ['indicator-stuck', 'Filter indicator stuck'],
    { always: 'indicator-never-red' },
    { always: 'indicator-test=light-stuck' },
    ['Free or replace the indicator', 6, 'filter-bay'],
  ),
  // The lamp and the volts are looked at with the switch on: they say nothing about it.
  fault(
    ['brush-switch-off', 'Brush switch is off'],
    { always: 'roll-not-turning' },
    [{ always: 'brush-switch-position=off' }, notFed],
    ['Switch it on', 1, 'outside'],
  ),
  fault(
    ['handle-not-home', 'Handle not pushed home'],
    { usually: 'dead', often: 'roll-not-turning', sometimes: 'dead-intermittent' },
    [{ always: 'handle-seated=loose', often: 'plug-ohms=circuit-open' }, noSupplyAtHead],
    ['Push the handle home', 1, 'outside'],
  ),
  fault(
    ['handle-brush-switch-failed', 'Handle brush switch failed'],
    { always: 'roll-not-turning', sometimes: 'roll-stops-and-starts' },
    [{ usually: 'handle-switch-ohms@on=switch-open', rarely: 'handle-switch-ohms@on=switch-poor' }, noSupplyAtHead],
    ['Fit a new brush switch', 15, 'handle', ['switch']],
  ),
  fault(
    ['hose-conductor-open', 'Hose wire broken'],
    { usually: 'roll-not-turning', often: 'roll-stops-and-starts' },
    [{ always: 'hose-conductor-ohms=hose-wires-open' }, noSupplyAtHead],
    ['Fit a new hose', 10, 'hose-off', ['hose']],
  ),
  fault(
    ['wand-contacts-dirty', 'Wand contacts dirty or bent'],
    { often: 'roll-stops-and-starts roll-not-turning' },
    {
      always: 'wand-contacts-look=contacts-dirty',
      often: 'run-seconds=roll-none head-lamp-look=lamp-dark',
      sometimes: 'head-socket-volts@roll-on=low head-socket-volts@roll-on=ghost run-seconds=roll-bursts',
    },
    ['Clean and straighten the contacts', 4, 'outside'],
  ),
  fault(
    ['head-socket-loose', 'Head socket loose'],
    { usually: 'roll-stops-and-starts', sometimes: 'roll-not-turning' },
    {
      usually: 'wand-contacts-look=socket-loose',
      often: 'run-seconds=roll-bursts',
      sometimes: 'head-on-test-lead=dead',
    },
    ['Fit a new head socket', 15, 'head'],
  ),
  fault(
    ['tilt-switch-failed', 'Tilt switch failed'],
    { usually: 'roll-not-turning', sometimes: 'roll-stops-and-starts' },
    [{ usually: 'tilt-switch-ohms@leaned-back=tilt-open', rarely: 'tilt-switch-ohms@leaned-back=tilt-poor' }, deadHead],
    ['Fit a new tilt switch', 15, 'head', ['switch']],
  ),
  fault(
    ['tilt-switch-stuck-closed', 'Tilt switch stuck closed'],
    { always: 'roll-runs-upright' },
    { always: 'tilt-switch-ohms@upright=upright-closed' },
    ['Fit a new tilt switch', 15, 'head', ['switch']],
  ),
  fault(
    ['head-board-failed', 'Head board failed'],
    { usually: 'roll-not-turning', sometimes: 'roll-stops-and-starts burning-smell' },
    [{ often: 'head-board-look=board-burnt' }, deadHead],
    ['Fit a new head board', 15, 'head', ['board']],
  ),
  fault(
    ['brush-motor-failed', 'Brush motor failed'],
    { usually: 'roll-not-turning', often: 'burning-smell', sometimes: 'roll-stops-and-starts' },
    [
      {
        often: 'motor-winding-ohms@winding=winding-open run-seconds=smell-burning',
        sometimes: `brush-motor-turn=brush-motor-stuck brush-motor-turn=brush-motor-rough
        motor-winding-ohms@winding=winding-shorted`,
      },
      deadHead,
    ],
    ['Fit a new brush motor', 25, 'head', ['motor']],
  ),
  fault(['head-lamp-out', 'Head lamp out'], {}, { always: 'head-lamp-look=lamp-dark' }, ['Fit a new lamp', 5, 'head']),
  fault(
    ['water-in-head', 'Water in the head'],
    { often: 'burning-smell trips-house-breaker bad-smell', sometimes: 'roll-not-turning' },
    {
      often: `wet-signs=rust wet-signs=mildew wet-signs=mud motor-winding-ohms@frame=frame-leaky
        bearing-feel=bearing-rough`,
      sometimes: 'brush-motor-turn=brush-motor-rough plug-ohms=insulation-leaky finger-turn=stiff',
    },
    ['Open, wash, dry a day, insulation-test', 25, 'head'],
    {},
    { danger: 'wet-signs' },
  ),
];
