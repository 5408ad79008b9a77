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

/** Why a machine is here when nothing is wrong with it. Common practice, no source. */
export const visits = [
  { id: 'service', label: 'Service', says: 'its service' },
  { id: 'height', label: 'Set the height', says: 'the height of its roll' },
  { id: 'new-part', label: 'A new part, please', says: 'a part that was asked for' },
  { id: 'before-sale', label: 'Check before sale', says: 'a check before it is sold' },
] as const;

/**
 * How a visit may end. `tested` asks for all proofs; `returned` goes home with its owner, so what stays open on it is told
 * to them; `asks` needs the reason in words.
 */
export const endings = [
  { id: 'repaired', label: 'Done and proved', says: 'Handed back', tested: true, returned: true, asks: false },
  {
    id: 'not-seen',
    label: 'Complaint not seen here',
    says: 'Handed back: the complaint was not seen here',
    tested: true,
    returned: true,
    asks: false,
  },
  {
    id: 'unrepaired',
    label: 'Not repaired, as the owner wishes',
    says: 'Handed back unrepaired, as the owner wishes',
    tested: false,
    returned: true,
    asks: false,
  },
  {
    id: 'unrepairable',
    label: 'Cannot be repaired',
    says: 'Handed back: cannot be repaired',
    tested: false,
    returned: true,
    asks: true,
  },
  {
    id: 'authorised',
    label: 'Sent to the authorised shop',
    says: 'Sent to the authorised shop',
    tested: false,
    returned: false,
    asks: false,
  },
  { id: 'scrapped', label: 'Scrapped here', says: 'Scrapped', tested: false, returned: false, asks: true },
  {
    id: 'cancelled',
    label: 'Taken in by mistake',
    says: 'Cancelled: taken in by mistake',
    tested: false,
    returned: false,
    asks: true,
  },
] as const;

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

/** Waits with nothing for the hands to do, and where the machine lies meanwhile. Hours: common practice, no source. */
export const waitKinds = [
  { id: 'drying', label: 'Drying', hours: 24, place: 'rack', cautions: ['dry-before-run'] },
  { id: 'soaking', label: 'Penetrant soaking', hours: 4, place: 'bench', cautions: ['solvents'] },
  { id: 'glue', label: 'Glue or sealant', hours: 24, place: 'rack', cautions: ['solvents'] },
  { id: 'part', label: 'Waiting for a part', hours: 72, place: 'parts-shelf', cautions: [] },
  { id: 'answer', label: 'Waiting for an answer', hours: 48, place: 'door-shelf', cautions: [] },
] as const;

export const places = [
  { id: 'bench', label: 'Bench' },
  { id: 'rack', label: 'Drying rack' },
  { id: 'parts-shelf', label: 'Parts shelf' },
  { id: 'door-shelf', label: 'Door shelf' },
] as const;
