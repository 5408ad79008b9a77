import { ofStations } from './ofStations';

/**
 * The shapes in which the trade is written down (src/knowledge fills them). Words for strengths and commonness are
 * turned into numbers here, in one place.
 */

/** Where a number or a fact comes from. Nearly all of it is common practice without a published source. */
export type Basis = 'common practice, no source' | 'from memory' | { source: string };

/** How surely a fault shows a sign. Figures: common practice, no source. */
export const STRENGTHS = { always: 0.97, usually: 0.8, often: 0.6, sometimes: 0.35, rarely: 0.1, never: 0.01 } as const;
export type Strength = keyof typeof STRENGTHS;

/** How common a fault is among machines that come in with a complaint on its line (weights, scaled per kind). */
export const COMMONNESS = { 'very common': 20, common: 8, occasional: 3, rare: 1 } as const;
export type Commonness = keyof typeof COMMONNESS;

export type LineId = 'power' | 'drive' | 'air' | 'water' | 'traction' | 'frame';

export interface Station {
  id: string;
  label: string;
  /** Only some models of the kind have it. */
  optional?: true;
  /** Worn part whose age matters: it is dated on the board. */
  wears?: true;
}

export interface Access {
  id: string;
  label: string;
  openMinutes: number;
  closeMinutes: number;
  /** What must be open before it. */
  needs?: string;
  /** The machine may not be powered while this is open. */
  closedForPower?: true;
  /** Stations laid bare. */
  bares: string[];
}

/** Where the current comes from, and so how the machine is made dead before it is opened. */
export type Supply = 'mains' | 'pack' | 'lead-acid' | 'air';

export interface Kind {
  id: string;
  number: number;
  label: string;
  blurb: string;
  supply: Supply;
  lines: { line: LineId; label: string; stations: Station[] }[];
  access: Access[];
  /**
   * What lies behind another cover here than on most kinds: a check, or a repair (`repair:` and the fault), and the access by
   * which it is reached.
   */
  through?: Readonly<Record<string, string>>;
  /** Sealed vacuum at the machine's own inlet when healthy, kPa. */
  healthyVacuumKpa: number;
  /** Roll speed when healthy, r/min. */
  rollRpm: number;
  /** Power drawn when healthy, W. */
  ratedWatts: number;
  /** Expected number of faults in a machine that comes in. */
  expectedFaults: number;
  basis: Basis;
}

export type Reference = 'mainsV' | 'healthyVacuumKpa' | 'rollRpm' | 'ratedCurrentA';

/** How readings of one outcome scatter; on a log scale `mean` and `from`/`to` are still in the unit itself. */
export type Scatter =
  | { shape: 'normal'; mean: number; sd: number }
  | { shape: 'logNormal'; median: number; spread: number }
  | { shape: 'uniform'; from: number; to: number };

export interface ReadingSpec {
  quantity: 'voltage' | 'resistance' | 'current' | 'speed' | 'length' | 'pressure' | 'time' | 'percent';
  /** The unit in which the scatters and limits are written. */
  unit: string;
  /** Scatters and limits are multiples of this figure of the machine. */
  relativeTo?: Reference;
  min: number;
  max: number;
  /** Densities are taken over the logarithm of the reading. */
  logScale?: true;
  classes: { outcome: string; scatter: Scatter }[];
  /** Instead of these in kinds fed otherwise: a winding for a battery has a hundredth of the ohms of one for the mains. */
  classesFor?: Partial<Record<Supply, { outcome: string; scatter: Scatter }[]>>;
  basis: Basis;
}

export interface Outcome {
  id: string;
  label: string;
  /** Faults that this outcome shows directly: after it they count as proved. */
  proves?: string[];
  /** Cautions that this outcome sets in force. */
  raises?: string[];
  /** Making the check has put it right: what is seen after it is another state of the machine. */
  resets?: true;
  /** Only in these kinds. */
  kinds?: string[];
}

export interface Aspect {
  id: string;
  /** Only in these kinds. */
  kinds?: string[];
  label: string;
  /** How a reading was taken (roll on, roll off; at the hose …); aspects with a condition share their check. */
  condition?: string;
  /** Normal first; a later one hides an earlier one. */
  outcomes: Outcome[];
  reading?: ReadingSpec;
  /** How often an abnormal outcome shows with nothing wrong that the knowledge names. Default 0.02 in all. */
  leak?: Record<string, number>;
  /** A caution that, seen on arrival, counts as some abnormal outcome until the check itself is made. */
  impliedBy?: string;
  /** What is so once it was looked at, because that makes it so: `check=outcome` (a switch that is to be on for it). */
  sets?: string[];
  /** The aspect says nothing about any fault (a ghost with the roll off is normal); kept for the record. */
  neutral?: true;
}

export interface Check {
  id: string;
  label: string;
  kinds: string[];
  how: string[];
  minutes: number;
  access: string;
  power: 'no' | 'yes' | 'live';
  /** The roll may turn: it must have been turned by hand first. */
  spinsRoll?: true;
  /** In a kind with one of these stations the head comes off for it: nothing turns, and no roll need be turned before. */
  headOffWith?: string[];
  /** It is not put forward before this check was made, where the kind has that. */
  madeAfter?: string;
  cautions: string[];
  /** Faults that are not there any more once it was made, whatever was found: its last line puts them right. */
  putsRight?: string[];
  /** It shows that the roll is free, so that it may be run; not after these outcomes. */
  freesRoll?: { butNot: string[] };
  aspects: Aspect[];
}

export interface Complaint {
  id: string;
  label: string;
  kinds: string[];
  /** Cautions that this complaint sets in force. */
  raises?: string[];
  /** How often it is named with nothing wrong that the knowledge names. Default 0.01. */
  leak?: number;
  /** It is about the roll: that is turned by hand before anything is opened or run. */
  turnedByHand?: true;
  /** These looks come before others that are worth about the same. */
  asksFirst?: string[];
  /** Complaints that say more of the same: who says this one and not those says that it is not so bad. */
  lessThan?: string[];
  /** A short run does not show whether it is gone. */
  shownLate?: true;
  /** How it is shown to be gone, when the three minutes' run is not enough. */
  retest?: string;
  /** The check that told how long it took: the proof runs longer. */
  longerThan?: string;
  /** That it is gone can be shown without power. */
  shownUnpowered?: true;
}

export interface Show {
  check: string;
  /** Outcome id, found in whichever aspect has it; with `condition` only in that aspect. */
  outcome: string;
  condition?: string;
  strength: Strength;
  kinds?: string[];
}

export interface Fault {
  id: string;
  label: string;
  /** Kind id → how common, and how common after somebody else's repair. */
  kinds: Record<string, { station: string; common: Commonness; afterRepair?: Commonness; fromAgeYears?: number }>;
  complaints: { complaint: string; strength: Strength; kinds?: string[] }[];
  shows: Show[];
  /** A caution under which this fault is a danger: while that is in force nothing else that was found makes it unlikely. */
  danger?: string;
  /** It never comes by itself: proved, it still has a cause to be found (a tripped breaker, an open cut-out). */
  symptom?: true;
  /** Faults that bring this one on. */
  broughtOnBy?: { fault: string; strength: Strength }[];
  repair: Repair;
  basis: Basis;
}

/** What is done about a fault. */
export interface Repair {
  label: string;
  minutes: number;
  access: string;
  parts?: string[];
  /** It is run afterwards to see whether the complaint is gone. */
  power: boolean;
  /** It must lie before it can be run (it dries, it cures). */
  waits?: true;
  /** Where this work can hurt someone. */
  cautions?: string[];
  /** A protection was repaired: what must be shown before the machine may leave. */
  owes?: OwedProof[];
}

/** A proof that a repair owes. */
export interface OwedProof {
  id: string;
  label: string;
  /** It can be shown only with power on. */
  power: boolean;
  /** Only in these kinds. */
  kinds?: string[];
}

export interface Caution {
  id: string;
  label: string;
  when: string;
  text: string;
  /**
   * What it holds back: `power`, everything that needs power until somebody clears it by name (hazard to life); `spin`, what
   * turns the roll until that was turned by hand.
   */
  holds?: 'power' | 'spin';
  /** What needs it is done at live parts: whatever can be seen quickly without goes before it. */
  atLiveParts?: true;
  /** Only machines fed so; a check or a repair shared with others does not show it there. */
  supplies?: Supply[];
  /** Only kinds with one of these stations. */
  onlyWith?: string[];
  /** It stands on every machine made before this year. */
  madeBefore?: number;
}

export interface Knowledge {
  kinds: Kind[];
  complaints: Complaint[];
  checks: Check[];
  faults: Fault[];
  cautions: Caution[];
  /** Faults that are states of one part: at most one of each list is there. */
  oneState: string[][];
  /** Group of parts → what one usually costs, in minutes of the bench. */
  partMinutes?: Record<string, number>;
}

/** @throws RangeError for a kind that is not known */
export function kindOf(knowledge: Knowledge, id: string): Kind {
  const kind = knowledge.kinds.find((k) => k.id === id);
  if (!kind) throw new RangeError(`There is no kind ${id}.`);
  return kind;
}

const stationsOfLines = new WeakMap<Kind['lines'], ReadonlySet<string>>();

/** The stations of a kind, of all its lines; made once. */
export function stationsOf({ lines }: Pick<Kind, 'lines'>): ReadonlySet<string> {
  let stations = stationsOfLines.get(lines);
  if (!stations) stationsOfLines.set(lines, (stations = new Set(lines.flatMap((l) => l.stations.map((s) => s.id)))));
  return stations;
}

/** "Plug out", in the words of a machine that has no plug, and the caution that goes with it. */
const MADE_DEAD: Record<Supply, { words: string; caution: string | null }> = {
  mains: { words: 'Plug out', caution: 'unplug-before-opening' },
  pack: { words: 'Pack out', caution: 'battery-out-before-opening' },
  'lead-acid': { words: 'Key out, battery plug parted', caution: 'battery-out-before-opening' },
  air: { words: 'Hose off the wall', caution: null },
};

const HEAD_OFF = 'Nozzle off.';

/** "Plug out" in a text, as it is said of a machine with this supply. */
export function inWordsOf(supply: Supply, text: string): string {
  const { words } = MADE_DEAD[supply];
  return text.replace(/plug out/gi, (said) => (said.startsWith('P') ? words : words.toLowerCase()));
}

/** Those of some cautions that bite on a kind: of its supply, and about a roll only where one can be turned. */
export function cautionsFor(knowledge: Knowledge, kindId: string, ids: readonly string[]): string[] {
  const { dead, mute } = perKind(kindCautions, knowledge, kindId, cautionsOfKind);
  return ids.flatMap((id) => (id === 'unplug-before-opening' ? (dead ?? []) : mute.has(id) ? [] : [id]));
}

/** What makes a kind dead, and the cautions that say nothing on it. */
function cautionsOfKind(knowledge: Knowledge, kindId: string): { dead: string | null; mute: ReadonlySet<string> } {
  const kind = knowledge.kinds.find((k) => k.id === kindId);
  const supply = kind?.supply ?? 'mains';
  const stations = kind ? stationsOf(kind) : new Set<string>();
  const turns = knowledge.checks.some((c) => c.freesRoll && c.kinds.includes(kindId));
  const mute = knowledge.cautions.filter(
    (c) =>
      (c.supplies && !c.supplies.includes(supply)) ||
      (c.onlyWith && !c.onlyWith.some((s) => stations.has(s))) ||
      (c.holds === 'spin' && !turns),
  );
  return { dead: MADE_DEAD[supply].caution, mute: new Set(mute.map((c) => c.id)) };
}

export type PerKind<T> = WeakMap<Knowledge, Map<string, T>>;
const kindCautions: PerKind<ReturnType<typeof cautionsOfKind>> = new WeakMap();
const kindChecks: PerKind<Check[]> = new WeakMap();

/** What follows from the knowledge for a kind, made once: the knowledge never changes. */
export function perKind<T>(
  kept: PerKind<T>,
  knowledge: Knowledge,
  kindId: string,
  make: (k: Knowledge, id: string) => T,
): T {
  let byKind = kept.get(knowledge);
  if (!byKind) kept.set(knowledge, (byKind = new Map()));
  let made = byKind.get(kindId);
  if (made === undefined) byKind.set(kindId, (made = make(knowledge, kindId)));
  return made;
}

/** The access by which a fault is mended on a kind. */
export const repairAccess = (kind: Kind, fault: Fault): string =>
  kind.through?.[`repair:${fault.id}`] ?? fault.repair.access;

/** The checks of a kind, with only the aspects, outcomes and cautions that it has, in the words of its supply and its stations; made once. */
export function checksOf(knowledge: Knowledge, kindId: string): Check[] {
  return perKind(kindChecks, knowledge, kindId, wordedChecks);
}

function wordedChecks(knowledge: Knowledge, kindId: string): Check[] {
  const has = (x: { kinds?: string[] }) => !x.kinds || x.kinds.includes(kindId);
  const kind = knowledge.kinds.find((k) => k.id === kindId);
  const supply = kind?.supply ?? 'mains';
  const stations = kind ? stationsOf(kind) : new Set<string>();
  const holdsSpin = new Set(knowledge.cautions.filter((c) => c.holds === 'spin').map((c) => c.id));
  return knowledge.checks
    .filter((c) => c.kinds.includes(kindId))
    .map(({ headOffWith, spinsRoll, ...c }) => {
      const headOff = headOffWith?.some((s) => stations.has(s)) ?? false;
      return {
        ...c,
        access: kind?.through?.[c.id] ?? c.access,
        ...(spinsRoll && !headOff ? { spinsRoll } : {}),
        how: c.how.map((line, i) =>
          inWordsOf(supply, `${headOff && i === 0 ? `${HEAD_OFF} ` : ''}${ofStations(line, stations)}`),
        ),
        cautions: cautionsFor(knowledge, kindId, c.cautions).filter((id) => !headOff || !holdsSpin.has(id)),
        aspects: c.aspects.filter(has).map((a) => ({
          ...a,
          outcomes: a.outcomes.filter(has),
          ...(a.reading
            ? { reading: { ...a.reading, classes: a.reading.classesFor?.[supply] ?? a.reading.classes } }
            : {}),
        })),
      };
    });
}
