import { everywhere, kindsFed, kindsWith } from './where';

/** A small shipped list of parts. Makers and numbers are invented; prices are the demonstration's, in minor units. */
export interface ShippedPart {
  code: string;
  label: string;
  group:
    | 'belt'
    | 'drive'
    | 'bearing'
    | 'roll'
    | 'filter'
    | 'switch'
    | 'cord'
    | 'motor'
    | 'carbon'
    | 'hose'
    | 'seal'
    | 'board'
    | 'battery'
    | 'squeegee';
  /** Kind id → stations where it sits. */
  stations: Record<string, string[]>;
  priceMinor: number;
  /** By which it is found with a caliper or a tape, mm; a belt's length is its free or pitch length. */
  sizesMm?: Record<string, number>;
}

type Places = Record<string, string[]>;

/** Only in these kinds. */
const only = (kinds: string[], places: Places): Places =>
  Object.fromEntries(Object.entries(places).filter(([kind]) => kinds.includes(kind)));
/** Not in these kinds. */
const but = (kinds: string[], places: Places): Places =>
  Object.fromEntries(Object.entries(places).filter(([kind]) => !kinds.includes(kind)));

function part(
  code: string,
  label: string,
  group: ShippedPart['group'],
  priceMinor: number,
  stations: Places,
  sizesMm?: Record<string, number>,
): ShippedPart {
  return { code, label, group, stations, priceMinor, ...(sizesMm ? { sizesMm } : {}) };
}

const scrubbers = kindsFed('lead-acid');
const packs = kindsFed('pack');
const wired = kindsWith('hose-conductors');
const strips = kindsWith('carbon-brushes');
/** The fan sits in a chamber of its own and is had without the motor. */
const fansAlone = [...kindsWith('fan-housing'), ...kindsWith('fan-chamber')];

export const shippedParts: ShippedPart[] = [
  part('FB-10-300', 'Flat belt 10 × 300 mm', 'belt', 450, everywhere('flat-belt'), { length: 300, width: 10 }),
  part('FB-12-320', 'Flat belt 12 × 320 mm', 'belt', 490, everywhere('flat-belt'), { length: 320, width: 12 }),
  part('FB-10-355', 'Flat belt 10 × 355 mm', 'belt', 470, everywhere('flat-belt'), { length: 355, width: 10 }),
  part('FB-10-340', 'Flat belt 10 × 340 mm', 'belt', 470, everywhere('flat-belt'), { length: 340, width: 10 }),
  part(
    'TB-3-270',
    'Toothed belt 3 mm pitch, 90 teeth',
    'belt',
    890,
    everywhere('toothed-belt', 'roll-belt', 'belt-2'),
    { length: 270 },
  ),
  part('TB-2-180', 'Toothed belt 2 mm pitch, 90 teeth', 'belt', 790, everywhere('toothed-belt'), { length: 180 }),
  part(
    'BB-608',
    'Ball bearing 608, 8 × 22 × 7 mm',
    'bearing',
    320,
    everywhere('roll-bearings', 'drive-side-bearing', 'deck-bearings'),
    { bore: 8, outer: 22, width: 7 },
  ),
  part(
    'BB-625',
    'Ball bearing 625, 5 × 16 × 5 mm',
    'bearing',
    340,
    everywhere('roll-bearings', 'drive-side-bearing', 'deck-bearings'),
    { bore: 5, outer: 16, width: 5 },
  ),
  part('RL-300', 'Brush roll 300 mm', 'roll', 2950, but([...strips, ...scrubbers], everywhere('roll', 'bristles'))),
  part('EC-PAIR', 'End caps, pair', 'roll', 680, everywhere('end-caps', 'roll-sprocket')),
  part('PF-FOAM', 'Pre-motor foam', 'filter', 720, everywhere('pre-filter', 'pre-foam', 'breather-filter')),
  part('PF-FELT', 'Pre-motor felt', 'filter', 560, everywhere('pre-felt')),
  part(
    'EF-PLEAT',
    'Pleated exhaust filter',
    'filter',
    1480,
    everywhere('exhaust-filter', 'post-filter', 'exhaust-foam'),
  ),
  part('BG-STD', 'Filter bags, five', 'filter', 990, everywhere('bin-or-bag', 'bag', 'outer-bag')),
  part('SW-TILT', 'Tilt switch', 'switch', 640, everywhere('tilt-switch')),
  part(
    'SW-ROCK',
    'Rocker switch',
    'switch',
    520,
    but(scrubbers, everywhere('main-switch', 'brush-switch', 'handle-switch')),
  ),
  part('CO-THERM', 'Thermal cut-out', 'switch', 880, everywhere('cut-out')),
  part('CD-8M', 'Cord 8 m with moulded plug', 'cord', 1850, everywhere('cord', 'cord-grip', 'plug')),
  part('MT-SUC', 'Suction motor', 'motor', 6900, {
    ...but([...scrubbers, ...packs, ...strips], everywhere('suction-motor', 'fan')),
    ...only(fansAlone, everywhere('suction-motor')),
  }),
  part('FN-LEFT', 'Fan, left-hand thread', 'motor', 1650, only(fansAlone, everywhere('fan'))),
  part('MT-BRU', 'Brush motor', 'motor', 4200, but(scrubbers, everywhere('brush-motor'))),
  part('CB-PAIR', 'Carbon brushes, pair', 'carbon', 950, everywhere('carbon-brushes', 'suction-motor')),
  part('HS-PLAIN', 'Hose, plain', 'hose', 2400, but([...wired, ...scrubbers], everywhere('hose'))),
  part('HS-WIRED', 'Hose with wires', 'hose', 4600, only(wired, everywhere('hose', 'hose-conductors'))),
  part('HS-NECK', 'Neck hose', 'hose', 1250, everywhere('neck-hose', 'internal-hose')),
  part(
    'SL-SET',
    'Seal and gasket set',
    'seal',
    830,
    everywhere(
      'motor-seal',
      'motor-seals',
      'gaskets',
      'bin',
      'bag-door-seal',
      'turbine-cover-seal',
      'lid-gasket',
      'drum-seal',
      'tank-gasket',
      'handle-gasket',
    ),
  ),
  part('HB-CTRL', 'Head board', 'board', 3300, everywhere('head-board')),
  part('FB-PRIM', 'First belt of a clutch drive', 'belt', 1190, everywhere('primary-belt', 'belt-1')),
  part('BP-LI', 'Lithium pack', 'battery', 8900, everywhere('battery-pack')),
  part('BT-LA12', 'Lead-acid battery 12 V, deep cycle', 'battery', 21900, everywhere('batteries')),
  part('SQ-SET', 'Squeegee blades, outer and inner', 'squeegee', 5400, everywhere('squeegee-blades')),
  part('DB-PAIR', 'Deck belts, pair', 'belt', 2600, everywhere('belt', 'belt-front', 'belt-rear')),
  part('DV-BELT', 'Drive belt', 'belt', 1150, everywhere('drive-belt')),
  part('SP-MOT', 'Motor sprocket', 'drive', 780, everywhere('brush-motor-sprocket', 'motor-sprocket')),
  part('CL-PULL', 'Clutch with pulleys and arm', 'drive', 3400, everywhere('clutch-pulleys')),
  part('SP-SHAFT', 'Motor spindle', 'drive', 2100, everywhere('motor-spindle')),
  part('GR-SET', 'Gear set', 'drive', 2300, everywhere('gears')),
  part('TR-UNIT', 'Drive unit', 'drive', 9800, everywhere('gear-train')),
  part('TU-WHEEL', 'Turbine with its bearings', 'drive', 3100, everywhere('turbine-shaft', 'turbine')),
  part('BR-DECK', 'Scrub brush', 'roll', 6200, only(scrubbers, everywhere('brush', 'brush-front', 'brush-rear'))),
  part('BR-CARPET', 'Carpet brush', 'roll', 2400, but(scrubbers, everywhere('brush'))),
  part('BR-SIDE', 'Side brush', 'roll', 650, everywhere('side-brush')),
  part('BR-STRIP', 'Bristle strip', 'roll', 480, only(strips, everywhere('bristles'))),
  part('IB-SET', 'Bars for the mouth, set', 'roll', 540, everywhere('ingest-bars')),
  part('RE-PIECE', 'End piece of the roll', 'roll', 620, everywhere('left-end-cap')),
  part('SW-KEY', 'Key switch', 'switch', 1400, only(scrubbers, everywhere('main-switch'))),
  part('SW-TRIG', 'Trigger switch', 'switch', 760, everywhere('trigger')),
  part('SW-SEAT', 'Seat switch', 'switch', 1900, everywhere('seat-switch')),
  part('CT-COIL', 'Contactor', 'switch', 4700, everywhere('contactor')),
  part('VL-SOL', 'Solenoid valve', 'switch', 3600, everywhere('valve')),
  part(
    'MT-SUC-B',
    'Suction motor for batteries',
    'motor',
    8800,
    only([...scrubbers, ...packs], everywhere('suction-motor', 'fan')),
  ),
  part('MT-DECK', 'Deck motor', 'motor', 14500, only(scrubbers, everywhere('deck-motor', 'brush-motor'))),
  part('MT-SMALL', 'Small motor with its fan', 'motor', 3900, only(strips, everywhere('field', 'armature', 'fan'))),
  part('MD-SIDE', 'Side brush module', 'motor', 2100, everywhere('side-brush-motor')),
  part('MD-WHEEL', 'Wheel module', 'motor', 2900, everywhere('wheel-motors')),
  part('PU-SOL', 'Solution pump', 'motor', 5200, everywhere('pump')),
  part('CB-SMALL', 'Commutator care set', 'carbon', 700, everywhere('commutator')),
  part('HS-SQG', 'Squeegee hose', 'hose', 4200, only(scrubbers, everywhere('hose'))),
  part('HS-SPR', 'Spring hose', 'hose', 900, everywhere('plate-spring-hose')),
  part('TU-SOL', 'Solution tube, by the metre', 'hose', 380, everywhere('solution-tube')),
  part('SL-FELT', 'Felt gasket', 'seal', 420, everywhere('felt-gasket')),
  part('SL-MOUNT', 'Rubber mounts, set', 'seal', 560, everywhere('rubber-mounts')),
  part('SL-NECK', 'Swivel neck', 'seal', 1700, everywhere('swivel-neck')),
  part('SL-TUBE', 'Sealant, tube', 'seal', 890, everywhere('sealant-joint')),
  part('SL-SHOE', 'Emptying shoe', 'seal', 1250, everywhere('emptying-shoe')),
  part('SL-DRAIN', 'Drain cap', 'seal', 640, everywhere('drain')),
  part('SL-VACLID', 'Suction filter lid', 'seal', 2300, everywhere('vac-filter')),
  part('FS-WET', 'Foam sleeve', 'filter', 690, everywhere('foam-sleeve')),
  part('SF-MESH', 'Solution filter', 'filter', 1350, everywhere('solution-filter')),
  part('BD-MAIN', 'Main board', 'board', 4900, everywhere('main-board')),
  part('BD-RECV', 'Receiver board', 'board', 3800, everywhere('receiver-board')),
  part('SK-SET', 'Deck skirts', 'squeegee', 4100, everywhere('skirts')),
];
