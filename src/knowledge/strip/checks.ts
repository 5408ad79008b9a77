import type { ClosingCheck, StepWait } from '@/core/strip/procedure';

type Text = [label: string, stations: string[], cautions?: string[]];

/** What is looked at on the way back. Common practice, no source. */
const texts: Record<string, Text> = {
  'shaft-wiped': ['Shaft wiped, no old rubber left', ['motor-shaft'], ['solvents']],
  'roll-clean': ['Hair off roll and caps', ['roll', 'end-caps']],
  'caps-in-notch': ['Both end caps in their notches', ['end-caps']],
  'caps-same-number': ['Both caps show the same number, arrows up, large and small cap not exchanged', ['end-caps']],
  'belt-tracked': ['Belt on, turned by hand until it found its centre', ['flat-belt', 'toothed-belt', 'roll-belt']],
  'cover-seated': ['Belt cover seated', ['belt-cover'], ['brittle-plastic']],
  'height-knob': ['Height knob back, screws of its length in its holes', ['height-setting'], ['brittle-plastic']],
  'wires-in-channel': ['Wires back in their channel, lamp plug on', ['tilt-switch', 'head-lamp'], ['brittle-plastic']],
  'neck-seated': ['Neck hose seated, no fold', ['neck-hose']],
  'seals-wiped': ['Seals wiped and in their grooves', ['gaskets', 'motor-seal', 'motor-seals']],
  'motor-seals-wiped': ['Seals of the motor wiped and whole', ['gaskets', 'motor-seal', 'motor-seals']],
  'filters-clean': [
    'Filters clean and dry right through',
    ['pre-filter', 'pre-foam', 'pre-felt', 'exhaust-filter'],
    ['dry-before-run'],
  ],
  'cord-clear': ['Cord not crushed under bag or cover', ['cord']],
  'turned-by-hand': ['Roll turned by hand: free', ['roll'], ['roll-free-before-power']],
  'clutch-engages': ['Clutch engages leaned back, frees upright', ['clutch-engage-arm']],
  'u-bend-home': ['U-bend pushed home', ['u-bend']],
  'cover-under-lip': ['Cover under its lip all along', ['turbine-cover-seal'], ['brittle-plastic']],
  'twist-right': ['Half twist the right way: roll sweeps to the mouth', ['turbine-shaft']],
  'earth-proved': ['Earth proved before power: bare metal to the plug’s pin', ['gear-train'], ['earth-first']],
  'joint-cured': ['Sealed joint cured', ['sealant-joint'], ['solvents']],
  'fan-nut-left': [
    'Fan nut on by its left-hand thread, fan clear all round',
    ['fan', 'fan-chamber', 'fan-housing', 'end-shims'],
    ['left-hand-thread', 'hold-off-the-belt-track'],
  ],
  'handle-home': ['Handle pushed home, no play', ['handle-plug-joint', 'handle']],
  'pack-seated': ['Pack clicked in, contacts bright', ['battery-pack'], ['lithium-care']],
  'battery-clamps': ['Battery clamps tight, vent caps on', ['batteries'], ['lead-acid']],
  'tanks-lids': ['Tank lids, screens and float back', ['solution-tank', 'recovery-tank'], ['chemicals']],
  'squeegee-level': ['Squeegee level, bends evenly', ['squeegee-blades']],
  'pressure-lowest': ['Deck pressure at its lowest step', ['deck-pressure']],
  'nothing-left': ['No screw, washer or clip left over', ['housing']],
  'hose-clear': ['Hose looked through, home at both ends, its wires not pinched', ['hose']],
  'bin-latched': ['Bin or bag clicks in, its lid shut', ['bin-or-bag', 'bin', 'bag']],
  'motor-spins': ['Motor spun by hand: free, nothing rubs', ['suction-motor', 'brush-motor']],
  'wires-as-photo': ['Wires as on the photograph, none under a rib', ['main-switch', 'suction-motor']],
  'motor-arrow': ['Arrow of the motor towards the filter, seals jellied and whole', ['motor-seals', 'suction-motor']],
  'rim-inner-groove': ['Housing rim in the inner groove, clips without a gap', ['motor-seals']],
  'internal-hose-upper': ['Internal hose on the upper port', ['motor-seals']],
  'spring-hose-springs': ['Spring hose springs back by itself', ['plate-spring-hose']],
  'plate-floats': ['Plate rocks free by hand', ['floating-sole-plate']],
  'clutch-off-fitting': ['Clutch set to off, its arm in line with the body', ['clutch-engage-arm', 'clutch-pulleys']],
  'cover-locators': ['Cover’s locators in line, front and back together', ['clutch-pulleys'], ['brittle-plastic']],
  'neutral-silent': ['Neutral: the shaft spins free and silent', ['gear-train', 'shift-arm']],
  'arm-joined': ['Drive arm joined to the bail, fork over its receiver', ['shift-arm']],
  'screws-as-out': ['Pointed screws in front, long ones at the top, countersunk in their holes', ['housing']],
  'old-sealant-off': ['Every trace of old sealant off, both faces flat', ['sealant-joint'], ['soft-metal']],
  'gasket-faces': ['Gasket faces clean, felt flat, neck gasket whole', ['felt-gasket']],
  'collar-tight': ['Collar drawn up with the strap wrench: fingers alone do not seal it', ['bag', 'fill-tube']],
  'wires-tucked': ['Wires tucked on their own side, no wire under the cover', ['suction-motor']],
  'detent-clicks': ['Every detent of the neck clicks', ['neck-detent']],
  'lifter-on': ['Lifter to off to catch, latched, then to on', ['belt-lifter']],
  'bristles-proud': ['Bristles a few millimetres proud, the same along the roll', ['bristles']],
  'lamp-plug': ['Lamp plug on', ['head-lamp', 'lamp']],
  'indicator-quarter': ['Indicator turned by a quarter at most, tried again', ['indicator-board']],
  'springs-back': ['Springs back from the tray, none by guess', ['handle-lock']],
  'belt-dry-soap': ['Belts run true, dry soap only', ['belt-1', 'belt-2']],
  'base-whole': ['Base without a crack, no heat mark', ['nozzle-base']],
  'guard-back': ['Guard stretched back over its hooks', ['roll']],
  'turbine-free': ['Turbine spins by a breath', ['turbine']],
  'exhaust-foam-in': ['Exhaust foam in before its cover', ['exhaust-foam', 'exhaust-filter']],
  'shroud-notch': ['Shroud’s big notch forward', ['shroud-mesh']],
  'screws-counted': ['Screws counted: as many as came out', ['housing']],
  'sleeve-drop': ['Sleeve clean, one drop of light motor oil, not more', ['sleeve-bearing']],
  'frame-marks': ['Frame marks in line', ['armature', 'bushes']],
  'shims-per-end': ['Washers and bushes back on the end they came from', ['end-shims', 'bushes']],
  'least-end-play': ['Free, with the least end play; the fan’s seat just proud of its bush', ['end-shims']],
  'commutator-wiped': ['Commutator wiped only, no paper, no oil on it', ['commutator']],
  'bushes-greased': ['A smear of grease on old bushes, never oil over the windings', ['bushes']],
  'fan-finger-tight': [
    'Fan nut on by its left-hand thread, finger-tight: it tightens itself',
    ['fan'],
    ['left-hand-thread'],
  ],
  'brush-way-round': ['Carbon brushes the way round they came out, burnt edge trailing', ['carbon-brushes']],
  'caps-finger-tight': ['Brush caps finger-tight', ['carbon-brushes'], ['flying-springs']],
  'grip-holds': ['Cord pulled at its grip: nothing moves inside', ['cord-grip']],
  'gears-greased': ['Gears greased, turned through by hand', ['gears']],
  'brush-locked': ['Brush knob down, brush turns and does not fall', ['brush', 'brush-plate']],
  'belt-finger': ['Deck belt gives a finger’s width, neither loose nor tight', ['belt', 'belt-front', 'belt-rear']],
  'deck-swings': ['Deck up and down once, no hose or cable under it', ['deck']],
  'hoses-plugs': ['Plug and both hoses on, the front one under the motor', ['solution-tube', 'brush-motor']],
  'screen-dry': ['Vacuum screen dry: no water over the motor', ['intake-screen'], ['motor-stays-dry']],
  'blades-as-marked': ['Blades as marked: grooves out at the outer, in at the inner; edge noted', ['squeegee-blades']],
  'shoe-level': ['Floor shoe flat, all its catches in', ['head-mouth']],
  'sensors-clear': ['Sensors clear, bumper springs back all along', ['sensors', 'bumper']],
  'wheels-spring': ['Both wheels push in and spring out', ['wheel-motors']],
  'drum-sits': ['Head sits on its seal all round, both latches', ['drum-seal']],
  'strap-frame': ['Back frame screws tight, straps not twisted', ['harness']],
};

/** What is hidden by the step that asks for it. */
const BEFORE = [
  'shaft-wiped',
  'roll-clean',
  'sleeve-drop',
  'seals-wiped',
  'motor-seals-wiped',
  'filters-clean',
  'gasket-faces',
  'old-sealant-off',
  'wires-tucked',
  'commutator-wiped',
  'bushes-greased',
  'screen-dry',
  'base-whole',
];

/** What is not so before its clock has run out. */
const LIES: Record<string, StepWait['kind']> = {
  'joint-cured': 'glue',
  'filters-clean': 'drying',
  'screen-dry': 'drying',
};

/** @throws RangeError for a check that is not written down */
export function closingCheck(id: string): ClosingCheck {
  const text = texts[id];
  if (!text) throw new RangeError(`There is no closing check ${id}.`);
  const [label, stations, cautions = []] = text;
  const lies = LIES[id];
  return {
    id,
    label,
    stations,
    cautions,
    ...(BEFORE.includes(id) ? { before: true } : {}),
    ...(lies ? { lies } : {}),
  };
}

export const closingCheckIds: readonly string[] = Object.keys(texts);
