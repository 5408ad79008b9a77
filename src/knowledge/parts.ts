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

const scrubbers = kindsFed('lead-acid');
const packs = kindsFed('pack');
const wired = kindsWith('hose-conductors');
const strips = kindsWith('carbon-brushes');

export const shippedParts: ShippedPart[] = [
  {
    code: 'FB-10-300',
    label: 'Flat belt 10 × 300 mm',
    group: 'belt',
    stations: everywhere('flat-belt'),
    priceMinor: 450,
    sizesMm: { length: 300, width: 10 },
  },
  {
    code: 'FB-12-320',
    label: 'Flat belt 12 × 320 mm',
    group: 'belt',
    stations: everywhere('flat-belt'),
    priceMinor: 490,
    sizesMm: { length: 320, width: 12 },
  },
  {
    code: 'FB-10-355',
    label: 'Flat belt 10 × 355 mm',
    group: 'belt',
    stations: everywhere('flat-belt'),
    priceMinor: 470,
    sizesMm: { length: 355, width: 10 },
  },
  {
    code: 'FB-10-340',
    label: 'Flat belt 10 × 340 mm',
    group: 'belt',
    stations: everywhere('flat-belt'),
    priceMinor: 470,
    sizesMm: { length: 340, width: 10 },
  },
  {
    code: 'TB-3-270',
    label: 'Toothed belt 3 mm pitch, 90 teeth',
    group: 'belt',
    stations: everywhere('toothed-belt', 'roll-belt', 'belt-2'),
    priceMinor: 890,
    sizesMm: { length: 270 },
  },
  {
    code: 'TB-2-180',
    label: 'Toothed belt 2 mm pitch, 90 teeth',
    group: 'belt',
    stations: everywhere('toothed-belt'),
    priceMinor: 790,
    sizesMm: { length: 180 },
  },
  {
    code: 'BB-608',
    label: 'Ball bearing 608, 8 × 22 × 7 mm',
    group: 'bearing',
    stations: everywhere('roll-bearings', 'drive-side-bearing', 'deck-bearings'),
    priceMinor: 320,
    sizesMm: { bore: 8, outer: 22, width: 7 },
  },
  {
    code: 'BB-625',
    label: 'Ball bearing 625, 5 × 16 × 5 mm',
    group: 'bearing',
    stations: everywhere('roll-bearings', 'drive-side-bearing', 'deck-bearings'),
    priceMinor: 340,
    sizesMm: { bore: 5, outer: 16, width: 5 },
  },
  {
    code: 'RL-300',
    label: 'Brush roll 300 mm',
    group: 'roll',
    stations: but([...strips, ...scrubbers], everywhere('roll', 'bristles')),
    priceMinor: 2950,
  },
  {
    code: 'EC-PAIR',
    label: 'End caps, pair',
    group: 'roll',
    stations: everywhere('end-caps', 'roll-sprocket'),
    priceMinor: 680,
  },
  {
    code: 'PF-FOAM',
    label: 'Pre-motor foam',
    group: 'filter',
    stations: everywhere('pre-filter', 'pre-foam', 'breather-filter'),
    priceMinor: 720,
  },
  { code: 'PF-FELT', label: 'Pre-motor felt', group: 'filter', stations: everywhere('pre-felt'), priceMinor: 560 },
  {
    code: 'EF-PLEAT',
    label: 'Pleated exhaust filter',
    group: 'filter',
    stations: everywhere('exhaust-filter', 'post-filter', 'exhaust-foam'),
    priceMinor: 1480,
  },
  {
    code: 'BG-STD',
    label: 'Filter bags, five',
    group: 'filter',
    stations: everywhere('bin-or-bag', 'bag', 'outer-bag'),
    priceMinor: 990,
  },
  { code: 'SW-TILT', label: 'Tilt switch', group: 'switch', stations: everywhere('tilt-switch'), priceMinor: 640 },
  {
    code: 'SW-ROCK',
    label: 'Rocker switch',
    group: 'switch',
    stations: but(scrubbers, everywhere('main-switch', 'brush-switch', 'handle-switch')),
    priceMinor: 520,
  },
  {
    code: 'CO-THERM',
    label: 'Thermal cut-out',
    group: 'switch',
    stations: everywhere('cut-out'),
    priceMinor: 880,
  },
  {
    code: 'CD-8M',
    label: 'Cord 8 m with moulded plug',
    group: 'cord',
    stations: everywhere('cord', 'cord-grip', 'plug'),
    priceMinor: 1850,
  },
  {
    code: 'MT-SUC',
    label: 'Suction motor',
    group: 'motor',
    stations: but([...scrubbers, ...packs, ...strips], everywhere('suction-motor', 'fan')),
    priceMinor: 6900,
  },
  {
    code: 'MT-BRU',
    label: 'Brush motor',
    group: 'motor',
    stations: but(scrubbers, everywhere('brush-motor')),
    priceMinor: 4200,
  },
  {
    code: 'CB-PAIR',
    label: 'Carbon brushes, pair',
    group: 'carbon',
    stations: everywhere('carbon-brushes', 'suction-motor'),
    priceMinor: 950,
  },
  {
    code: 'HS-PLAIN',
    label: 'Hose, plain',
    group: 'hose',
    stations: but([...wired, ...scrubbers], everywhere('hose')),
    priceMinor: 2400,
  },
  {
    code: 'HS-WIRED',
    label: 'Hose with wires',
    group: 'hose',
    stations: only(wired, everywhere('hose', 'hose-conductors')),
    priceMinor: 4600,
  },
  {
    code: 'HS-NECK',
    label: 'Neck hose',
    group: 'hose',
    stations: everywhere('neck-hose', 'internal-hose'),
    priceMinor: 1250,
  },
  {
    code: 'SL-SET',
    label: 'Seal and gasket set',
    group: 'seal',
    stations: everywhere(
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
    priceMinor: 830,
  },
  {
    code: 'HB-CTRL',
    label: 'Head board',
    group: 'board',
    stations: everywhere('head-board'),
    priceMinor: 3300,
  },
  {
    code: 'FB-PRIM',
    label: 'First belt of a clutch drive',
    group: 'belt',
    stations: everywhere('primary-belt', 'belt-1'),
    priceMinor: 1190,
  },
  {
    code: 'BP-LI',
    label: 'Lithium pack',
    group: 'battery',
    stations: everywhere('battery-pack'),
    priceMinor: 8900,
  },
  {
    code: 'BT-LA12',
    label: 'Lead-acid battery 12 V, deep cycle',
    group: 'battery',
    stations: everywhere('batteries'),
    priceMinor: 21900,
  },
  {
    code: 'SQ-SET',
    label: 'Squeegee blades, outer and inner',
    group: 'squeegee',
    stations: everywhere('squeegee-blades'),
    priceMinor: 5400,
  },
  {
    code: 'DB-PAIR',
    label: 'Deck belts, pair',
    group: 'belt',
    stations: everywhere('belt', 'belt-front', 'belt-rear'),
    priceMinor: 2600,
  },
  {
    code: 'DV-BELT',
    label: 'Drive belt',
    group: 'belt',
    stations: everywhere('drive-belt'),
    priceMinor: 1150,
  },
  {
    code: 'SP-MOT',
    label: 'Motor sprocket',
    group: 'drive',
    stations: everywhere('brush-motor-sprocket', 'motor-sprocket'),
    priceMinor: 780,
  },
  {
    code: 'CL-PULL',
    label: 'Clutch with pulleys and arm',
    group: 'drive',
    stations: everywhere('clutch-pulleys'),
    priceMinor: 3400,
  },
  {
    code: 'SP-SHAFT',
    label: 'Motor spindle',
    group: 'drive',
    stations: everywhere('motor-spindle'),
    priceMinor: 2100,
  },
  {
    code: 'GR-SET',
    label: 'Gear set',
    group: 'drive',
    stations: everywhere('gears'),
    priceMinor: 2300,
  },
  {
    code: 'TR-UNIT',
    label: 'Drive unit',
    group: 'drive',
    stations: everywhere('gear-train'),
    priceMinor: 9800,
  },
  {
    code: 'TU-WHEEL',
    label: 'Turbine with its bearings',
    group: 'drive',
    stations: everywhere('turbine-shaft', 'turbine'),
    priceMinor: 3100,
  },
  {
    code: 'BR-DECK',
    label: 'Scrub brush',
    group: 'roll',
    stations: only(scrubbers, everywhere('brush', 'brush-front', 'brush-rear')),
    priceMinor: 6200,
  },
  {
    code: 'BR-CARPET',
    label: 'Carpet brush',
    group: 'roll',
    stations: but(scrubbers, everywhere('brush')),
    priceMinor: 2400,
  },
  {
    code: 'BR-SIDE',
    label: 'Side brush',
    group: 'roll',
    stations: everywhere('side-brush'),
    priceMinor: 650,
  },
  {
    code: 'BR-STRIP',
    label: 'Bristle strip',
    group: 'roll',
    stations: only(strips, everywhere('bristles')),
    priceMinor: 480,
  },
  {
    code: 'IB-SET',
    label: 'Bars for the mouth, set',
    group: 'roll',
    stations: everywhere('ingest-bars'),
    priceMinor: 540,
  },
  {
    code: 'RE-PIECE',
    label: 'End piece of the roll',
    group: 'roll',
    stations: everywhere('left-end-cap'),
    priceMinor: 620,
  },
  {
    code: 'SW-KEY',
    label: 'Key switch',
    group: 'switch',
    stations: only(scrubbers, everywhere('main-switch')),
    priceMinor: 1400,
  },
  {
    code: 'SW-TRIG',
    label: 'Trigger switch',
    group: 'switch',
    stations: everywhere('trigger'),
    priceMinor: 760,
  },
  {
    code: 'SW-SEAT',
    label: 'Seat switch',
    group: 'switch',
    stations: everywhere('seat-switch'),
    priceMinor: 1900,
  },
  {
    code: 'CT-COIL',
    label: 'Contactor',
    group: 'switch',
    stations: everywhere('contactor'),
    priceMinor: 4700,
  },
  {
    code: 'VL-SOL',
    label: 'Solenoid valve',
    group: 'switch',
    stations: everywhere('valve'),
    priceMinor: 3600,
  },
  {
    code: 'MT-SUC-B',
    label: 'Suction motor for batteries',
    group: 'motor',
    stations: only([...scrubbers, ...packs], everywhere('suction-motor', 'fan')),
    priceMinor: 8800,
  },
  {
    code: 'MT-DECK',
    label: 'Deck motor',
    group: 'motor',
    stations: only(scrubbers, everywhere('deck-motor', 'brush-motor')),
    priceMinor: 14500,
  },
  {
    code: 'MT-SMALL',
    label: 'Small motor with its fan',
    group: 'motor',
    stations: only(strips, everywhere('field', 'armature', 'fan')),
    priceMinor: 3900,
  },
  {
    code: 'MD-SIDE',
    label: 'Side brush module',
    group: 'motor',
    stations: everywhere('side-brush-motor'),
    priceMinor: 2100,
  },
  {
    code: 'MD-WHEEL',
    label: 'Wheel module',
    group: 'motor',
    stations: everywhere('wheel-motors'),
    priceMinor: 2900,
  },
  {
    code: 'PU-SOL',
    label: 'Solution pump',
    group: 'motor',
    stations: everywhere('pump'),
    priceMinor: 5200,
  },
  {
    code: 'CB-SMALL',
    label: 'Commutator care set',
    group: 'carbon',
    stations: everywhere('commutator'),
    priceMinor: 700,
  },
  {
    code: 'HS-SQG',
    label: 'Squeegee hose',
    group: 'hose',
    stations: only(scrubbers, everywhere('hose')),
    priceMinor: 4200,
  },
  {
    code: 'HS-SPR',
    label: 'Spring hose',
    group: 'hose',
    stations: everywhere('plate-spring-hose'),
    priceMinor: 900,
  },
  {
    code: 'TU-SOL',
    label: 'Solution tube, by the metre',
    group: 'hose',
    stations: everywhere('solution-tube'),
    priceMinor: 380,
  },
  {
    code: 'SL-FELT',
    label: 'Felt gasket',
    group: 'seal',
    stations: everywhere('felt-gasket'),
    priceMinor: 420,
  },
  {
    code: 'SL-MOUNT',
    label: 'Rubber mounts, set',
    group: 'seal',
    stations: everywhere('rubber-mounts'),
    priceMinor: 560,
  },
  {
    code: 'SL-NECK',
    label: 'Swivel neck',
    group: 'seal',
    stations: everywhere('swivel-neck'),
    priceMinor: 1700,
  },
  {
    code: 'SL-TUBE',
    label: 'Sealant, tube',
    group: 'seal',
    stations: everywhere('sealant-joint'),
    priceMinor: 890,
  },
  {
    code: 'SL-SHOE',
    label: 'Emptying shoe',
    group: 'seal',
    stations: everywhere('emptying-shoe'),
    priceMinor: 1250,
  },
  {
    code: 'SL-DRAIN',
    label: 'Drain cap',
    group: 'seal',
    stations: everywhere('drain'),
    priceMinor: 640,
  },
  {
    code: 'SL-VACLID',
    label: 'Suction filter lid',
    group: 'seal',
    stations: everywhere('vac-filter'),
    priceMinor: 2300,
  },
  {
    code: 'FS-WET',
    label: 'Foam sleeve',
    group: 'filter',
    stations: everywhere('foam-sleeve'),
    priceMinor: 690,
  },
  {
    code: 'SF-MESH',
    label: 'Solution filter',
    group: 'filter',
    stations: everywhere('solution-filter'),
    priceMinor: 1350,
  },
  {
    code: 'BD-MAIN',
    label: 'Main board',
    group: 'board',
    stations: everywhere('main-board'),
    priceMinor: 4900,
  },
  {
    code: 'BD-RECV',
    label: 'Receiver board',
    group: 'board',
    stations: everywhere('receiver-board'),
    priceMinor: 3800,
  },
  {
    code: 'SK-SET',
    label: 'Deck skirts',
    group: 'squeegee',
    stations: everywhere('skirts'),
    priceMinor: 4100,
  },
];
