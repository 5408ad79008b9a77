import type { StepWait } from '@/core/strip/procedure';

/** What a repair does while its access lies open, in order; what it needs besides parts; what it must wait for. */
export interface RepairText {
  steps: string[];
  /** Materials, and what must not be used on what. */
  materials?: string[];
  /** Group of parts → how many it takes, when it is more than one. */
  takes?: Record<string, number>;
  /** Group of parts → every station that gets one, on kinds that have it; where the fault stands, when it is not said. */
  sits?: Record<string, string[]>;
  /** Group of parts → that it is usually new with the rest, or a matter of choice; every other part is a must. */
  roles?: Record<string, 'usual' | 'choice'>;
  /** Items of the plan that count as done with it. */
  resets?: string[];
  /** It starts this clock when the first of its steps is done: the next one waits for it. */
  soaks?: StepWait;
  /** It starts this clock when the last of its steps is done. */
  waits?: StepWait;
  /** What was done, where a new part is a matter of choice: with one, and without. */
  did?: [renewed: string, kept: string];
  /** What is done instead, once the new part is on the bench; nothing dries then. */
  renewed?: string[];
  /** After how many of its steps what smelled is disinfected: before it dries, or a new part covers it. After all when not said. */
  cleanAfter?: number;
}

const NEW_BELT = [
  'Old belt against the new: same width, as long or longer',
  'Pulleys and shaft turned by hand: free and smooth',
  'New belt on, not twisted, turned by hand',
];
/** The first, and the one that it drives: made new together. Common practice, no source. */
const BOTH_BELTS = ['primary-belt', 'roll-belt', 'belt-1', 'belt-2'];
const DRY_DAY = { kind: 'drying', hours: 24, what: 'washed filter' } as const;
const WASH = ['Filter washed in cold water until it runs clear, squeezed, not wrung', 'Set to dry away from heat'];
const NEW_FILTER = ['Motor inlet looked into: clean', 'New filter in, the right side up'];
const NEW_CARBONS = [
  'Old and new lengths measured',
  'Holders cleaned, springs free',
  'New carbons in, bedded in at half an hour without load',
];
const NEW_MOTOR = [
  'New motor against the old: same fan, same plugs, same turn',
  'Seals and mounts carried over',
  'Spun by hand, nothing rubs',
];
const NEW_ROLL = [
  'New roll against the old: length, ends, sprocket',
  '{end-caps:Caps and bearings|Bearings} carried over or new',
  'New roll turned by hand',
];
const NEW_SWITCH = [
  'Old switch measured dead: open where it should close',
  'New switch: same rating, same travel',
  'Joints soldered or spliced, sleeved, tugged',
];
const NEW_CORD = [
  'New cord: same conductors and length, earth if there was one',
  'Grip outside the sheath, loop left',
  'Neutral joined, line through the switch, earth last to pull off',
];
const CLEAR = ['Rod or water from the clean end, nothing sharp', 'Looked through against the light'];
const NEW_SEAL = [
  'Groove and face wiped clean',
  'Seal in dry or with jelly, never oil on rubber',
  'Pressed round once, no fold',
];
const NEW_BOARD = [
  'Plugs photographed, board out by its edges',
  'Moisture and burns looked for: their cause first',
  'New board in, every plug tugged',
];

/** Common practice, no source. */
export const repairTexts: Record<string, RepairText> = {
  'belt-broken': { resets: ['flat-belt'], steps: NEW_BELT },
  'belt-off-track': {
    steps: ['Belt looked at: whole, not glazed', 'Why it came off: cap, bearing, object', 'Belt back on its track'],
  },
  'belt-slipping': { resets: ['flat-belt'], steps: NEW_BELT },
  'belt-teeth-worn': {
    steps: [
      'Old belt against the new: pitch, teeth, width',
      'Both sprockets’ teeth looked at',
      'New belt in the teeth, turned by hand',
    ],
  },
  'belt-brittle': { resets: ['flat-belt'], steps: NEW_BELT },
  'roll-bound-by-hair': {
    resets: ['roll-hair'],
    steps: [
      'Hair cut along the groove, away from the hand',
      '{end-caps:Caps and bearings|Bearings} freed of hair and felt',
      'Roll spun in the fingers: runs out by itself',
    ],
  },
  'roll-jammed-by-object': {
    steps: ['Object out, without levering on the bristles', 'Roll{~belt:, belt} and base looked at for what it broke'],
  },
  'bearing-rough': {
    takes: { bearing: 2 },
    steps: [
      'Old bearings tapped out, size read or measured',
      'Seats and felts cleaned',
      'New bearings pressed in as a pair, on the outer ring',
    ],
    materials: ['No oil into sealed bearings'],
  },
  'endcap-misseated': { steps: ['Cap and notch cleaned', 'Cap turned until it drops into its notch'] },
  'bristles-worn': { resets: ['bristles'], steps: NEW_ROLL },
  'roll-set-low': {
    resets: ['bristles'],
    steps: ['Both ends one number on, the same at both', 'Stand-out of the bristles measured again'],
  },
  'sole-plate-caked': {
    steps: ['Plate scrubbed with soap and a plastic scraper', 'Dried and polished, pushed over carpet'],
    materials: ['No solvent on clear plastic'],
  },
  'roll-mouldy': {
    cleanAfter: 2,
    resets: ['bristles'],
    steps: ['Mask on, roll into a plastic sack', 'Chamber washed', 'Chamber dried', ...NEW_ROLL],
    materials: ['Mask, gloves'],
  },
  'height-wrong': { steps: ['Height set one step above stalling, pushed'] },
  'floor-setting-wrong': { steps: ['Setting to carpet, leaned back, looked at'] },
  'rubber-on-shaft': {
    steps: [
      'Rubber off the turning shaft with a fine pad, by hand',
      'Shaft wiped with little solvent, away from plastic',
      ...NEW_BELT,
    ],
    materials: ['No solvent on plastic'],
  },
  'belt-cover-off': { steps: ['Cover’s tongues looked at', 'Cover pressed into its seat'] },
  'motor-sprocket-worn': {
    roles: { belt: 'usual' },
    steps: ['Pin or left-hand screw of the sprocket out', 'New sprocket on, pin home', 'New belt in the teeth'],
    materials: ['Thread lock where it was'],
  },
  'roll-sprocket-worn': { roles: { belt: 'usual' }, steps: [...NEW_ROLL, 'New belt in the teeth'] },
  'wheels-bound': {
    steps: ['Wheels off, hair out of the axles', 'Axles wiped, a drop of oil on steel only', 'Rolled over the bench'],
  },
  'handle-lock-worn': { steps: ['Spring caught under the hand', 'New lock in, clicks in every position'] },
  'housing-cracked': {
    steps: [
      'Everything carried over to the new shell, one part at a time',
      'Screws into new plastic by hand, in the old thread’s turn',
    ],
  },
  'screws-missing': { steps: ['Drive, length and thread taken from the neighbour', 'Fitted by hand, snug'] },
  'latch-broken': { steps: ['Old latch out with its spring', 'New latch in, shut and opened three times'] },
  'outlet-dead': {
    steps: ['Tried on an outlet that is known to be good', 'Owner told: the outlet is for an electrician'],
  },
  'plug-damaged': {
    steps: [
      'Cord cut back to bright copper',
      'New plug: earth longest, line and neutral to their marks, grip on the sheath',
    ],
  },
  'cord-damaged': { steps: NEW_CORD },
  'cord-broken-at-grip': {
    renewed: NEW_CORD,
    did: ['New cord', 'Cord shortened at the grip'],
    roles: { cord: 'choice' },
    steps: [
      'Cord cut back behind the break',
      'Conductors stripped, eyelets or splices as before',
      'Earth and polarity measured',
    ],
  },
  'main-switch-failed': { steps: NEW_SWITCH },
  'thermal-cutout-open': {
    steps: ['Cause looked for along the whole air path', 'Cut-out cold, reset, measured closed'],
    materials: ['Never bridged'],
  },
  'suction-motor-worn': { steps: NEW_MOTOR },
  'suction-motor-failed': { steps: NEW_MOTOR },
  'carbon-brushes-worn': { resets: ['carbon-look'], takes: { carbon: 2 }, steps: NEW_CARBONS },
  'fan-broken': {
    steps: [
      'Pieces out of the housing, every one',
      'New fan against the old: same vanes, same hand of thread',
      'Shaft spun by hand: true, its bearings quiet',
    ],
  },
  'indicator-stuck': { steps: ['Indicator’s tube blown through', 'Moved by breath, else a new one'] },
  'brush-switch-off': { steps: ['Switched on; owner shown'] },
  'handle-not-home': { steps: ['Joint cleaned, handle pushed home until it clicks'] },
  'handle-brush-switch-failed': { steps: NEW_SWITCH },
  'hose-conductor-open': {
    steps: ['New hose: same plugs, same length', 'Conductors measured end to end while it is bent'],
  },
  'wand-contacts-dirty': {
    steps: ['Contacts wiped with contact cleaner, power off', 'Bent ones set straight, plugged three times'],
    materials: ['Contact cleaner, dried before power'],
  },
  'head-socket-loose': { steps: ['Old socket out, wires one by one to the new', 'Each wire tugged'] },
  'tilt-switch-failed': { steps: [...NEW_SWITCH, 'Lever worked by hand: clicks leaned back, opens upright'] },
  'tilt-switch-stuck-closed': { steps: [...NEW_SWITCH, 'Lever worked by hand: clicks leaned back, opens upright'] },
  'head-board-failed': { steps: NEW_BOARD },
  'brush-motor-failed': {
    steps: ['{~belt:Roll and belt free first: they|Roll free first: it} killed the old one', ...NEW_MOTOR],
  },
  'head-lamp-out': { steps: ['New lamp, not touched by the finger', 'Plug on'] },
  'water-in-head': {
    cleanAfter: 1,
    steps: [
      'Rinsed with clean water where it was dirty, never the motor',
      'Opened and set to dry',
      'Insulation measured when dry',
    ],
    waits: { kind: 'drying', hours: 24, what: 'head' },
  },
  'filter-clogged': {
    cleanAfter: 1,
    renewed: NEW_FILTER,
    did: ['New pre-motor filter', 'Pre-motor filter washed'],
    resets: ['pre-filter-wash'],
    roles: { filter: 'choice' },
    steps: WASH,
    materials: ['Mild soap; not hot; pleated paper is never washed'],
    waits: DRY_DAY,
  },
  'filter-dirty': {
    cleanAfter: 1,
    resets: ['pre-filter-wash'],
    steps: WASH,
    materials: ['Mild soap; not hot; pleated paper is never washed'],
    waits: DRY_DAY,
  },
  'felt-clogged': { steps: NEW_FILTER },
  'exhaust-filter-clogged': {
    cleanAfter: 1,
    resets: ['exhaust-filter'],
    steps: ['Old filter looked at: black on the motor’s side is carbon dust, no fault', 'New exhaust filter in'],
  },
  'exhaust-filter-apart': {
    resets: ['exhaust-filter'],
    steps: ['Crumbs out of housing and grille', 'New exhaust filter in'],
  },
  'bag-or-bin-full': { steps: ['Emptied outdoors or with a mask', 'Inlet and float looked at'] },
  'bag-missing': { steps: ['Motor inlet cleaned', 'New bag on its collar'] },
  'hose-clogged': {
    steps: [
      'Ball or blunt rod through a plain hose only; one with wires is rinsed or blown',
      'Looked through against the light',
    ],
  },
  'wand-clogged': { steps: CLEAR },
  'head-duct-clogged': { steps: ['Duct cleared from both ends; the inner hose’s tip tears easily', 'Looked through'] },
  'head-mouth-blocked': { steps: ['Taken out by hand or pliers'] },
  'cyclone-plugged': {
    resets: ['cyclone-clean'],
    steps: ['Mesh{~cyclone: and cones} cleared with a soft brush', 'Rinsed, set to dry'],
    waits: { kind: 'drying', hours: 24, what: 'cyclone' },
  },
  'cones-some-plugged': {
    resets: ['cyclone-clean'],
    steps: [
      '{~cyclone:Cones cleared from below with a blunt stick|Mesh brushed through from behind}',
      'Rinsed, set to dry',
    ],
    waits: { kind: 'drying', hours: 24, what: 'cones' },
  },
  'hose-split': { steps: ['New hose: same ends, same length', 'Both cuffs turned home'] },
  'handle-cracked': { steps: ['Switch and wires carried over', 'New shell closed, screws by hand'] },
  'neck-hose-split': {
    resets: ['neck-hose-look'],
    steps: ['New neck hose on the lower port, then the upper', 'No fold when the handle is leaned back'],
  },
  'changeover-leaking': { steps: ['Flap and face wiped', 'Spring hooked in, flap shuts by itself'] },
  'seal-leaking': { did: ['New motor seal', 'Motor seal seated'], roles: { seal: 'choice' }, steps: NEW_SEAL },
  'bin-gasket-leaking': { did: ['New bin gasket', 'Bin gasket seated'], roles: { seal: 'choice' }, steps: NEW_SEAL },
  'pre-filter-disintegrated': {
    cleanAfter: 2,
    resets: ['pre-filter-new'],
    steps: ['Crumbs out of the motor inlet with the bench vacuum', ...NEW_FILTER],
  },
  'primary-belt-broken': {
    sits: { belt: BOTH_BELTS },
    steps: ['Pulleys turned: free, clean, round', 'Both belts new, first belt over the spindle'],
  },
  'primary-belt-stretched': {
    sits: { belt: BOTH_BELTS },
    steps: ['Pulleys turned: free, clean, round', 'Both belts new, first belt over the spindle'],
  },
  'clutch-worn-or-melted': {
    sits: { belt: BOTH_BELTS },
    steps: ['New clutch set to off', 'Both belts new with it', 'Engaging arm moves the clutch by hand'],
  },
  'clutch-left-off': { steps: ['Clutch engaged, leaned back, looked at'] },
  'clutch-stuck-engaged': { steps: ['Arm freed of hair, its spring hooked in', 'Moves to both ends by hand'] },
  'spindle-worn': {
    roles: { drive: 'choice', motor: 'choice' },
    steps: ['Spindle measured against a good one', ...NEW_MOTOR],
  },
  'floating-plate-stuck': { steps: ['Guides cleaned, plate rocks by hand'] },
  'plate-spring-hose-weak': { steps: ['New spring hose on both ports', 'Springs back by itself'] },
  'belt-lifter-stuck': { steps: ['Lifter freed, turned to off and on twice'] },
  'belt-twisted-wrong': { steps: ['Belt off, twisted the other way, roll sweeps to the mouth'] },
  'sleeve-dry': {
    steps: ['Sleeve and pin wiped clean', 'One drop of light motor oil, no more'],
    materials: ['Light motor oil, one drop'],
  },
  'gear-stripped': {
    steps: [
      'All gears out together: they are new as a set',
      'Chamber cleaned of splinters',
      'Gears greased and turned through',
    ],
    materials: ['Gear grease'],
  },
  'transmission-worn': {
    steps: [
      'Unit opened, worn parts laid beside new ones',
      'Rebuilt and greased, or the unit new',
      'New drive belt',
      'Matching motor sprocket, pin and circlip on an older one',
    ],
    materials: ['Gear grease; no steel brush on magnesium'],
  },
  'shift-arm-not-joined': { steps: ['Arm joined to its receiver', 'Neutral found: shaft spins free'] },
  'neutral-out': { steps: ['Neutral adjusted until the shaft spins free and silent'] },
  'drive-belt-worn': { steps: ['Old belt against the new', 'New drive belt over both wheels'] },
  'drive-sprocket-worn': {
    roles: { belt: 'usual' },
    steps: ['Circlip and pin out, kept', 'New sprocket, pin, circlip', 'New drive belt'],
  },
  'drive-pedal-bent': { steps: ['Pedal straightened cold, or new', 'Moves to both ends'] },
  'axle-worn': { steps: ['Old bushes pushed out', 'New bushes in, axle turns'] },
  'handle-bail-loose': { steps: ['Bushes new, bail bolts tight', 'Bail shaken: no play'] },
  'turbine-jammed': {
    resets: ['turbine-clean'],
    steps: ['Object and hair out with a pick', 'Blades looked at, spun by a breath'],
  },
  'turbine-cover-leaking': { roles: { seal: 'choice' }, steps: NEW_SEAL },
  'cover-not-under-lip': { steps: ['Cover’s lip under the metal all along, pressed down'] },
  'turbine-shaft-worn': { steps: ['New turbine with its bearings, shaft straight', 'Spun by a breath'] },
  'fixed-cap-forced': { steps: ['New end piece of the roll, seated by its mark'] },
  'guard-missing': { steps: ['New guard stretched over its hooks'] },
  'set-screw-loose': {
    steps: ['Screw on the flat of the shaft', 'Tightened, thread lock'],
    materials: ['Medium thread lock'],
  },
  'brush-plate-worn': { steps: ['New brush plate on its post, flat down'] },
  'brush-left-in': {
    cleanAfter: 2,
    resets: ['roll-hair'],
    steps: ['Penetrant on both ends, hours of soak', 'Brush eased out, ends cleaned', 'Set to dry'],
    soaks: { kind: 'soaking', hours: 4, what: 'brush ends' },
  },
  'deck-debris-packed': { steps: ['Deck scraped while it is wet', 'Rinsed, drained'] },
  'deck-belt-slipping': {
    resets: ['deck-belts-look', 'deck-belts-hours'],
    steps: ['Belt dust wiped', 'New belts as a set', 'Pressure to its lowest'],
  },
  'deck-belt-loose': { resets: ['deck-belts-look', 'deck-belts-hours'], steps: ['Belt tightened to a finger’s width'] },
  'deck-belt-tight': { steps: ['Belt slackened to a finger’s width'] },
  'driven-over-ramps': { steps: ['Operator shown: ramps sideways, squeegee and deck up'] },
  'deck-belt-broken': {
    resets: ['deck-belts-look', 'deck-belts-hours'],
    steps: ['Pulleys turned: free and in line', 'New belts as a set'],
  },
  'deck-bearing-rusted': {
    resets: ['deck-bearings'],
    takes: { bearing: 2 },
    steps: ['Old bearings drawn, seats cleaned', 'New bearings as a pair, on the outer ring', 'Spun by hand'],
  },
  'pressure-too-high': { steps: ['Pressure set to its lowest step, operator told'] },
  'brushes-uneven': { steps: ['Brushes turned round and exchanged', 'Deck levelled'] },
  'side-brush-bound': { steps: ['Hair cut off the post', 'Brush turned by hand'] },
  'side-brush-motor-failed': { steps: ['New module in, plug on'] },
  'drive-wheel-bound': { steps: ['Hair out of wheel and axle', 'Pushed in: springs out'] },
  'drive-wheel-failed': { steps: ['New wheel module, plug on', 'Pushed in: springs out'] },
  'strap-worn': { steps: ['New strap through its buckle, pulled with the weight on'] },
  'head-breaker-tripped': { steps: ['Roll turned by hand: why it tripped', 'Breaker cold, pressed once'] },
  'remote-battery-flat': { steps: ['Coin slot opened, new battery the right way round'] },
  'remote-unpaired': { steps: ['Button held until they are paired'] },
  'receiver-board-failed': { steps: NEW_BOARD },
  'indicator-misadjusted': {
    steps: ['Path clean, adjuster turned by a quarter at most', 'Tried with the {hose:hose|inlet} half shut'],
  },
  'lamp-dead': { steps: ['New lamp, not touched by the finger'] },
  'battery-worn': { steps: ['New pack: same voltage and chemistry', 'Old one to the battery bin, poles taped'] },
  'pack-deep-flat': {
    steps: ['New pack; the old one is not charged again', 'Old one to the battery bin, poles taped'],
  },
  'charger-failed': { steps: ['New charger: voltage, current and plug of the pack'] },
  'pack-contacts-dirty': {
    steps: ['Contacts wiped, bent ones set straight'],
    materials: ['Contact cleaner, pack out'],
  },
  'trigger-failed': { steps: NEW_SWITCH },
  'main-board-failed': { steps: NEW_BOARD },
  'batteries-sulphated': {
    resets: ['battery-look'],
    steps: [
      'Old set lifted out with its straps',
      'New set: same age and make, cables as photographed',
      'Charged full once before work',
    ],
    materials: ['Gloves, goggles, soda for spilt acid'],
  },
  'battery-cable-loose': {
    resets: ['battery-look'],
    steps: ['Posts and lugs brushed bright', 'Tight, a film of grease over them'],
    materials: ['Terminal grease'],
  },
  'contactor-failed': { steps: ['New contactor: coil voltage and current', 'Wires one by one'] },
  'seat-switch-failed': { steps: NEW_SWITCH },
  'hour-meter-dead': { steps: ['Old hours written on the card', 'New meter in, its zero noted'] },
  'field-failed': { steps: NEW_MOTOR },
  'armature-bad': { steps: ['Good armature against the old: length, shaft, bars', 'Spun between the fingers: quiet'] },
  'commutator-worn': { takes: { carbon: 2 }, steps: ['Commutator wiped, slots cleared, no emery', ...NEW_CARBONS] },
  'brush-fitted-reversed': { steps: ['Carbon turned: burnt edge trailing', 'Bedded in'] },
  'brush-holder-loose': { roles: { carbon: 'usual' }, steps: ['New spring or holder, square to the commutator'] },
  'motor-bushes-dry': {
    steps: [
      'Bushes wiped out, shaft polished',
      'As the shop’s school says: a smear of grease in old bronze, or a drop of oil',
    ],
    materials: ['Grease for old bronze; never on the commutator'],
  },
  'shims-missing': {
    steps: ['End play measured', 'Washers by the shim gauge: free, least play, the fan’s seat proud'],
  },
  'fan-rubbing': { steps: ['Stand-off of the fan set with washers', 'Spun by hand, clear all round'] },
  'mounts-perished': { steps: ['New mounts, or one cut to size and written down as improvised'] },
  'bristle-strip-worn': { steps: ['Old strip slid out, groove cleaned', 'New strip in, or re-bristled'] },
  'motor-wet': {
    cleanAfter: 1,
    steps: ['Rinsed clean where dirty', 'Opened and set to dry', 'Insulation measured when dry'],
    waits: { kind: 'drying', hours: 24, what: 'motor' },
  },
  'pump-failed': { steps: ['Hoses marked, old pump out', 'New pump in, primed'] },
  'pump-air-locked': { steps: ['Belt refitted, pump primed with water'] },
  'sensor-dirty': { steps: ['Sensors wiped dry'] },
  'bumper-stuck': { steps: ['Grit out from under the bumper', 'Springs back all along'] },
  'u-bend-missing': { steps: ['U-bend found or new, pushed home'] },
  'u-bend-clogged': { steps: CLEAR },
  'bag-door-leak': { roles: { seal: 'choice' }, steps: NEW_SEAL },
  'bag-clogged': { cleanAfter: 0, steps: ['New bag up to its mark', 'Tube looked through'] },
  'sealant-joint-leaking': {
    steps: [
      'Joint looked along: where it leaked, no crack beside it',
      'Old sealant scraped flat and light on soft alloy: none hides behind the shoe',
    ],
    materials: ['Sealant as the maker asks; no steel scraper on magnesium'],
  },
  'fan-chamber-packed': { steps: ['Felt of hair out of the chamber', 'Fan looked at: whole blades'] },
  'felt-gasket-worn': { resets: ['felt-gasket'], steps: ['Old felt off, face clean', 'New felt flat, neck gasket in'] },
  'fill-tube-clogged': { steps: CLEAR },
  'swivel-neck-cracked': { steps: ['New neck, its gaskets in', 'Swivels without a gap'] },
  'handle-gasket-leaking': { steps: NEW_SEAL },
  'breather-clogged': {
    renewed: ['New breather filter in, the right side up'],
    did: ['New breather filter', 'Breather filter cleaned'],
    roles: { filter: 'choice' },
    steps: ['Breather washed and dried, or new'],
    waits: { kind: 'drying', hours: 24, what: 'breather filter' },
  },
  'emptying-shoe-leaking': {
    did: ['New seal of the emptying shoe', 'Emptying shoe seated'],
    roles: { seal: 'choice' },
    steps: NEW_SEAL,
  },
  'ingest-bar-missing': { steps: ['New bar in its hooks'] },
  'neck-clogged': { steps: CLEAR },
  'mesh-matted': {
    resets: ['cyclone-clean'],
    steps: ['Mesh brushed dry, then rinsed', 'Set to dry'],
    waits: { kind: 'drying', hours: 12, what: 'mesh' },
  },
  'central-unit-weak': { steps: ['Central unit emptied, its filter seen to', 'Vacuum measured at the nearest inlet'] },
  'nozzle-base-cracked': { steps: ['Roll, motor and wires carried over', 'New base closed, screws by hand'] },
  'detent-worn': { steps: ['Spring caught under the hand', 'New detent clicks in every step'] },
  'housing-detent-worn': { steps: ['Spring caught under the hand', 'New detent piece, clicks'] },
  'foam-sleeve-missing': {
    steps: ['Motor dried', 'Foam sleeve on for wet work'],
    waits: { kind: 'drying', hours: 24, what: 'motor' },
  },
  'drum-seal-leaking': { did: ['New drum seal', 'Drum seal seated'], roles: { seal: 'choice' }, steps: NEW_SEAL },
  'drain-leaking': { steps: ['New drain cap or seal, filled with water: no drop'] },
  'solution-stale': { steps: ['Drained and rinsed twice', 'Lid left open; operator shown'] },
  'tank-screen-blocked': { resets: ['solution-screen'], steps: ['Screen brushed and rinsed'] },
  'solution-filter-blocked': { resets: ['solution-screen'], steps: ['Solution filter rinsed, its seal in'] },
  'valve-shut': { steps: ['Valve opened, moved to both ends'] },
  'solenoid-failed': { steps: ['New valve, arrow with the flow', 'Clicks, no drop when shut'] },
  'tube-blocked': { roles: { hose: 'choice' }, steps: ['Tube rodded and flushed', 'Flow measured at the deck'] },
  'jets-blocked': {
    resets: ['jets-clean'],
    steps: ['Jets soaked in vinegar water', 'Fan of spray even'],
    materials: ['Weak vinegar; no wire through a jet'],
  },
  'tank-cracked': { steps: ['Fittings carried over', 'New tank filled: no drop'] },
  'solution-joint-leaking': { roles: { hose: 'choice' }, steps: ['Tube cut back square', 'Joint pushed home, clip'] },
  'squeegee-worn': {
    renewed: ['New blades in: grooves as marked, black outside, grey inside', 'Edge in use written down'],
    did: ['New squeegee blades', 'Squeegee blades turned to a fresh edge'],
    resets: ['squeegee-turn'],
    roles: { squeegee: 'choice' },
    steps: ['Each blade to a fresh edge, or new', 'Edge in use written down'],
  },
  'squeegee-reversed': { steps: ['Outer grooves out, inner grooves in'] },
  'squeegee-tilted': { steps: ['Levelled on a flat floor: bends evenly'] },
  'inlet-blocked': { resets: ['inlets-clear'], steps: CLEAR },
  'inlet-rear-blocked': { resets: ['inlets-clear'], steps: CLEAR },
  'vac-hose-damaged': {
    renewed: ['New hose to both cuffs'],
    did: ['New hose', 'Hose cleared'],
    resets: ['hose-wash'],
    roles: { hose: 'choice' },
    steps: ['Hose cleared, or a new one to both cuffs'],
  },
  'lid-gasket-off': { did: ['New lid gasket', 'Lid gasket seated'], roles: { seal: 'choice' }, steps: NEW_SEAL },
  'vac-filter-lid-warped': { resets: ['vac-filter-look'], steps: ['New lid flat on its seat'] },
  'float-fouled': { resets: ['float-clean'], steps: ['Float and cage rinsed, ball moves'] },
  'float-shut': { resets: ['float-clean'], steps: ['Float freed, moves by its weight'] },
  'recovery-full': { steps: ['Emptied and rinsed, lid left open'] },
  'intake-screen-blocked': { resets: ['intake-screen'], steps: ['Screen brushed dry, no running water'] },
  'skirts-worn': { resets: ['skirts-look'], steps: ['New skirts, they touch the floor all along'] },
  'dirty-tank-gasket': { did: ['New tank gasket', 'Tank gasket seated'], roles: { seal: 'choice' }, steps: NEW_SEAL },
  'vac-motor-failed': { steps: NEW_MOTOR },
  'vac-brushes-worn': { resets: ['carbon-look'], takes: { carbon: 2 }, steps: NEW_CARBONS },
};

/** Faults whose repair does an item of the plan. */
export const repairsThatReset = (item: string): string[] =>
  Object.entries(repairTexts).flatMap(([fault, { resets }]) => (resets?.includes(item) ? [fault] : []));
