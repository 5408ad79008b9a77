import type { FaultText } from '../assemble';
import { fault } from '../write';
import { losesFrom, weakEverywhere } from './shown';

/** The machine is good, its floor end is not. */
const weakAtHead = losesFrom('head', 'weak');

/** Air paths that only some constructions have. How surely each shows: common practice, no source. */
export const pathFaults: FaultText[] = [
  fault(
    ['u-bend-missing', 'U-bend missing or loose'],
    { always: 'weak-only-upright', rarely: 'weak-suction' },
    { always: 'u-bend-fitted=u-bend-off' },
    ['Fit the U-bend', 3, 'outside'],
  ),
  fault(
    ['u-bend-clogged', 'U-bend clogged'],
    { usually: 'no-suction', often: 'weak-suction' },
    [{ always: 'u-bend-fitted=u-bend-blocked' }, weakAtHead],
    ['Clear the U-bend', 4, 'outside'],
  ),
  fault(
    ['bag-door-leak', 'Bag door leaks'],
    { usually: 'weak-suction', sometimes: 'blows-dust' },
    [{ always: 'seal-look=bag-door-fault' }, weakEverywhere],
    ['Fit or seat the bag door’s seal', 5, 'outside', ['seal']],
  ),
  fault(
    ['bag-clogged', 'Bag pores clogged'],
    { usually: 'weak-suction', often: 'bad-smell', rarely: 'blows-dust' },
    [{ always: 'bag-or-bin=bag-clogged' }, weakEverywhere],
    ['Fit a new bag', 2, 'outside', ['filter']],
  ),
  fault(
    ['sealant-joint-leaking', 'Sealed joint of the fan housing leaks'],
    { usually: 'weak-suction', sometimes: 'blows-dust' },
    [{ always: 'sealant-look=joint-leaks', often: 'run-seconds=sound-hiss' }, weakEverywhere],
    ['Clean and seal the joint, let it cure', 20, 'fan-chamber', ['seal']],
  ),
  fault(
    ['fan-chamber-packed', 'Fan chamber packed'],
    { usually: 'weak-suction', often: 'no-suction', sometimes: 'burning-smell' },
    { always: 'fan-chamber-look=chamber-packed', often: 'inlet-vacuum=machine-none' },
    ['Clear the fan chamber', 8, 'fan-chamber'],
  ),
  fault(
    ['felt-gasket-worn', 'Felt gasket worn'],
    { usually: 'blows-dust', often: 'weak-suction' },
    [{ always: 'fan-chamber-look=felt-worn' }, weakEverywhere],
    ['Fit a new felt gasket', 6, 'fan-chamber', ['seal']],
  ),
  fault(
    ['fill-tube-clogged', 'Fill tube clogged'],
    { usually: 'no-suction', often: 'weak-suction', sometimes: 'blows-dust' },
    [{ always: 'fill-tube-look=tube-clogged' }, weakEverywhere],
    ['Clear the fill tube', 4, 'outside'],
  ),
  fault(
    ['swivel-neck-cracked', 'Swivel neck cracked'],
    { usually: 'weak-suction', often: 'blows-dust' },
    { always: 'fill-tube-look=neck-cracked' },
    ['Fit a new swivel neck', 10, 'outside', ['seal']],
  ),
  fault(
    ['handle-gasket-leaking', 'Handle gasket leaks'],
    { usually: 'blows-dust', sometimes: 'weak-suction' },
    { always: 'fill-tube-look=handle-gasket-gone' },
    ['Fit a new handle gasket', 6, 'outside', ['seal']],
  ),
  fault(
    ['breather-clogged', 'Breather filter clogged'],
    { often: 'burning-smell stops-after-minutes' },
    { always: 'breather-look=breather-caked', sometimes: 'trip-time=trip-late' },
    ['Clean or renew the breather filter', 3, 'outside', ['filter']],
  ),
  fault(
    ['emptying-shoe-leaking', 'Emptying shoe leaks'],
    { usually: 'blows-dust', often: 'weak-suction' },
    [{ always: 'shoe-look=shoe-leaks' }, weakEverywhere],
    ['Fit or seat the shoe', 5, 'outside', ['seal']],
  ),
  fault(
    ['ingest-bar-missing', 'Ingest bar missing or bent'],
    { always: 'takes-in-rugs', sometimes: 'roll-stops-and-starts' },
    { always: 'sole-plate-look=bar-bent' },
    ['Fit a new bar', 5, 'sole-plate', ['roll']],
  ),
  fault(
    ['neck-clogged', 'Neck clogged'],
    { usually: 'weak-suction', often: 'no-suction' },
    { always: 'neck-look=neck-blocked', usually: 'inlet-vacuum=head-none' },
    ['Clear the neck', 5, 'outside'],
  ),
  fault(
    ['mesh-matted', 'Shroud mesh matted'],
    { usually: 'weak-suction', rarely: 'stops-after-minutes' },
    [{ always: 'cyclone-look=mesh-matted' }, weakEverywhere],
    ['Brush the mesh clean', 4, 'outside'],
  ),
  fault(
    ['central-unit-weak', 'Central unit weak or full'],
    { usually: 'weak-suction', often: 'roll-slow', sometimes: 'no-suction' },
    [{ always: 'wall-inlet-vacuum=wall-weak', often: 'run-seconds=roll-slow roll-speed=speed-low' }, weakEverywhere],
    ['Empty the central unit, see to its filter', 15, 'outside'],
  ),
  fault(
    ['nozzle-base-cracked', 'Nozzle base cracked'],
    { often: 'rattle weak-only-in-floor-mode', rarely: 'roll-slow' },
    [{ always: 'frame-look=base-cracked' }, weakAtHead],
    ['Fit a new nozzle base', 15, 'sole-plate'],
  ),
  fault(['detent-worn', 'Neck detent worn'], { always: 'will-not-stand' }, { always: 'frame-look=detent-worn' }, [
    'Fit a new detent',
    12,
    'outside',
    [],
    false,
  ]),
  fault(
    ['housing-detent-worn', 'Detent on the fan housing worn'],
    { always: 'will-not-stand' },
    { always: 'frame-look=housing-detent-worn' },
    ['Fit a new detent piece', 15, 'fan-chamber', [], false],
  ),
  fault(
    ['foam-sleeve-missing', 'Foam sleeve missing for wet work'],
    { always: 'blows-water', rarely: 'harsh-motor' },
    { always: 'float-free=sleeve-missing' },
    ['Fit the foam sleeve, dry the motor', 3, 'outside', ['filter']],
  ),
  fault(
    ['drum-seal-leaking', 'Drum seal leaks'],
    { usually: 'weak-suction', rarely: 'leaks' },
    [{ always: 'lid-gasket=gasket-bad' }, weakEverywhere],
    ['Fit or seat the drum seal', 4, 'outside', ['seal']],
  ),
  fault(['drain-leaking', 'Drain cap leaks'], { always: 'leaks' }, { always: 'drain-look=drain-drips' }, [
    'Fit a new drain cap or seal',
    3,
    'outside',
    ['seal'],
    false,
  ]),
];
