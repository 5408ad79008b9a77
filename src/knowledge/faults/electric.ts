import type { FaultText } from '../assemble';
import { fault, type Surely } from '../write';

/** What a machine on a pack that gives nothing shows. */
const packDead: Surely = { usually: 'run-seconds=sound-silent run-seconds=roll-none' };

/** A head that has supply and does not turn. */
const headStill: Surely = {
  always: 'run-seconds=roll-none roll-speed=speed-none',
  usually: 'motor-current=current-low',
};

/** Batteries, remotes, breakers, motors taken apart. How surely each shows: common practice, no source. */
export const electricFaults: FaultText[] = [
  {
    symptom: true,
    ...fault(
      ['head-breaker-tripped', 'Breaker in the head has tripped'],
      { always: 'roll-not-turning' },
      [{ always: 'breaker-reset=head-clicked head-on-test-lead=dead' }, headStill],
      ['Find why, turn by hand, reset', 4, 'outside'],
      { often: 'roll-jammed-by-object water-in-head', sometimes: 'roll-bound-by-hair', rarely: 'bearing-rough' },
    ),
  },
  fault(
    ['remote-battery-flat', 'Battery of the remote flat'],
    { always: 'dead', rarely: 'dead-intermittent' },
    [{ always: 'remote-lamp=remote-dark remote-battery=remote-battery-low' }, packDead],
    ['Fit a new battery in the handle', 2, 'outside'],
  ),
  fault(
    ['remote-unpaired', 'Remote and body no longer paired'],
    { always: 'dead' },
    [{ usually: 'remote-resync=pairs' }, packDead],
    ['Pair them again', 2, 'outside'],
  ),
  fault(
    ['receiver-board-failed', 'Receiver board failed'],
    { always: 'dead', rarely: 'dead-intermittent' },
    [{ always: 'remote-resync=will-not-pair' }, packDead],
    ['Fit a new receiver board', 18, 'motor-bay', ['board']],
  ),
  fault(
    ['indicator-misadjusted', 'Indicator out of adjustment'],
    { always: 'indicator-red' },
    { always: 'indicator-adjust=adjuster-out' },
    ['Set the indicator’s adjuster with a clean path', 5, 'outside'],
  ),
  fault(['lamp-dead', 'Lamp dead'], { always: 'lamp-dark' }, { always: 'lamp-look=lamp-out' }, [
    'Fit a new lamp',
    5,
    'outside',
  ]),
  fault(
    ['battery-worn', 'Battery pack worn'],
    { always: 'short-run-time', sometimes: 'weak-suction stops-after-minutes' },
    { usually: 'pack-under-load=sags', often: 'cell-spread=spread-wide', sometimes: 'pack-volts=pack-low' },
    ['Fit a new pack', 5, 'battery', ['battery']],
  ),
  fault(
    ['pack-deep-flat', 'Pack discharged too deeply'],
    { usually: 'dead will-not-charge' },
    [{ always: 'pack-volts=pack-flat' }, packDead],
    ['Fit a new pack; the old one is not revived', 5, 'battery', ['battery']],
    { sometimes: 'charger-failed' },
  ),
  fault(
    ['charger-failed', 'Charger failed'],
    { always: 'will-not-charge', sometimes: 'dead' },
    { always: 'charger-volts=charger-none', often: 'pack-volts=pack-low' },
    ['Fit a new charger of the right type', 2, 'outside'],
  ),
  fault(
    ['pack-contacts-dirty', 'Contacts dirty or bent'],
    { often: 'will-not-charge dead-intermittent', sometimes: 'dead' },
    { always: 'pack-contacts-look=contacts-dull' },
    ['Clean and straighten the contacts', 4, 'outside'],
  ),
  fault(
    ['trigger-failed', 'Trigger or switch failed'],
    { usually: 'dead', often: 'dead-intermittent' },
    [{ always: 'trigger-ohms=trigger-open' }, packDead],
    ['Fit a new trigger switch', 15, 'motor-bay', ['switch']],
  ),
  fault(
    ['main-board-failed', 'Main board failed'],
    { always: 'dead', sometimes: 'will-not-charge', rarely: 'stops-after-minutes' },
    [{ usually: 'board-look=main-board-burnt' }, packDead],
    ['Fit a new main board', 20, 'motor-bay', ['board']],
  ),
  fault(
    ['batteries-sulphated', 'Batteries sulphated'],
    { always: 'short-run-time', sometimes: 'will-not-charge' },
    { always: 'pack-under-load=sags', usually: 'gravity-test=gravity-low', often: 'pack-volts=pack-low' },
    ['Fit new batteries as a set', 45, 'battery', ['battery']],
  ),
  fault(
    ['battery-cable-loose', 'Battery cable loose or corroded'],
    { often: 'dead-intermittent', sometimes: 'dead short-run-time' },
    { always: 'battery-cable-look=cable-corroded', sometimes: 'pack-under-load=sags' },
    ['Clean and tighten the cables', 12, 'battery', [], false],
  ),
  fault(
    ['contactor-failed', 'Contactor failed'],
    { usually: 'dead', sometimes: 'roll-not-turning' },
    [{ always: 'contactor-click=contactor-silent', usually: 'main-switch-ohms@coil=coil-open' }, packDead],
    ['Fit a new contactor', 25, 'motor-bay', ['switch']],
  ),
  fault(
    ['seat-switch-failed', 'Seat switch failed'],
    { often: 'dead dead-intermittent does-not-drive' },
    { always: 'seat-switch-ohms=seat-open', sometimes: 'contactor-click=contactor-silent' },
    ['Fit a new seat switch', 15, 'battery', ['switch']],
  ),
  fault(['hour-meter-dead', 'Hour meter dead'], { always: 'meter-stands' }, { always: 'hour-meter-look=meter-still' }, [
    'Fit a new hour meter, note the old hours',
    12,
    'motor-bay',
    [],
    false,
  ]),
  fault(
    ['field-failed', 'Field winding failed'],
    { usually: 'dead', often: 'burning-smell', sometimes: 'trips-house-breaker' },
    {
      often: 'field-ohms=field-shorted run-seconds=sound-silent armature-sound=armature-dead',
      sometimes: 'field-ohms=field-open',
    },
    ['Replace the motor', 30, 'motor-bay', ['motor']],
    { rarely: 'armature-bad' },
  ),
  fault(
    ['armature-bad', 'Armature bad'],
    { always: 'harsh-motor', often: 'sparks', sometimes: 'burning-smell weak-suction' },
    {
      always: 'armature-sound=armature-harsh run-seconds=sound-harsh',
      usually: 'bar-to-bar-ohms=bar-outlier',
      often: 'wind-down-listen=wind-rough',
      sometimes: 'motor-spin=spin-rough motor-current=current-over',
    },
    ['Fit a good armature or motor', 35, 'motor-out', ['motor']],
  ),
  fault(
    ['commutator-worn', 'Commutator grooved or dirty'],
    { usually: 'sparks', sometimes: 'dead-intermittent' },
    { always: 'commutator-look=commutator-grooved' },
    ['Clean the commutator, bed the brushes', 20, 'motor-out', ['carbon']],
    { rarely: 'carbon-brushes-worn' },
  ),
  fault(
    ['brush-fitted-reversed', 'Carbon brush the wrong way round'],
    { usually: 'sparks', rarely: 'harsh-motor' },
    { always: 'carbon-brush-length=edge-wrong' },
    ['Turn the brush round, bed it in', 6, 'motor-bay'],
  ),
  fault(
    ['brush-holder-loose', 'Brush holder or spring loose'],
    { usually: 'dead-intermittent', often: 'sparks' },
    { always: 'carbon-brush-length=spring-weak' },
    ['Fit a new spring or holder', 12, 'motor-bay', ['carbon']],
  ),
  fault(
    ['motor-bushes-dry', 'Motor bushes dry or worn'],
    { usually: 'squeal', often: 'harsh-motor' },
    { usually: 'motor-spin=spin-stiff run-seconds=sound-squeal', often: 'wind-down-listen=wind-abrupt' },
    ['Clean the bushes, treat them as the school says', 25, 'motor-out'],
  ),
  fault(
    ['shims-missing', 'End shims missing or wrong'],
    { usually: 'rattle', sometimes: 'harsh-motor' },
    { always: 'end-float=float-wide', often: 'run-seconds=sound-rattle' },
    ['Fit shims to the right float', 25, 'motor-out'],
  ),
  fault(
    ['fan-rubbing', 'Fan rubs its housing'],
    { always: 'scrapes', rarely: 'harsh-motor' },
    { always: 'fan-look=fan-rubs run-seconds=sound-scrape', usually: 'motor-spin=spin-rubs' },
    ['Set the fan’s stand-off with shims', 20, 'motor-bay'],
  ),
  fault(
    ['mounts-perished', 'Rubber mounts perished'],
    { usually: 'rattle', rarely: 'scrapes' },
    { always: 'mounts-look=mounts-gone', often: 'run-seconds=sound-rattle' },
    ['Fit new rubber mounts', 12, 'motor-bay', ['seal']],
  ),
  fault(
    ['bristle-strip-worn', 'Bristle strip worn'],
    { always: 'leaves-hair' },
    { always: 'bristle-height=strip-short' },
    ['Fit a new bristle strip', 3, 'outside', ['roll'], false],
  ),
  {
    ...fault(
      ['motor-wet', 'Water in the motor'],
      { often: 'trips-house-breaker burning-smell bad-smell', sometimes: 'harsh-motor', rarely: 'dead' },
      {
        usually: 'suction-motor-ohms@frame=frame-leaky',
        often: 'wet-signs=rust wet-signs=mildew wet-signs=mud plug-ohms=insulation-leaky',
        sometimes: 'motor-spin=spin-stiff wind-down-listen=wind-rough run-seconds=sound-harsh',
      },
      ['Open, dry a day, insulation-test', 30, 'motor-bay'],
      { sometimes: 'foam-sleeve-missing', rarely: 'float-fouled' },
    ),
    danger: 'wet-signs',
  },
  fault(
    ['pump-failed', 'Pump failed'],
    { always: 'no-solution', rarely: 'leaks' },
    { always: 'pump-listen=pump-silent solution-flow=flow-none' },
    ['Fit a new pump', 25, 'motor-bay', ['motor']],
  ),
  fault(
    ['pump-air-locked', 'Pump air-locked or belt off'],
    { always: 'no-solution' },
    { always: 'pump-listen=pump-races', often: 'solution-flow=flow-none', sometimes: 'solution-flow=flow-low' },
    ['Prime the pump, refit its belt', 6, 'outside'],
  ),
  fault(
    ['sensor-dirty', 'Sensors dirty'],
    { often: 'goes-in-circles stops-after-minutes' },
    { always: 'sensor-look=sensor-dusty' },
    ['Wipe the sensors dry', 2, 'outside'],
  ),
  fault(
    ['bumper-stuck', 'Bumper stuck'],
    { often: 'goes-in-circles', sometimes: 'stops-after-minutes' },
    { always: 'sensor-look=bumper-jammed' },
    ['Free the bumper all along', 5, 'outside'],
  ),
];
