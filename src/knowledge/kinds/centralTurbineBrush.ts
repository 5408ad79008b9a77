import type { KindBookText } from '../assemble';
import { access, stations } from '../write';
import { basis, hoseOff, rollChecks, rollFaults, rollOut, solePlate } from './common';

export const centralTurbineBrush: KindBookText = {
  kind: {
    id: 'central-turbine-brush',
    number: 8,
    label: 'Air-driven brush on a central system',
    blurb: 'The air turns a turbine, a half-twisted belt turns the roll. No current in the head.',
    supply: 'air',
    lines: [
      {
        line: 'air',
        label: 'Air',
        stations: stations(`head-mouth: mouth; turbine; turbine-cover-seal: cover seal (wears); neck; wand;
            hose: wall hose (wears); central-unit`),
      },
      {
        line: 'drive',
        label: 'Drive',
        stations: stations(`turbine-shaft; toothed-belt: half-twisted belt (wears); roll: brush roll (wears);
            left-end-cap: fixed cap; end-caps: cap that pulls off; roll-bearings (wears); bristles`),
      },
      { line: 'frame', label: 'Frame', stations: stations('furniture-guard; housing; wheels') },
    ],
    access: [
      hoseOff,
      { ...solePlate, label: 'bottom plate off' },
      rollOut,
      access('head', 'turbine cover off', ['turbine', 'turbine-shaft', 'turbine-cover-seal'], {
        closedForPower: true,
      }),
    ],
    healthyVacuumKpa: 30,
    rollRpm: 3000,
    ratedWatts: 1,
    expectedFaults: 1.6,
    basis,
  },
  faults: {
    ...rollFaults,
    'turbine-jammed': ['turbine', 'very common'],
    'turbine-cover-leaking': ['turbine-cover-seal', 'occasional'],
    'cover-not-under-lip': ['turbine-cover-seal', 'rare', { afterRepair: 'very common' }],
    'turbine-shaft-worn': ['turbine-shaft', 'occasional', { fromAgeYears: 5 }],
    'belt-broken': ['toothed-belt', 'common'],
    'belt-brittle': ['toothed-belt', 'occasional', { fromAgeYears: 3 }],
    'belt-teeth-worn': ['toothed-belt', 'common', { fromAgeYears: 2 }],
    'belt-off-track': ['toothed-belt', 'occasional'],
    'belt-twisted-wrong': ['toothed-belt', 'rare', { afterRepair: 'very common' }],
    'fixed-cap-forced': ['left-end-cap', 'rare', { afterRepair: 'common' }],
    'head-mouth-blocked': ['head-mouth', 'occasional'],
    'neck-clogged': ['neck', 'occasional'],
    'wand-clogged': ['wand', 'occasional'],
    'hose-clogged': ['hose', 'common'],
    'hose-split': ['hose', 'occasional'],
    'central-unit-weak': ['central-unit', 'common'],
    'guard-missing': ['furniture-guard', 'rare'],
    'housing-cracked': ['housing', 'rare'],
    'screws-missing': ['housing', 'rare', { afterRepair: 'occasional' }],
    'wheels-bound': ['wheels', 'rare'],
  },
  checks: [
    ...rollChecks,
    'run-seconds',
    'wind-down-listen',
    'frame-look',
    'turbine-look',
    'turbine-cover',
    'cover-under-lip',
    'belt-direction',
    'cap-marks',
    'neck-look',
    'inlet-vacuum',
    'wall-inlet-vacuum',
    'hose-drop',
    'wand-look',
    'hose-split',
  ],
};
