import { everywhere } from './where';

/** A small shipped list of parts. Makers and numbers are invented; prices are the demonstration's, in minor units. */
export interface ShippedPart {
  code: string;
  label: string;
  group:
    | 'belt'
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
    stations: everywhere('roll', 'bristles', 'brush', 'brush-front', 'brush-rear', 'side-brush'),
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
    stations: everywhere('pre-filter', 'pre-foam', 'solution-filter', 'breather-filter'),
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
    stations: everywhere('main-switch', 'brush-switch', 'handle-switch', 'trigger', 'contactor', 'seat-switch'),
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
    stations: everywhere('suction-motor', 'fan', 'pump'),
    priceMinor: 6900,
  },
  {
    code: 'MT-BRU',
    label: 'Brush motor',
    group: 'motor',
    stations: everywhere('brush-motor', 'brush-motor-sprocket', 'deck-motor', 'side-brush-motor', 'wheel-motors'),
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
    stations: everywhere('hose', 'plate-spring-hose', 'solution-tube'),
    priceMinor: 2400,
  },
  {
    code: 'HS-WIRED',
    label: 'Hose with wires',
    group: 'hose',
    stations: everywhere('hose', 'hose-conductors'),
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
      'bag-door-seal',
      'turbine-cover-seal',
      'lid-gasket',
      'drum-seal',
      'tank-gasket',
      'felt-gasket',
      'handle-gasket',
      'rubber-mounts',
    ),
    priceMinor: 830,
  },
  {
    code: 'HB-CTRL',
    label: 'Head board',
    group: 'board',
    stations: everywhere('head-board', 'main-board', 'receiver-board'),
    priceMinor: 3300,
  },
  {
    code: 'FB-PRIM',
    label: 'First belt of a clutch drive',
    group: 'belt',
    stations: everywhere('primary-belt', 'belt-1', 'belt', 'belt-front', 'belt-rear', 'drive-belt'),
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
    stations: everywhere('squeegee-blades', 'skirts'),
    priceMinor: 5400,
  },
];
