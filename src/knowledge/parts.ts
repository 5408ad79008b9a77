/** A small shipped list of parts. Makers and numbers are invented; prices are the demonstration's, in minor units. */
export interface ShippedPart {
  code: string;
  label: string;
  group: 'belt' | 'bearing' | 'roll' | 'filter' | 'switch' | 'cord' | 'motor' | 'carbon' | 'hose' | 'seal' | 'board';
  /** Kind id → station where it sits. */
  stations: Record<string, string[]>;
  priceMinor: number;
}

const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';

export const shippedParts: ShippedPart[] = [
  {
    code: 'FB-10-300',
    label: 'Flat belt 10 × 300 mm',
    group: 'belt',
    stations: { [K1]: ['flat-belt'] },
    priceMinor: 450,
  },
  {
    code: 'FB-12-320',
    label: 'Flat belt 12 × 320 mm',
    group: 'belt',
    stations: { [K1]: ['flat-belt'] },
    priceMinor: 490,
  },
  {
    code: 'TB-3-270',
    label: 'Toothed belt 3 mm pitch, 90 teeth',
    group: 'belt',
    stations: { [K2]: ['toothed-belt'] },
    priceMinor: 890,
  },
  {
    code: 'TB-2-180',
    label: 'Toothed belt 2 mm pitch, 90 teeth',
    group: 'belt',
    stations: { [K2]: ['toothed-belt'] },
    priceMinor: 790,
  },
  {
    code: 'BB-608',
    label: 'Ball bearing 608, 8 × 22 × 7 mm',
    group: 'bearing',
    stations: { [K1]: ['roll-bearings'], [K2]: ['roll-bearings'] },
    priceMinor: 320,
  },
  {
    code: 'BB-625',
    label: 'Ball bearing 625, 5 × 16 × 5 mm',
    group: 'bearing',
    stations: { [K1]: ['roll-bearings'], [K2]: ['roll-bearings'] },
    priceMinor: 340,
  },
  {
    code: 'RL-300',
    label: 'Brush roll 300 mm',
    group: 'roll',
    stations: { [K1]: ['roll', 'bristles'], [K2]: ['roll', 'bristles'] },
    priceMinor: 2950,
  },
  {
    code: 'EC-PAIR',
    label: 'End caps, pair',
    group: 'roll',
    stations: { [K1]: ['end-caps'], [K2]: ['end-caps', 'roll-sprocket'] },
    priceMinor: 680,
  },
  {
    code: 'PF-FOAM',
    label: 'Pre-motor foam',
    group: 'filter',
    stations: { [K1]: ['pre-filter'], [K2]: ['pre-foam'] },
    priceMinor: 720,
  },
  { code: 'PF-FELT', label: 'Pre-motor felt', group: 'filter', stations: { [K2]: ['pre-felt'] }, priceMinor: 560 },
  {
    code: 'EF-PLEAT',
    label: 'Pleated exhaust filter',
    group: 'filter',
    stations: { [K1]: ['exhaust-filter'], [K2]: ['exhaust-filter'] },
    priceMinor: 1480,
  },
  { code: 'BG-STD', label: 'Filter bags, five', group: 'filter', stations: { [K1]: ['bin-or-bag'] }, priceMinor: 990 },
  { code: 'SW-TILT', label: 'Tilt switch', group: 'switch', stations: { [K2]: ['tilt-switch'] }, priceMinor: 640 },
  {
    code: 'SW-ROCK',
    label: 'Rocker switch',
    group: 'switch',
    stations: { [K1]: ['main-switch'], [K2]: ['main-switch', 'brush-switch'] },
    priceMinor: 520,
  },
  {
    code: 'CO-THERM',
    label: 'Thermal cut-out',
    group: 'switch',
    stations: { [K1]: ['cut-out'], [K2]: ['cut-out'] },
    priceMinor: 880,
  },
  {
    code: 'CD-8M',
    label: 'Cord 8 m with moulded plug',
    group: 'cord',
    stations: { [K1]: ['cord', 'cord-grip', 'plug'], [K2]: ['cord', 'cord-grip', 'plug'] },
    priceMinor: 1850,
  },
  {
    code: 'MT-SUC',
    label: 'Suction motor',
    group: 'motor',
    stations: { [K1]: ['suction-motor', 'fan'], [K2]: ['suction-motor', 'fan'] },
    priceMinor: 6900,
  },
  {
    code: 'MT-BRU',
    label: 'Brush motor',
    group: 'motor',
    stations: { [K2]: ['brush-motor', 'brush-motor-sprocket'] },
    priceMinor: 4200,
  },
  {
    code: 'CB-PAIR',
    label: 'Carbon brushes, pair',
    group: 'carbon',
    stations: { [K1]: ['suction-motor'], [K2]: ['suction-motor'] },
    priceMinor: 950,
  },
  { code: 'HS-PLAIN', label: 'Hose, plain', group: 'hose', stations: { [K1]: ['hose'] }, priceMinor: 2400 },
  {
    code: 'HS-WIRED',
    label: 'Hose with wires',
    group: 'hose',
    stations: { [K2]: ['hose', 'hose-conductors'] },
    priceMinor: 4600,
  },
  { code: 'HS-NECK', label: 'Neck hose', group: 'hose', stations: { [K2]: ['neck-hose'] }, priceMinor: 1250 },
  {
    code: 'SL-SET',
    label: 'Seal and gasket set',
    group: 'seal',
    stations: { [K1]: ['motor-seal', 'gaskets'], [K2]: ['gaskets', 'bin'] },
    priceMinor: 830,
  },
  { code: 'HB-CTRL', label: 'Head board', group: 'board', stations: { [K2]: ['head-board'] }, priceMinor: 3300 },
];
