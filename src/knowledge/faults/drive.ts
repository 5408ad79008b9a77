import type { FaultText } from '../assemble';
import { fault } from '../write';

/** Motor shaft to bristle. How common, and how surely each shows: common practice, no source. */
export const driveFaults: FaultText[] = [
  fault(
    ['belt-broken', 'Belt broken'],
    { always: 'roll-not-turning', rarely: 'burning-smell' },
    {
      always: 'finger-turn=free-no-drag sole-plate-look=belt-missing run-seconds=roll-none roll-speed=speed-none',
      often: 'motor-current=current-low',
    },
    ['Fit a new belt', 6, 'roll-out', ['belt']],
  ),
  fault(
    ['belt-off-track', 'Belt off its track'],
    { always: 'roll-not-turning', rarely: 'squeal' },
    {
      always: 'finger-turn=free-no-drag sole-plate-look=belt-off-track run-seconds=roll-none roll-speed=speed-none',
      often: 'motor-current=current-low',
    },
    ['Put the belt back on', 5, 'roll-out'],
  ),
  fault(
    ['belt-slipping', 'Belt slipping, stretched or glazed'],
    { usually: 'roll-slow', often: 'burning-smell roll-stops-and-starts', sometimes: 'squeal roll-not-turning' },
    {
      usually: 'sole-plate-look=belt-glazed roll-speed=speed-low',
      often: `belt-against-new=belt-stretched run-seconds=roll-slow run-seconds=smell-burning
        sole-plate-look=rubber-crumbs`,
      sometimes: 'run-seconds=sound-squeal shaft-look=shaft-rubbered',
      rarely: 'finger-turn=free-no-drag run-seconds=roll-bursts',
    },
    ['Fit a new belt', 6, 'roll-out', ['belt']],
  ),
  fault(
    ['belt-teeth-worn', 'Belt teeth worn'],
    { usually: 'ratchet-noise', often: 'roll-slow', sometimes: 'roll-not-turning roll-stops-and-starts' },
    {
      usually: 'sole-plate-look=belt-teeth-worn',
      often: 'run-seconds=roll-slow run-seconds=sound-ratchet roll-speed=speed-low',
      rarely: 'finger-turn=free-no-drag',
    },
    ['Fit a new toothed belt', 6, 'roll-out', ['belt']],
  ),
  fault(
    ['belt-brittle', 'Belt cracked or brittle'],
    { sometimes: 'roll-slow roll-stops-and-starts', rarely: 'ratchet-noise roll-not-turning' },
    { always: 'sole-plate-look=belt-cracked', sometimes: 'sole-plate-look=rubber-crumbs roll-speed=speed-low' },
    ['Fit a new belt before it breaks', 6, 'roll-out', ['belt']],
  ),
  fault(
    ['roll-bound-by-hair', 'Roll bound by hair'],
    {
      often: 'roll-slow roll-stops-and-starts burning-smell',
      sometimes: 'roll-not-turning',
      rarely: 'bad-smell squeal',
    },
    {
      always: 'sole-plate-look=hair-much end-cap-look=caps-hair-packed',
      usually: 'finger-turn=stiff',
      often: 'roll-speed=speed-low motor-current=current-over',
      sometimes: 'run-seconds=roll-slow run-seconds=smell-burning',
      rarely: 'run-seconds=roll-bursts run-seconds=roll-none',
    },
    ['Cut the hair off roll and caps', 8, 'roll-out'],
  ),
  fault(
    ['roll-jammed-by-object', 'Roll jammed by an object'],
    { usually: 'roll-not-turning', often: 'ratchet-noise', sometimes: 'burning-smell', rarely: 'rattle' },
    {
      always: 'finger-turn=stuck sole-plate-look=object',
      usually: 'run-seconds=roll-none motor-current=current-over',
      often: 'run-seconds=sound-ratchet',
      sometimes: 'breaker-reset=clicked',
    },
    ['Take the object out, turn by hand', 3, 'sole-plate'],
  ),
  fault(
    ['bearing-rough', 'Roll bearing rough'],
    { often: 'squeal', sometimes: 'roll-slow rattle', rarely: 'burning-smell roll-not-turning' },
    {
      usually: 'finger-turn=grates bearing-feel=bearing-rough',
      often: 'run-seconds=sound-squeal',
      sometimes: 'roll-speed=speed-low motor-current=current-over',
      rarely: 'bearing-feel=bearing-doubt bearing-feel=bearing-seized end-cap-look=caps-seized',
    },
    ['Fit new roll bearings as a pair', 10, 'roll-out', ['bearing']],
  ),
  fault(
    ['endcap-misseated', 'End cap not in its notch'],
    { usually: 'rattle', sometimes: 'roll-slow roll-not-turning' },
    {
      always: 'end-cap-look=caps-mis-seated',
      usually: 'run-seconds=sound-rattle',
      often: 'finger-turn=stiff',
      sometimes: 'run-seconds=roll-slow',
    },
    ['Seat the cap, turn by hand', 3, 'roll-out'],
  ),
  fault(
    ['bristles-worn', 'Bristles worn short'],
    { often: 'roll-slow', rarely: 'weak-suction' },
    { always: 'bristle-height=bristles-short bristle-height=short-on-last' },
    ['Fit a new roll', 6, 'roll-out', ['roll']],
  ),
  // A step that is left costs nothing; a new roll comes after the last one.
  fault(
    ['roll-set-low', 'Roll sits low, a step is left'],
    { often: 'roll-slow', rarely: 'weak-suction' },
    { always: 'bristle-height=short-step-left' },
    ['Set both ends one step on, the same number', 4, 'outside'],
  ),
  fault(['sole-plate-caked', 'Sole plate caked'], { often: 'hard-to-push' }, { always: 'bristle-height=face-caked' }, [
    'Scrub the sole plate, polish it, push it',
    4,
    'outside',
  ]),
  fault(['roll-mouldy', 'Roll mouldy'], { always: 'bad-smell' }, { always: 'sole-plate-look=roll-mildewed' }, [
    'Fit a new roll: mould is not washed out',
    8,
    'roll-out',
    ['roll'],
  ]),
  fault(
    ['height-wrong', 'Height setting wrong'],
    { often: 'roll-slow hard-to-push' },
    { usually: 'floor-setting=hard-floor', often: 'bristle-height=too-proud' },
    ['Set the height to the carpet, push it', 1, 'outside'],
  ),
  fault(
    ['floor-setting-wrong', 'Floor setting keeps the roll off'],
    { always: 'roll-not-turning' },
    {
      usually: 'floor-setting=hard-floor run-seconds=roll-none roll-speed=speed-none',
      often: 'motor-current=current-low',
      sometimes: 'head-socket-volts@roll-on=ghost head-socket-volts@roll-on=none head-lamp-look=lamp-dark',
      rarely: 'floor-setting=parked',
    },
    ['Set it to carpet, lean it back', 1, 'outside'],
  ),
  fault(
    ['rubber-on-shaft', 'Melted rubber on the motor shaft'],
    { often: 'burning-smell', sometimes: 'roll-slow squeal' },
    {
      always: 'shaft-look=shaft-rubbered',
      often: 'run-seconds=smell-burning',
      sometimes: 'sole-plate-look=heat-marks roll-speed=speed-low',
    },
    ['Wipe the shaft clean, new belt', 8, 'roll-out', ['belt']],
  ),
  fault(
    ['belt-cover-off', 'Belt cover loose or missing'],
    { usually: 'rattle', sometimes: 'ratchet-noise' },
    { always: 'shaft-look=cover-loose', usually: 'run-seconds=sound-rattle' },
    ['Seat or replace the belt cover', 3, 'sole-plate'],
  ),
  fault(
    ['motor-sprocket-worn', 'Motor sprocket worn'],
    { usually: 'ratchet-noise', sometimes: 'roll-slow' },
    {
      always: 'sprocket-look=motor-sprocket-worn',
      usually: 'run-seconds=sound-ratchet',
      sometimes: 'roll-speed=speed-low',
    },
    ['Fit a new motor sprocket and belt', 18, 'head', ['drive', 'belt']],
  ),
  fault(
    ['roll-sprocket-worn', 'Roll sprocket worn'],
    { usually: 'ratchet-noise', sometimes: 'roll-slow' },
    {
      always: 'sprocket-look=roll-sprocket-worn',
      usually: 'run-seconds=sound-ratchet',
      sometimes: 'roll-speed=speed-low',
    },
    ['Fit a new roll and belt', 8, 'roll-out', ['roll', 'belt']],
  ),
  fault(['wheels-bound', 'Wheels bound'], { usually: 'hard-to-push' }, { always: 'frame-look=wheels-bound' }, [
    'Clear the wheels, roll it',
    5,
    'outside',
    [],
    false,
  ]),
  fault(['handle-lock-worn', 'Handle lock worn'], { always: 'will-not-stand' }, { always: 'frame-look=lock-slips' }, [
    'Fit a new handle lock',
    12,
    'sole-plate',
    [],
    false,
  ]),
  fault(
    ['housing-cracked', 'Housing cracked'],
    { often: 'rattle', sometimes: 'weak-suction' },
    { always: 'frame-look=housing-cracked', often: 'run-seconds=sound-rattle' },
    ['Replace the cracked shell', 25, 'outside'],
  ),
  fault(
    ['screws-missing', 'Screws missing'],
    { sometimes: 'rattle', rarely: 'weak-suction' },
    { always: 'frame-look=screw-missing' },
    ['Fit screws of that length and drive', 4, 'outside', [], false],
  ),
  fault(
    ['latch-broken', 'Latch broken'],
    { often: 'weak-suction', sometimes: 'rattle blows-dust' },
    { always: 'frame-look=latch-broken', often: 'inlet-vacuum=machine-weak' },
    ['Fit a new latch', 5, 'outside'],
  ),
];
