import type { FaultText } from '../assemble';
import { fault } from '../write';
import { losesFrom } from './shown';

const noPickUp = losesFrom('head', 'weak');

/** Solution out, dirty water back. How surely each shows: common practice, no source. */
export const waterFaults: FaultText[] = [
  fault(
    ['solution-stale', 'Solution left in the tank'],
    { always: 'bad-smell', often: 'foams', rarely: 'no-solution' },
    { always: 'tank-look=solution-stale', often: 'operator-ask=not-rinsed' },
    ['Drain and rinse, leave the lid open; show the operator', 15, 'outside', [], false],
  ),
  fault(
    ['tank-screen-blocked', 'Tank screen blocked'],
    { always: 'no-solution' },
    { always: 'tank-screen-look=screen-blocked', often: 'solution-flow=flow-none solution-flow=flow-low' },
    ['Clean the screen', 4, 'tanks-open', [], false],
  ),
  fault(
    ['solution-filter-blocked', 'Solution filter blocked'],
    { always: 'no-solution' },
    { always: 'solution-filter-look=solution-filter-clogged', often: 'solution-flow=flow-none solution-flow=flow-low' },
    ['Clean the solution filter', 3, 'outside', [], false],
    { rarely: 'solution-stale' },
  ),
  fault(
    ['valve-shut', 'Valve shut or stuck'],
    { always: 'no-solution' },
    { always: 'valve-position=valve-closed solution-flow=flow-none' },
    ['Open or free the valve', 3, 'outside', [], false],
  ),
  fault(
    ['solenoid-failed', 'Solenoid valve failed'],
    { usually: 'no-solution', rarely: 'leaks' },
    { always: 'valve-position=valve-silent', usually: 'solution-flow=flow-none' },
    ['Fit a new valve', 20, 'tanks-open', ['switch']],
  ),
  fault(
    ['tube-blocked', 'Solution tube blocked'],
    { always: 'no-solution', sometimes: 'leaves-streaks' },
    { always: 'tube-look=tube-clogged', often: 'solution-flow=flow-none solution-flow=flow-low' },
    ['Rod and flush the tube', 8, 'deck', ['hose'], false],
  ),
  fault(
    ['jets-blocked', 'Spray jets blocked'],
    { usually: 'leaves-streaks', often: 'no-solution' },
    { always: 'jet-look=jet-blocked', usually: 'solution-flow=flow-low' },
    ['Soak and clear the jets', 6, 'outside', [], false],
  ),
  fault(['tank-cracked', 'Solution tank cracked'], { always: 'leaks' }, { always: 'tank-look=tank-crack' }, [
    'Fit a new tank',
    20,
    'tanks-open',
    [],
    false,
  ]),
  fault(
    ['solution-joint-leaking', 'Solution joint leaks'],
    { always: 'leaks', rarely: 'no-solution' },
    { always: 'tube-look=tube-drips' },
    ['Cut back and refit the joint', 6, 'deck', ['hose'], false],
  ),
  fault(
    ['squeegee-worn', 'Squeegee edges worn'],
    { usually: 'leaves-water leaves-streaks' },
    { always: 'squeegee-edges=edges-worn' },
    ['Turn the blades to a fresh edge, or renew', 12, 'outside', ['squeegee'], false],
  ),
  fault(
    ['squeegee-reversed', 'Squeegee blades the wrong way'],
    { usually: 'leaves-water', often: 'leaves-streaks' },
    { always: 'squeegee-edges=blades-reversed' },
    ['Turn them: outer grooves out, inner in', 12, 'outside', [], false],
  ),
  fault(
    ['squeegee-tilted', 'Squeegee not level'],
    { usually: 'leaves-streaks', often: 'leaves-water', rarely: 'wears-one-side' },
    { always: 'squeegee-deflection=deflection-uneven' },
    ['Level the squeegee on a flat floor', 8, 'outside', [], false],
    { sometimes: 'driven-over-ramps' },
  ),
  fault(
    ['inlet-blocked', 'Squeegee inlet blocked'],
    { always: 'leaves-water', sometimes: 'no-suction' },
    [{ always: 'inlets-clear=inlet-front-blocked' }, noPickUp],
    ['Clear the inlet', 4, 'outside', [], false],
  ),
  fault(
    ['inlet-rear-blocked', 'Rear inlet blocked'],
    { usually: 'leaves-water', sometimes: 'leaves-streaks' },
    [{ always: 'inlets-clear=inlet-rear-blocked' }, noPickUp],
    ['Clear the rear inlet', 4, 'outside', [], false],
  ),
  fault(
    ['vac-hose-damaged', 'Suction hose split or clogged'],
    { usually: 'leaves-water weak-suction' },
    [{ always: 'vac-hose-look=vac-hose-bad', usually: 'inlet-vacuum=hose-weak' }, noPickUp],
    ['Clear or renew the hose', 8, 'outside', ['hose'], false],
  ),
  fault(
    ['lid-gasket-off', 'Lid gasket off or flat'],
    { usually: 'leaves-water weak-suction' },
    [{ always: 'lid-gasket=gasket-bad', usually: 'inlet-vacuum=machine-weak' }, noPickUp],
    ['Seat or renew the gasket', 5, 'outside', ['seal'], false],
  ),
  fault(
    ['vac-filter-lid-warped', 'Lid of the suction filter warped'],
    { usually: 'leaves-water weak-suction' },
    [{ always: 'vac-lid-warp=vac-lid-warped', usually: 'inlet-vacuum=machine-weak' }, noPickUp],
    ['Fit a new lid', 4, 'tanks-open', ['seal'], false],
  ),
  fault(
    ['float-fouled', 'Float fouled'],
    { always: 'recovery-overflows', rarely: 'harsh-motor' },
    { always: 'float-free=float-stuck' },
    ['Clean the float and its cage', 5, 'outside', [], false],
    { rarely: 'solution-stale' },
  ),
  fault(
    ['float-shut', 'Float hangs shut'],
    { usually: 'leaves-water no-suction' },
    { always: 'float-free=float-hangs-shut', usually: 'inlet-vacuum=machine-none' },
    ['Free the float', 4, 'outside', [], false],
  ),
  fault(
    ['recovery-full', 'Recovery tank full'],
    { usually: 'leaves-water', often: 'no-suction', rarely: 'recovery-overflows' },
    { always: 'tank-look=recovery-is-full', often: 'inlet-vacuum=machine-none' },
    ['Empty and rinse the tank', 4, 'outside', [], false],
  ),
  fault(
    ['intake-screen-blocked', 'Intake screen blocked'],
    { usually: 'leaves-water weak-suction' },
    [{ always: 'intake-screen=intake-caked', usually: 'inlet-vacuum=machine-weak' }, noPickUp],
    ['Brush the screen dry, no running water', 4, 'outside', [], false],
  ),
  fault(
    ['skirts-worn', 'Skirts worn'],
    { always: 'throws-water', sometimes: 'leaves-water' },
    { always: 'skirt-look=skirt-torn' },
    ['Fit new skirts', 15, 'outside', ['squeegee'], false],
    { sometimes: 'driven-over-ramps' },
  ),
  fault(
    ['dirty-tank-gasket', 'Recovery tank gasket leaks'],
    { usually: 'weak-suction', sometimes: 'leaks' },
    { always: 'lid-gasket=gasket-bad', usually: 'inlet-vacuum=machine-weak' },
    ['Seat or renew the gasket', 4, 'outside', ['seal'], false],
  ),
  fault(
    ['vac-motor-failed', 'Suction motor failed'],
    { always: 'no-suction', usually: 'leaves-water', sometimes: 'burning-smell' },
    {
      always: 'armature-sound=armature-dead inlet-vacuum=machine-none',
      usually: 'past-the-brushes=past-open',
      often: 'wind-down-listen=wind-abrupt suction-motor-ohms@winding=winding-open',
      sometimes: 'suction-motor-ohms@winding=winding-shorted motor-spin=spin-stuck',
    },
    ['Fit a new suction motor', 30, 'motor-bay', ['motor']],
    { rarely: 'motor-wet' },
  ),
  fault(
    ['vac-brushes-worn', 'Carbon brushes of the suction motor worn'],
    { often: 'no-suction leaves-water sparks' },
    { always: 'carbon-brush-length=brushes-short', sometimes: 'inlet-vacuum=machine-none' },
    ['Fit new carbon brushes, bed them in', 12, 'motor-bay', ['carbon']],
  ),
];
