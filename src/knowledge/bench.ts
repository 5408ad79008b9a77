import { arrivalSigns, waitKinds } from './counter';
import { kindsWith } from './where';

/** A check of the rebuild, done before Prove. Common practice, no source. */
export interface RebuildStep {
  id: string;
  label: string;
  kinds: string[];
  /** Asked only when one of these was opened in the job; always when absent. */
  whenOpened?: string[];
  /** Stations it speaks of, lit on the board. */
  stations: string[];
  /** Where it can hurt someone. */
  cautions?: string[];
}

export const rebuildSteps: RebuildStep[] = [
  {
    id: 'shaft-wiped',
    label: 'Shaft wiped, no old rubber left',
    kinds: kindsWith('motor-shaft'),
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['motor-shaft'],
    cautions: ['solvents'],
  },
  {
    id: 'roll-clean',
    label: 'Hair off roll and caps',
    kinds: kindsWith('roll', 'end-caps'),
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['roll', 'end-caps'],
  },
  {
    id: 'caps-in-notch',
    label: 'Both end caps in their notches',
    kinds: kindsWith('end-caps'),
    whenOpened: ['roll-out'],
    stations: ['end-caps'],
  },
  {
    id: 'belt-tracked',
    label: 'Belt on, turned by hand until it found its centre',
    kinds: kindsWith('flat-belt', 'toothed-belt'),
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['flat-belt', 'toothed-belt'],
  },
  {
    id: 'cover-seated',
    label: 'Belt cover seated',
    kinds: kindsWith('belt-cover'),
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['belt-cover'],
    cautions: ['brittle-plastic'],
  },
  {
    id: 'height-knob',
    label: 'Height knob back, screws of its length in its holes',
    kinds: kindsWith('height-setting'),
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['height-setting'],
    cautions: ['brittle-plastic'],
  },
  {
    id: 'wires-in-channel',
    label: 'Wires back in their channel, lamp plug on',
    kinds: kindsWith('tilt-switch', 'head-lamp'),
    whenOpened: ['head'],
    stations: ['tilt-switch', 'head-lamp'],
    cautions: ['brittle-plastic'],
  },
  {
    id: 'neck-seated',
    label: 'Neck hose seated, no fold',
    kinds: kindsWith('neck-hose'),
    whenOpened: ['sole-plate', 'head'],
    stations: ['neck-hose'],
  },
  {
    id: 'seals-wiped',
    label: 'Seals wiped and in their grooves',
    kinds: kindsWith('gaskets', 'motor-seal'),
    whenOpened: ['filter-bay', 'motor-bay'],
    stations: ['gaskets', 'motor-seal'],
  },
  {
    id: 'filters-clean',
    label: 'Filters clean, dry and back',
    kinds: kindsWith('pre-filter', 'pre-foam', 'pre-felt', 'exhaust-filter'),
    whenOpened: ['filter-bay', 'motor-bay'],
    stations: ['pre-filter', 'pre-foam', 'pre-felt', 'exhaust-filter'],
    cautions: ['dry-before-run'],
  },
  { id: 'cord-clear', label: 'Cord not crushed under bag or cover', kinds: kindsWith('cord'), stations: ['cord'] },
  {
    id: 'turned-by-hand',
    label: 'Roll turned by hand: free',
    kinds: kindsWith('roll'),
    stations: ['roll'],
    cautions: ['roll-free-before-power'],
  },
  {
    id: 'clutch-engages',
    label: 'Clutch engages leaned back, frees upright',
    kinds: kindsWith('clutch-engage-arm'),
    whenOpened: ['clutch', 'sole-plate'],
    stations: ['clutch-engage-arm'],
  },
  {
    id: 'u-bend-home',
    label: 'U-bend pushed home',
    kinds: kindsWith('u-bend'),
    stations: ['u-bend'],
  },
  {
    id: 'cover-under-lip',
    label: 'Cover under its lip all along',
    kinds: kindsWith('turbine-cover-seal'),
    whenOpened: ['head', 'sole-plate'],
    stations: ['turbine-cover-seal'],
    cautions: ['brittle-plastic'],
  },
  {
    id: 'twist-right',
    label: 'Half twist the right way: roll sweeps to the mouth',
    kinds: kindsWith('turbine-shaft'),
    whenOpened: ['roll-out'],
    stations: ['turbine-shaft'],
  },
  {
    id: 'earth-proved',
    label: 'Earth proved before power: bare metal to the plug’s pin',
    kinds: kindsWith('gear-train'),
    stations: ['gear-train'],
    cautions: ['earth-first'],
  },
  {
    id: 'joint-cured',
    label: 'Sealed joint cured',
    kinds: kindsWith('sealant-joint'),
    whenOpened: ['fan-chamber'],
    stations: ['sealant-joint'],
    cautions: ['solvents'],
  },
  {
    id: 'fan-nut-left',
    label: 'Fan nut on by its left-hand thread, fan clear all round',
    kinds: kindsWith('fan-chamber', 'fan-housing', 'end-shims'),
    whenOpened: ['fan-chamber', 'motor-out'],
    stations: ['fan-chamber', 'fan-housing', 'end-shims'],
    cautions: ['left-hand-thread', 'hold-off-the-belt-track'],
  },
  {
    id: 'handle-home',
    label: 'Handle pushed home, no play',
    kinds: kindsWith('handle-plug-joint', 'handle'),
    stations: ['handle-plug-joint', 'handle'],
  },
  {
    id: 'pack-seated',
    label: 'Pack clicked in, contacts bright',
    kinds: kindsWith('battery-pack'),
    whenOpened: ['battery', 'motor-bay'],
    stations: ['battery-pack'],
    cautions: ['lithium-care'],
  },
  {
    id: 'battery-clamps',
    label: 'Battery clamps tight, vent caps on',
    kinds: kindsWith('batteries'),
    whenOpened: ['battery'],
    stations: ['batteries'],
    cautions: ['lead-acid'],
  },
  {
    id: 'tanks-lids',
    label: 'Tank lids, screens and float back',
    kinds: kindsWith('solution-tank', 'recovery-tank'),
    whenOpened: ['tanks-open'],
    stations: ['solution-tank', 'recovery-tank'],
    cautions: ['chemicals'],
  },
  {
    id: 'squeegee-level',
    label: 'Squeegee level, bends evenly',
    kinds: kindsWith('squeegee-blades'),
    stations: ['squeegee-blades'],
  },
  {
    id: 'pressure-lowest',
    label: 'Deck pressure at its lowest step',
    kinds: kindsWith('deck-pressure'),
    stations: ['deck-pressure'],
  },
  {
    // Last of all: what is left over is looked for when the rest is back.
    id: 'nothing-left',
    label: 'No screw, washer or clip left over',
    kinds: kindsWith('housing'),
    stations: ['housing'],
  },
];

/** Cautions that the counter, the waits and the rebuild raise; the checks and repairs have their own. */
export const raisedAtTheBench: string[] = [
  ...arrivalSigns.map((s) => s.raises),
  ...waitKinds.flatMap((w) => w.cautions),
  ...rebuildSteps.flatMap((s) => s.cautions ?? []),
];

/** Lines for the customer's care sheet: always, or after one of these faults. Common practice, no source. */
export const careLines: { kinds: string[]; afterFaults?: string[]; text: string }[] = [
  {
    kinds: kindsWith('bin', 'bin-or-bag', 'bag', 'outer-bag'),
    text: 'Empty the bin or change the bag before it reaches the line. A full bin is the first cause of heat.',
  },
  {
    kinds: kindsWith('pre-filter', 'pre-foam'),
    text: 'Wash foam filters in cold water until it runs clear, then dry them a full day before they go back. A second filter keeps the machine in use.',
  },
  {
    kinds: kindsWith('filter-indicator', 'indicator-board', 'pre-foam'),
    text: 'A green filter light is no proof: look at the filter itself.',
  },
  {
    kinds: kindsWith('roll'),
    afterFaults: ['roll-bound-by-hair', 'bearing-rough', 'bristles-worn'],
    text: 'Plug out, then cut hair off the roll along its groove once a month.',
  },
  {
    kinds: kindsWith('roll', 'fan'),
    afterFaults: ['roll-jammed-by-object', 'head-mouth-blocked', 'fan-broken'],
    text: 'Pick up screws, coins and stones by hand. What rattles in goes through the fan or into the roll.',
  },
  {
    kinds: kindsWith('flat-belt', 'primary-belt'),
    afterFaults: [
      'belt-broken',
      'belt-slipping',
      'belt-brittle',
      'belt-off-track',
      'rubber-on-shaft',
      'primary-belt-stretched',
    ],
    text: 'Lift the machine off fringes and loose rugs at once: a stalled roll burns the belt in seconds.',
  },
  {
    kinds: kindsWith('cut-out'),
    afterFaults: ['thermal-cutout-open', 'filter-clogged', 'hose-clogged', 'felt-clogged'],
    text: 'If it stops by itself, plug out, empty it, look at the filter and let it cool. Do not reset it again and again.',
  },
  {
    kinds: kindsWith('cord'),
    afterFaults: ['cord-broken-at-grip', 'cord-damaged', 'plug-damaged'],
    text: 'Pull the plug, not the cord; leave a loose bend at the handle.',
  },
  {
    kinds: kindsWith('brush-motor'),
    afterFaults: ['tilt-switch-failed', 'head-board-failed', 'brush-motor-failed', 'water-in-head'],
    text: 'Never on wet floors or fresh carpet powder: the motor sits in the head.',
  },
  { kinds: kindsWith('bag', 'bin', 'bin-or-bag', 'outer-bag'), text: 'Nothing wet, no ash, no fine building dust.' },
  {
    kinds: kindsWith('battery-pack'),
    text: 'Charge it cool and dry, with its own charger. A swollen, dented or hot pack is not charged: outside with it.',
  },
  {
    kinds: kindsWith('batteries'),
    text: 'Charge after every use in moving air, no flame near. Water the cells after charging, never before.',
  },
  {
    kinds: kindsWith('squeegee-blades'),
    text: 'Wipe the squeegee, rinse both tanks and leave their lids open overnight. Run the suction a minute to dry its fan.',
  },
  {
    kinds: kindsWith('squeegee-blades'),
    afterFaults: ['driven-over-ramps', 'squeegee-tilted', 'skirts-worn'],
    text: 'Over ramps and thresholds sideways, the squeegee and the deck up.',
  },
  {
    kinds: kindsWith('deck-pressure'),
    text: 'Lowest deck pressure for every floor; take the brushes out to dry.',
  },
  {
    kinds: kindsWith('turbine'),
    text: 'Coins and screws stop the turbine: pick them up by hand. Turn the roll by hand before each use.',
  },
];
