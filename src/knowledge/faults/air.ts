import type { FaultText } from '../assemble';
import { fault } from '../write';
import { losesFrom, weakEverywhere } from './shown';

/** Floor to exhaust. How common, and how surely each shows: common practice, no source. */
export const airFaults: FaultText[] = [
  fault(
    ['filter-clogged', 'Pre-motor filter clogged'],
    { usually: 'weak-suction', often: 'indicator-red', sometimes: 'no-suction bad-smell', rarely: 'burning-smell' },
    [{ always: 'filter-look=filter-caked' }, weakEverywhere],
    ['Wash or replace the filter', 4, 'filter-bay', ['filter']],
  ),
  // Washed is not new: nothing is fitted.
  fault(
    ['filter-dirty', 'Pre-motor filter grey'],
    { sometimes: 'weak-suction', rarely: 'bad-smell' },
    { always: 'filter-look=filter-grey', rarely: 'inlet-vacuum=machine-weak' },
    ['Wash the filter, dry it a day', 3, 'filter-bay'],
    {},
    { waits: true },
  ),
  fault(
    ['felt-clogged', 'Pre-motor felt clogged'],
    { usually: 'weak-suction', rarely: 'no-suction' },
    [{ always: 'filter-look=felt-caked' }, weakEverywhere],
    ['Replace the felt', 3, 'filter-bay', ['filter']],
  ),
  fault(
    ['exhaust-filter-clogged', 'Exhaust filter clogged'],
    { often: 'weak-suction bad-smell' },
    { always: 'exhaust-filter-look=exhaust-clogged', rarely: 'inlet-vacuum=machine-weak' },
    ['Fit a new exhaust filter', 2, 'outside', ['filter']],
  ),
  fault(
    ['exhaust-filter-apart', 'Exhaust filter fallen apart'],
    { always: 'blows-dust' },
    { always: 'exhaust-filter-look=exhaust-apart' },
    ['Clear its crumbs, fit a new exhaust filter', 4, 'outside', ['filter']],
  ),
  fault(
    ['bag-or-bin-full', 'Bag or bin over full'],
    { usually: 'weak-suction', sometimes: 'bad-smell indicator-red', rarely: 'no-suction blows-dust' },
    [{ always: 'bag-or-bin=over-full' }, weakEverywhere],
    ['Empty it', 2, 'outside'],
  ),
  fault(['bag-missing', 'Bag missing or not seated'], { always: 'blows-dust' }, { always: 'bag-or-bin=bag-missing' }, [
    'Fit a bag, clean the motor inlet',
    4,
    'filter-bay',
    ['filter'],
  ]),
  fault(
    ['hose-clogged', 'Hose clogged'],
    { usually: 'no-suction', often: 'weak-suction', sometimes: 'indicator-red' },
    [{ always: 'hose-drop=held' }, losesFrom('hose', 'none')],
    ['Clear the hose', 5, 'hose-off'],
  ),
  fault(
    ['wand-clogged', 'Wand clogged'],
    { often: 'no-suction weak-suction' },
    [{ always: 'wand-look=wand-blocked' }, losesFrom('wand', 'none')],
    ['Clear the wand', 4, 'outside'],
  ),
  fault(
    ['head-duct-clogged', 'Duct behind the roll clogged'],
    { usually: 'weak-only-in-floor-mode', often: 'weak-suction', sometimes: 'no-suction' },
    [{ always: 'head-duct-look=duct-blocked' }, losesFrom('head', 'none')],
    ['Clear the duct', 5, 'sole-plate'],
  ),
  fault(
    ['head-mouth-blocked', 'Something across the head’s mouth'],
    { often: 'weak-only-in-floor-mode', sometimes: 'weak-suction', rarely: 'rattle' },
    [{ always: 'sole-plate-look=mouth-blocked' }, losesFrom('head', 'weak')],
    ['Take it out', 2, 'sole-plate'],
  ),
  fault(
    ['cyclone-plugged', 'Mesh or cyclone plugged'],
    { usually: 'weak-suction', rarely: 'blows-dust' },
    [{ always: 'cyclone-look=cyclone-matted', sometimes: 'filter-look=filter-grey' }, weakEverywhere],
    ['Clean the mesh and cones, dry', 15, 'filter-bay'],
  ),
  fault(
    ['cones-some-plugged', 'Some cones plugged'],
    { often: 'weak-suction' },
    { always: 'cyclone-look=cyclone-some', sometimes: 'filter-look=filter-grey inlet-vacuum=machine-weak' },
    ['Clear the plugged cones from below, dry', 8, 'filter-bay'],
  ),
  fault(
    ['hose-split', 'Hose split'],
    { usually: 'weak-suction' },
    [{ always: 'hose-split=fault' }, losesFrom('hose', 'weak')],
    ['Fit a new hose', 6, 'hose-off', ['hose']],
  ),
  fault(
    ['handle-cracked', 'Handle duct cracked'],
    { often: 'weak-suction' },
    [{ always: 'hose-split=handle-cracked' }, losesFrom('hose', 'weak')],
    ['Fit a new handle shell', 15, 'handle'],
  ),
  fault(
    ['neck-hose-split', 'Neck hose split'],
    { usually: 'weak-only-in-floor-mode', often: 'weak-suction' },
    [{ always: 'neck-hose-split=fault' }, losesFrom('head', 'weak')],
    ['Fit a new neck hose', 8, 'sole-plate', ['hose']],
  ),
  fault(
    ['changeover-leaking', 'Change-over flap leaks'],
    { usually: 'weak-only-in-floor-mode', sometimes: 'weak-suction' },
    [{ always: 'changeover-look=flap-leaks' }, losesFrom('head', 'weak')],
    ['Free and clean the flap', 8, 'hose-off'],
  ),
  fault(
    ['seal-leaking', 'Motor seal leaks'],
    { usually: 'weak-suction', sometimes: 'blows-dust' },
    [{ usually: 'seal-look=fault' }, weakEverywhere],
    ['Fit or seat the seal', 8, 'filter-bay', ['seal']],
  ),
  fault(
    ['bin-gasket-leaking', 'Bin gasket leaks'],
    { usually: 'weak-suction' },
    [{ always: 'seal-look=bin-gasket-fault' }, weakEverywhere],
    ['Fit or seat the gasket', 3, 'outside', ['seal']],
  ),
  fault(
    ['pre-filter-disintegrated', 'Pre-motor filter falling apart'],
    { always: 'blows-dust', rarely: 'bad-smell' },
    {
      usually: 'filter-look=filter-disintegrated',
      sometimes: 'wet-signs=filter-swollen',
      rarely: 'filter-look=filter-torn',
    },
    ['Fit a new filter, clean the motor inlet', 5, 'filter-bay', ['filter']],
  ),
];
