/** A question on which good practitioners differ, and what each side says. Common practice, no source. */
export interface School {
  id: string;
  question: string;
  a: string;
  b: string;
  /** Which of them a shop that has not chosen follows. */
  usual: 'a' | 'b';
  why: string;
  /** Only these faults or stations make it a question on a job; everywhere when absent. */
  faults?: string[];
}

export const schools: readonly School[] = [
  {
    id: 'interlock',
    question: 'A tilt or seat switch that failed',
    a: 'is replaced',
    b: 'may be bridged, by the rules',
    usual: 'a',
    why: 'The switch stops the roll or the machine for somebody’s fingers. Bridged only with the owner’s words on record, a label on the machine and a line in its history, and never where a local rule forbids it.',
    faults: ['tilt-switch-failed', 'tilt-switch-stuck-closed', 'seat-switch-failed'],
  },
  {
    id: 'filter-wash',
    question: 'How often a pre-motor filter is washed',
    a: 'as the maker’s plate says',
    b: 'by use, never later than the plate',
    usual: 'b',
    why: 'A clogged filter costs a motor, a wash costs nothing.',
    faults: ['filter-clogged', 'filter-dirty', 'felt-clogged'],
  },
  {
    id: 'filter-soap',
    question: 'Soap in a foam filter',
    a: 'water only, until it runs clear',
    b: 'a little mild detergent when it smells or is greasy, rinsed out',
    usual: 'b',
    why: 'Never hot, and what stays in the foam draws dirt.',
    faults: ['filter-clogged', 'filter-dirty'],
  },
  {
    id: 'bush-oil',
    question: 'Sintered bushes',
    a: 'are never oiled',
    b: 'an old dry one gets a smear of light grease',
    usual: 'b',
    why: 'The maker’s charge is in the metal; after ten years it may be gone. Thin oil carries dirt onto the commutator.',
    faults: ['motor-bushes-dry'],
  },
  {
    id: 'roll-oil',
    question: 'Bearings at the ends of a roll',
    a: 'dry and clean is enough',
    b: 'a sleeve gets one drop of light motor oil',
    usual: 'b',
    why: 'A sealed ball bearing gets none and is replaced when it is rough; household oil gums up and is refused.',
    faults: ['bearing-rough', 'sleeve-dry', 'roll-bound-by-hair'],
  },
  {
    id: 'hair-tool',
    question: 'Getting hair off a roll',
    a: 'a blade along the groove',
    b: 'a slow wire wheel on the tips',
    usual: 'a',
    why: 'The blade anywhere and on soft strips; the wheel only in the shop.',
    faults: ['roll-bound-by-hair'],
  },
  {
    id: 'clutch',
    question: 'A worn clutch',
    a: 'is replaced as a whole',
    b: 'gets new belts when its pulleys run free and are not melted',
    usual: 'b',
    why: 'Its pulleys say which: blackened or stiff, it is the whole.',
    faults: ['clutch-worn-or-melted', 'primary-belt-stretched', 'primary-belt-broken'],
  },
  {
    id: 'belt-noise',
    question: 'A toothed belt that is noisy',
    a: 'is left',
    b: 'gets dry soap',
    usual: 'a',
    why: 'Offered, never required.',
    faults: ['belt-teeth-worn'],
  },
  {
    id: 'screws',
    question: 'Screwing into plastic',
    a: 'by hand only',
    b: 'a driver on its lowest clutch after the first turns by hand',
    usual: 'a',
    why: 'The first turns are by hand always: the old thread is found, not cut anew.',
  },
  {
    id: 'warranty',
    question: 'A machine under warranty',
    a: 'goes to the authorised shop',
    b: 'is opened when the owner accepts the loss',
    usual: 'a',
    why: 'The owner is warned, and what they chose stands on record.',
  },
  {
    id: 'while-open',
    question: 'What else is done while it is open',
    a: 'what pays, reckoned from the shared way in',
    b: 'only what is worn',
    usual: 'a',
    why: 'The way in is paid once; what is likely to fail before the next time is nearly free now.',
  },
  {
    id: 'replace',
    question: 'Repair or replace',
    a: 'by what a year costs over the life that remains',
    b: 'not over half the price of a comparable new one',
    usual: 'a',
    why: 'Both are shown; the year decides where they differ, because it counts age.',
  },
  {
    id: 'fan-nut',
    question: 'The nut of a fan',
    a: 'as the machine’s procedure says',
    b: 'tightened against a held shaft',
    usual: 'a',
    why: 'Some tighten themselves and centre the fan: finger-tight is right there.',
    faults: ['fan-broken', 'fan-rubbing'],
  },
  {
    id: 'commutator',
    question: 'A dirty commutator',
    a: 'is only wiped clean',
    b: 'is polished bright',
    usual: 'a',
    why: 'Polish hides wear and rounds the bars.',
    faults: ['armature-bad', 'commutator-worn', 'carbon-brushes-worn'],
  },
];

/** What a shop, or a job of it, follows: question → side. */
export type SchoolChoices = Partial<Record<string, 'a' | 'b'>>;

/** The side that is followed: the job’s own, else the shop’s, else the usual. */
export function followed(school: School, shop: SchoolChoices, job: SchoolChoices = {}): 'a' | 'b' {
  return job[school.id] ?? shop[school.id] ?? school.usual;
}

/** The questions that these faults raise. */
export function schoolsOf(faults: readonly string[]): School[] {
  return schools.filter((s) => s.faults?.some((f) => faults.includes(f)));
}
