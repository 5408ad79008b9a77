import type { FaultText } from '../assemble';
import { fault } from '../write';

/** Weak from the machine's own inlet on. */
const weakAll = {
  'inlet-vacuum=machine-weak': 'usually',
  'inlet-vacuum=hose-weak': 'usually',
  'inlet-vacuum=wand-weak': 'usually',
  'inlet-vacuum=head-weak': 'usually',
} as const;

/** The machine is good, its floor end is not. */
const weakAtHead = { 'inlet-vacuum=head-weak': 'usually' } as const;

/** Air paths that only some constructions have. How surely each shows: common practice, no source. */
export const pathFaults: FaultText[] = [
  fault(
    'u-bend-missing',
    'U-bend missing or loose',
    { 'weak-only-upright': 'always', 'weak-suction': 'rarely' },
    { 'u-bend-fitted=u-bend-off': 'always' },
    ['Fit the U-bend', 3, 'outside'],
  ),
  fault(
    'u-bend-clogged',
    'U-bend clogged',
    { 'no-suction': 'usually', 'weak-suction': 'often' },
    { 'u-bend-fitted=u-bend-blocked': 'always', ...weakAtHead },
    ['Clear the U-bend', 4, 'outside'],
  ),
  fault(
    'bag-door-leak',
    'Bag door leaks',
    { 'weak-suction': 'usually', 'blows-dust': 'sometimes' },
    { 'seal-look=bag-door-fault': 'always', ...weakAll },
    ['Fit or seat the bag door’s seal', 5, 'outside', ['seal']],
  ),
  fault(
    'bag-clogged',
    'Bag pores clogged',
    { 'weak-suction': 'usually', 'bad-smell': 'often', 'blows-dust': 'rarely' },
    { 'bag-or-bin=bag-clogged': 'always', ...weakAll },
    ['Fit a new bag', 2, 'outside', ['filter']],
  ),
  fault(
    'sealant-joint-leaking',
    'Sealed joint of the fan housing leaks',
    { 'weak-suction': 'usually', 'blows-dust': 'sometimes' },
    { 'sealant-look=joint-leaks': 'always', 'run-seconds=sound-hiss': 'often', ...weakAll },
    ['Clean and seal the joint, let it cure', 20, 'fan-chamber', ['seal']],
  ),
  fault(
    'fan-chamber-packed',
    'Fan chamber packed',
    { 'no-suction': 'often', 'weak-suction': 'usually', 'burning-smell': 'sometimes' },
    { 'fan-chamber-look=chamber-packed': 'always', 'inlet-vacuum=machine-none': 'often' },
    ['Clear the fan chamber', 8, 'fan-chamber'],
  ),
  fault(
    'felt-gasket-worn',
    'Felt gasket worn',
    { 'blows-dust': 'usually', 'weak-suction': 'often' },
    { 'fan-chamber-look=felt-worn': 'always', ...weakAll },
    ['Fit a new felt gasket', 6, 'fan-chamber', ['seal']],
  ),
  fault(
    'fill-tube-clogged',
    'Fill tube clogged',
    { 'no-suction': 'usually', 'weak-suction': 'often', 'blows-dust': 'sometimes' },
    { 'fill-tube-look=tube-clogged': 'always', ...weakAll },
    ['Clear the fill tube', 4, 'outside'],
  ),
  fault(
    'swivel-neck-cracked',
    'Swivel neck cracked',
    { 'weak-suction': 'usually', 'blows-dust': 'often' },
    { 'fill-tube-look=neck-cracked': 'always' },
    ['Fit a new swivel neck', 10, 'outside', ['seal']],
  ),
  fault(
    'handle-gasket-leaking',
    'Handle gasket leaks',
    { 'blows-dust': 'usually', 'weak-suction': 'sometimes' },
    { 'fill-tube-look=handle-gasket-gone': 'always' },
    ['Fit a new handle gasket', 6, 'outside', ['seal']],
  ),
  fault(
    'breather-clogged',
    'Breather filter clogged',
    { 'burning-smell': 'often', 'stops-after-minutes': 'often' },
    { 'breather-look=breather-caked': 'always', 'trip-time=trip-late': 'sometimes' },
    ['Clean or renew the breather filter', 3, 'outside', ['filter']],
  ),
  fault(
    'emptying-shoe-leaking',
    'Emptying shoe leaks',
    { 'blows-dust': 'usually', 'weak-suction': 'often' },
    { 'shoe-look=shoe-leaks': 'always', ...weakAll },
    ['Fit or seat the shoe', 5, 'outside', ['seal']],
  ),
  fault(
    'ingest-bar-missing',
    'Ingest bar missing or bent',
    { 'takes-in-rugs': 'always', 'roll-stops-and-starts': 'sometimes' },
    { 'sole-plate-look=bar-bent': 'always' },
    ['Fit a new bar', 5, 'sole-plate', ['roll']],
  ),
  fault(
    'neck-clogged',
    'Neck clogged',
    { 'no-suction': 'often', 'weak-suction': 'usually' },
    {
      'neck-look=neck-blocked': 'always',
      'inlet-vacuum=head-none': 'usually',
    },
    ['Clear the neck', 5, 'outside'],
  ),
  fault(
    'mesh-matted',
    'Shroud mesh matted',
    { 'weak-suction': 'usually', 'stops-after-minutes': 'rarely' },
    { 'cyclone-look=mesh-matted': 'always', ...weakAll },
    ['Brush the mesh clean', 4, 'outside'],
  ),
  fault(
    'central-unit-weak',
    'Central unit weak or full',
    { 'weak-suction': 'usually', 'roll-slow': 'often', 'no-suction': 'sometimes' },
    {
      'wall-inlet-vacuum=wall-weak': 'always',
      'run-seconds=roll-slow': 'often',
      'roll-speed=speed-low': 'often',
      ...weakAll,
    },
    ['Empty the central unit, see to its filter', 15, 'outside'],
  ),
  fault(
    'nozzle-base-cracked',
    'Nozzle base cracked',
    { rattle: 'often', 'weak-only-in-floor-mode': 'often', 'roll-slow': 'rarely' },
    { 'frame-look=base-cracked': 'always', ...weakAtHead },
    ['Fit a new nozzle base', 15, 'sole-plate'],
  ),
  fault('detent-worn', 'Neck detent worn', { 'will-not-stand': 'always' }, { 'frame-look=detent-worn': 'always' }, [
    'Fit a new detent',
    12,
    'outside',
    [],
    false,
  ]),
  fault(
    'housing-detent-worn',
    'Detent on the fan housing worn',
    { 'will-not-stand': 'always' },
    { 'frame-look=housing-detent-worn': 'always' },
    ['Fit a new detent piece', 15, 'fan-chamber', [], false],
  ),
  fault(
    'foam-sleeve-missing',
    'Foam sleeve missing for wet work',
    { 'blows-water': 'always', 'harsh-motor': 'rarely' },
    { 'float-free=sleeve-missing': 'always' },
    ['Fit the foam sleeve, dry the motor', 3, 'outside', ['filter']],
  ),
  fault(
    'drum-seal-leaking',
    'Drum seal leaks',
    { 'weak-suction': 'usually', leaks: 'rarely' },
    { 'lid-gasket=gasket-bad': 'always', ...weakAll },
    ['Fit or seat the drum seal', 4, 'outside', ['seal']],
  ),
  fault('drain-leaking', 'Drain cap leaks', { leaks: 'always' }, { 'drain-look=drain-drips': 'always' }, [
    'Fit a new drain cap or seal',
    3,
    'outside',
    ['seal'],
    false,
  ]),
];
