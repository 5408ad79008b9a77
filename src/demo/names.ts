/** Invented names only: no place, maker or person is real. */
export const firstNames = [
  'Ada',
  'Bram',
  'Cass',
  'Dell',
  'Edda',
  'Finn',
  'Greta',
  'Hale',
  'Ilse',
  'Jory',
  'Kit',
  'Lorne',
  'Mab',
  'Nell',
  'Osric',
  'Perrin',
  'Quill',
  'Runa',
  'Sable',
  'Tamsin',
  'Ulla',
  'Voss',
  'Wren',
  'Yarrow',
];
export const lastNames = [
  'Tarrow',
  'Quillon',
  'Marsk',
  'Ostrey',
  'Pellan',
  'Haskin',
  'Wendle',
  'Corrin',
  'Brackley-Sund',
  'Luskin',
  'Fennock',
  'Draycote',
  'Ormsay',
  'Thrale',
  'Skerrow',
  'Vintry',
  'Gathorne',
  'Mewslade',
];
export const streets = [
  'Ropewalk',
  'Cinder Lane',
  'Upper Staithe',
  'Lantern Row',
  'Gull Steps',
  'Tidemill Road',
  'Saltern Close',
  'Heron Yard',
];

export const businesses = [
  { name: 'Orrin Quay ferry terminal', hours: 14 },
  { name: 'Orrin Quay town library', hours: 9 },
  { name: 'Staithe bakery', hours: 7 },
  { name: 'Lantern Row bakery', hours: 6 },
  { name: 'Saltern boarding kennel', hours: 12 },
  { name: 'Ropewalk guest house', hours: 8 },
  { name: 'Tidemill net loft', hours: 4 },
  { name: 'Heron Yard surgery', hours: 6 },
];

/** Where the larger businesses have their machines, and whom to ask for. */
export const sites: Record<string, { label: string; note: string }[]> = {
  'Orrin Quay ferry terminal': [
    { label: 'Embarkation hall', note: 'Through the staff gate; sign in at the desk.' },
    { label: 'Berth office', note: '' },
  ],
  'Orrin Quay town library': [
    { label: 'Reading room', note: 'Before ten, or after eight.' },
    { label: 'Archive', note: 'Dust mask on the wall.' },
  ],
};

export const contacts: Record<string, { name: string; task: string; phone: string }[]> = {
  'Orrin Quay ferry terminal': [{ name: 'Lorne Haskin', task: 'machines and keys', phone: '555 0301' }],
  'Orrin Quay town library': [{ name: 'Quill Ormsay', task: 'invoices', phone: '555 0302' }],
  'Staithe bakery': [{ name: 'Edda Vintry', task: 'everything', phone: '555 0303' }],
};

export const standing: Record<string, string> = {
  'Orrin Quay ferry terminal': 'Ring the berth office before nine; never on a sailing day.',
  'Staithe bakery': 'Flour: open it outdoors, under extraction.',
  'Saltern boarding kennel': 'Hair to the hilt: always pull both end caps.',
};

export const machineNotes = [
  'Cover screw at the back is a shorter one; a long one cuts the cord.',
  'Left end cap glued by somebody: warm it before it is pulled.',
  'Owner has a second filter, ask for it.',
];

export const models = [
  {
    maker: 'Hollin',
    name: 'Drayman 40',
    kind: 'upright-shaft-belt',
    dropped: ['changeover'],
    belts: ['flat, 10 mm × 300 mm'],
    bearings: ['608-2RS'],
    filters: ['foam, 90 × 60 mm'],
  },
  {
    maker: 'Hollin',
    name: 'Gannet',
    kind: 'upright-brush-motor',
    dropped: ['head-lamp'],
    belts: ['toothed, 90 teeth'],
    bearings: ['607-2Z', '626-2Z'],
    filters: ['pleated exhaust'],
  },
  { maker: 'Tussock', name: 'Level 2', kind: 'upright-shaft-belt', dropped: ['filter-indicator'] },
  { maker: 'Tussock', name: 'Rake', kind: 'upright-brush-motor', dropped: [] },
  { maker: 'Mirefield', name: 'Bellows', kind: 'upright-shaft-belt', dropped: [] },
  { maker: 'Ardlow', name: 'Stave', kind: 'upright-shaft-belt', dropped: ['cut-out', 'belt-cover'] },
  { maker: 'Ardlow', name: 'Quern', kind: 'upright-brush-motor', dropped: ['head-board'] },
  { maker: 'Pellstreet', name: 'Lantern', kind: 'upright-brush-motor', dropped: ['cut-out'] },
];

/** One model of every other kind; `volts` where it is not the shop's mains. */
export const rarerModels: { maker: string; name: string; kind: string; volts?: number }[] = [
  { maker: 'Tussock', name: 'Heron', kind: 'upright-clutch' },
  { maker: 'Ardlow', name: 'Wicket', kind: 'upright-direct-air' },
  { maker: 'Pellstreet', name: 'Shire', kind: 'upright-self-propelled' },
  { maker: 'Hollin', name: 'Verger', kind: 'upright-auto' },
  { maker: 'Mirefield', name: 'Sled', kind: 'canister-power-nozzle' },
  { maker: 'Mirefield', name: 'Whirligig', kind: 'central-turbine-brush' },
  { maker: 'Tussock', name: 'Rush', kind: 'stick-cordless', volts: 22 },
  { maker: 'Ardlow', name: 'Thimble', kind: 'handheld-mains' },
  { maker: 'Hollin', name: 'Causeway 43', kind: 'scrubber-walk-behind', volts: 24 },
  { maker: 'Hollin', name: 'Quay 70', kind: 'scrubber-ride-on', volts: 36 },
  { maker: 'Pellstreet', name: 'Cloister', kind: 'upright-bagged-brush-gear' },
  { maker: 'Tussock', name: 'Pannier', kind: 'backpack' },
  { maker: 'Mirefield', name: 'Cistern', kind: 'wet-dry-tub' },
  { maker: 'Ardlow', name: 'Freshet', kind: 'carpet-extractor' },
  { maker: 'Pellstreet', name: 'Vole', kind: 'robot', volts: 14 },
];

/** What people say at the counter, by complaint. */
export const sayings: Record<string, string[]> = {
  'roll-not-turning': [
    'The brush just sits there.',
    'It sucks but the roller does not go round.',
    'Brush stopped dead on the hall rug.',
  ],
  'roll-slow': [
    'It leaves no lines in the carpet any more.',
    'The brush looks tired.',
    'Picks up nothing on the stairs.',
  ],
  'roll-stops-and-starts': ['The brush cuts in and out.', 'Goes, stops, goes again when I shake the handle.'],
  'ratchet-noise': ['It makes a noise like a ratchet.', 'Clack clack clack in the front.'],
  squeal: ['It screams.', 'Squeals when I push it forward.'],
  rattle: ['Something rattles inside.', 'Sounds like a tin of nails.'],
  'harsh-motor': ['Sounds like a train.', 'Roars, and grinds when I switch it off.'],
  'burning-smell': ['It smells of burning rubber.', 'There was a hot smell, I stopped at once.'],
  'bad-smell': ['It smells like a wet dog.', 'Stinks the house out.'],
  'no-suction': ['No suck at all.', 'It would not lift a crumb.'],
  'weak-suction': ['It has lost its pull.', 'Does not suck as it did.'],
  'weak-only-in-floor-mode': ['The hose is fine, on the floor it does nothing.'],
  'stops-after-minutes': ['It runs ten minutes, dies, and comes back after tea.', 'Cuts out on the stairs every time.'],
  dead: ['Dead as a post.', 'Nothing happens when I switch on.'],
  'dead-intermittent': ['Works if I hold the cord just so.', 'Comes and goes.'],
  'blows-dust': ['It blows dust out of the back.', 'The room is dustier after than before.'],
  'leaves-water': ['It leaves puddles in every turn.', 'The hall floor stays wet.'],
  'leaves-streaks': ['Streaks from one end to the other.'],
  'no-solution': ['No water comes down any more.'],
  'short-run-time': ['Half the shop floor, then it dies.', 'Five minutes and the battery is gone.'],
  'goes-in-circles': ['It goes round and round under the table.'],
  'weak-only-upright': ['Standing up the hose does nothing.'],
};

export const advice = [
  'Look at the filter each month.',
  'Empty it before the line.',
  'Bring it back if the noise returns.',
  'The cord will need replacing next year.',
  '',
];
