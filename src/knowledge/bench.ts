const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';
const both = [K1, K2];

/** What is looked for when a machine is set on the counter. Common practice, no source. */
export interface ArrivalSign {
  id: string;
  label: string;
  /** Caution that it puts in force. */
  raises: string;
  /** Check that is made first because of it, where the kind has it. */
  firstCheck?: string;
  note: string;
}

export const arrivalSigns: ArrivalSign[] = [
  {
    id: 'wet',
    label: 'Wet, mud or rust',
    raises: 'wet-signs',
    firstCheck: 'wet-signs',
    note: 'Stand it where it can drip, filters out.',
  },
  {
    id: 'burnt',
    label: 'Burnt smell or heat marks',
    raises: 'burnt-smell',
    firstCheck: 'sole-plate-look',
    note: 'Feel for heat before it goes on a shelf.',
  },
  {
    id: 'cord',
    label: 'Cord damaged',
    raises: 'damaged-cord',
    firstCheck: 'cord-look',
    note: 'Look along its whole length and at both grips.',
  },
  {
    id: 'screws',
    label: 'Screws missing',
    raises: 'screws-missing',
    firstCheck: 'frame-look',
    note: 'Missing on arrival: owed to the owner, not lost here.',
  },
  {
    id: 'handle',
    label: 'Handle loose',
    raises: 'loose-handle',
    firstCheck: 'handle-seated',
    note: 'Said so on the job sheet.',
  },
  {
    id: 'battery',
    label: 'Battery swollen',
    raises: 'lithium-pack',
    note: 'Take the pack off outside if that goes without force; never charge it.',
  },
  {
    id: 'mould',
    label: 'Mould',
    raises: 'mould-dust',
    firstCheck: 'filter-look',
    note: 'Bag it until it is opened outdoors.',
  },
];

/** What comes with a machine and must go home with it. Common practice, no source. */
export const accessoryNames = [
  'hose',
  'wand',
  'floor tool',
  'crevice tool',
  'upholstery brush',
  'power nozzle',
  'bin',
  'bag',
  'charger',
  'battery',
  'key',
] as const;

/** What is seen on a part before anybody here touched it. */
export const conditionWords = ['cracked', 'scratched', 'missing', 'taped', 'bent', 'worn'] as const;

/** A check of the rebuild, done before Prove. Common practice, no source. */
export interface RebuildStep {
  id: string;
  label: string;
  kinds: string[];
  /** Asked only when one of these was opened in the job; always when absent. */
  whenOpened?: string[];
  /** Stations it speaks of, lit on the board. */
  stations: string[];
}

export const rebuildSteps: RebuildStep[] = [
  {
    id: 'shaft-wiped',
    label: 'Shaft wiped, no old rubber left',
    kinds: [K1],
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['motor-shaft'],
  },
  {
    id: 'roll-clean',
    label: 'Hair off roll and caps',
    kinds: both,
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['roll', 'end-caps'],
  },
  {
    id: 'caps-in-notch',
    label: 'Both end caps in their notches',
    kinds: both,
    whenOpened: ['roll-out'],
    stations: ['end-caps'],
  },
  {
    id: 'belt-tracked',
    label: 'Belt on, turned by hand until it found its centre',
    kinds: both,
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['flat-belt', 'toothed-belt'],
  },
  {
    id: 'cover-seated',
    label: 'Belt cover seated',
    kinds: [K1],
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['belt-cover'],
  },
  {
    id: 'height-knob',
    label: 'Height knob back, screws of its length in its holes',
    kinds: [K1],
    whenOpened: ['sole-plate', 'roll-out'],
    stations: ['height-setting'],
  },
  {
    id: 'wires-in-channel',
    label: 'Wires back in their channel, lamp plug on',
    kinds: [K2],
    whenOpened: ['head'],
    stations: ['tilt-switch', 'head-lamp'],
  },
  {
    id: 'neck-seated',
    label: 'Neck hose seated, no fold',
    kinds: [K2],
    whenOpened: ['sole-plate', 'head'],
    stations: ['neck-hose'],
  },
  {
    id: 'seals-wiped',
    label: 'Seals wiped and in their grooves',
    kinds: both,
    whenOpened: ['filter-bay', 'motor-bay'],
    stations: ['gaskets', 'motor-seal'],
  },
  {
    id: 'filters-clean',
    label: 'Filters clean, dry and back',
    kinds: both,
    stations: ['pre-filter', 'pre-foam', 'pre-felt', 'exhaust-filter'],
  },
  { id: 'cord-clear', label: 'Cord not crushed under bag or cover', kinds: both, stations: ['cord'] },
  { id: 'turned-by-hand', label: 'Roll turned by hand: free', kinds: both, stations: ['roll'] },
  { id: 'nothing-left', label: 'No screw, washer or clip left over', kinds: both, stations: ['housing'] },
];

/** Waits with nothing for the hands to do. Hours: common practice, no source. */
export const waitKinds = [
  { id: 'drying', label: 'Drying', hours: 24, place: 'rack' },
  { id: 'soaking', label: 'Penetrant soaking', hours: 4, place: 'bench' },
  { id: 'glue', label: 'Glue or sealant', hours: 24, place: 'rack' },
  { id: 'part', label: 'Waiting for a part', hours: 72, place: 'parts-shelf' },
  { id: 'answer', label: 'Waiting for an answer', hours: 48, place: 'door-shelf' },
] as const;

export const places = [
  { id: 'bench', label: 'Bench' },
  { id: 'rack', label: 'Drying rack' },
  { id: 'parts-shelf', label: 'Parts shelf' },
  { id: 'door-shelf', label: 'Door shelf' },
] as const;

/** Lines for the customer's care sheet: always, or after one of these faults. Common practice, no source. */
export const careLines: { kinds: string[]; afterFaults?: string[]; text: string }[] = [
  {
    kinds: both,
    text: 'Empty the bin or change the bag before it reaches the line. A full bin is the first cause of heat.',
  },
  {
    kinds: both,
    text: 'Wash foam filters in cold water until it runs clear, then dry them a full day before they go back. A second filter keeps the machine in use.',
  },
  { kinds: both, text: 'A green filter light is no proof: look at the filter itself.' },
  {
    kinds: both,
    afterFaults: ['roll-bound-by-hair', 'bearing-rough', 'bristles-worn'],
    text: 'Plug out, then cut hair off the roll along its groove once a month.',
  },
  {
    kinds: both,
    afterFaults: ['roll-jammed-by-object', 'head-mouth-blocked', 'fan-broken'],
    text: 'Pick up screws, coins and stones by hand. What rattles in goes through the fan or into the roll.',
  },
  {
    kinds: [K1],
    afterFaults: ['belt-broken', 'belt-slipping', 'belt-off-track', 'rubber-on-shaft'],
    text: 'Lift the machine off fringes and loose rugs at once: a stalled roll burns the belt in seconds.',
  },
  {
    kinds: both,
    afterFaults: ['thermal-cutout-open', 'filter-clogged', 'hose-clogged', 'felt-clogged'],
    text: 'If it stops by itself, plug out, empty it, look at the filter and let it cool. Do not reset it again and again.',
  },
  {
    kinds: both,
    afterFaults: ['cord-broken-at-grip', 'cord-damaged', 'plug-damaged'],
    text: 'Pull the plug, not the cord; leave a loose bend at the handle.',
  },
  {
    kinds: [K2],
    afterFaults: ['tilt-switch-failed', 'head-board-failed', 'brush-motor-failed', 'water-in-head'],
    text: 'Never on wet floors or fresh carpet powder: the motor sits in the head.',
  },
  { kinds: both, text: 'Nothing wet, no ash, no fine building dust.' },
];
