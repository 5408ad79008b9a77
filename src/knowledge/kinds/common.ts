import type { Kind, Station } from '@/core/diagnosis/knowledge';
import type { AccessText, Placement } from '../assemble';
import { access, stations } from '../write';

/** Figures of a kind are common practice, no source. */
export const basis: Kind['basis'] = 'common practice, no source';

export const mainsPower: Station[] = stations(
  'outlet; plug; cord (wears); cord-grip; main-switch; cut-out: cut-out (optional)',
);

export const frame: Station[] = stations('housing; latches; gaskets (wears); wheels; handle-lock');

export const filterBay: AccessText = access('filter-bay', 'filter bay', ['pre-filter', 'pre-foam', 'pre-felt']);
export const hoseOff: AccessText = access('hose-off', 'hose off', ['hose']);
export const solePlate: AccessText = access('sole-plate', 'sole plate off', [
  'roll',
  'flat-belt',
  'toothed-belt',
  'roll-belt',
  'head-mouth',
  'head-duct',
  'neck-hose',
  'motor-shaft',
  'belt-cover',
]);
export const rollOut: AccessText = access(
  'roll-out',
  'roll out',
  ['end-caps', 'roll-bearings', 'brush-motor-sprocket', 'roll-sprocket'],
  { needs: 'sole-plate', closedForPower: true },
);
export const headOpen = (bares: string[]): AccessText =>
  access('head', 'head open', bares, { needs: 'sole-plate', closedForPower: true });
export const motorBay = (bares: string[]): AccessText =>
  access('motor-bay', 'motor bay open', bares, { closedForPower: true });

/** What goes wrong between the wall and the cut-out of any mains machine. */
export const mainsFaults: Record<string, Placement> = {
  'outlet-dead': ['outlet', 'rare'],
  'plug-damaged': ['plug', 'rare'],
  'cord-damaged': ['cord', 'occasional'],
  'cord-broken-at-grip': ['cord-grip', 'common'],
  'main-switch-failed': ['main-switch', 'occasional'],
  'thermal-cutout-open': ['cut-out', 'rare'],
};

export const mainsChecks = [
  'outlet-test',
  'cord-look',
  'cord-flex',
  'motor-current',
  'breaker-reset',
  'trip-time',
  'plug-ohms',
  'main-switch-ohms',
];

/** What wears and breaks on the frame of a machine on wheels. */
export const frameFaults: Record<string, Placement> = {
  'housing-cracked': ['housing', 'rare'],
  'screws-missing': ['housing', 'rare', { afterRepair: 'occasional' }],
  'latch-broken': ['latches', 'rare'],
  'wheels-bound': ['wheels', 'occasional'],
  'handle-lock-worn': ['handle-lock', 'rare'],
};

/** A brushed suction motor with its fan. */
export const suctionMotorFaults: Record<string, Placement> = {
  'suction-motor-worn': ['suction-motor', 'occasional', { fromAgeYears: 5 }],
  'suction-motor-failed': ['suction-motor', 'rare'],
  'carbon-brushes-worn': ['suction-motor', 'rare', { fromAgeYears: 4 }],
  'fan-broken': ['fan', 'rare'],
};

export const suctionMotorChecks = [
  'run-seconds',
  'wind-down-listen',
  'armature-sound',
  'fan-look',
  'carbon-brush-length',
  'motor-spin',
  'suction-motor-ohms',
  'past-the-brushes',
];

/** A roll on end caps with bearings, looked at with the sole plate off. */
export const rollFaults: Record<string, Placement> = {
  'roll-bound-by-hair': ['roll', 'very common'],
  'roll-jammed-by-object': ['roll', 'common'],
  'bearing-rough': ['roll-bearings', 'common'],
  'endcap-misseated': ['end-caps', 'occasional', { afterRepair: 'common' }],
  'bristles-worn': ['bristles', 'common', { fromAgeYears: 2 }],
  'sole-plate-caked': ['head-mouth', 'occasional'],
  'roll-mouldy': ['roll', 'rare'],
};

export const rollChecks = [
  'finger-turn',
  'sole-plate-look',
  'end-cap-look',
  'bearing-feel',
  'roll-speed',
  'bristle-height',
];
