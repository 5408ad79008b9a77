import type { Life } from '@/core/stats/weibull';
import { faultById } from '.';
import { ordinaryHoursPerWeek } from './ordinaryUse';

/** How long a wearing part lasts before the fault that ends it. Common practice, no source. */
export interface WearLife {
  fault: string;
  life: Life;
  /** Running hours shorten it; otherwise only its age does. Dirt comes with the hours and with no age of the part. */
  by: 'use' | 'age' | 'dirt';
}

/** Fault, years by which 63 % have it at the ordinary use of its kind, shape (1 does not age, 3 wears out), by what. */
const TEXTS = `
belt-broken 3 2 use
belt-slipping 2 2.5 use
belt-teeth-worn 5 2.5 use
primary-belt-stretched 4 2.5 use
primary-belt-broken 6 2 use
drive-belt-worn 6 2.5 use
deck-belt-slipping 3 2.5 use
deck-belt-broken 5 2 use
bearing-rough 7 2 use
deck-bearing-rusted 7 1.8 age
bristles-worn 5 3 use
bristle-strip-worn 8 2.5 use
brushes-uneven 3 2.5 use
brush-plate-worn 6 2 use
clutch-worn-or-melted 9 2.5 use
transmission-worn 12 2 use
drive-sprocket-worn 15 2 use
gear-stripped 9 1.5 use
turbine-shaft-worn 8 2 use
cord-broken-at-grip 12 1.8 use
hose-conductor-open 8 1.8 use
main-switch-failed 16 1.3 use
trigger-failed 9 1.5 use
tilt-switch-failed 12 1.3 use
contactor-failed 12 1.5 use
suction-motor-worn 11 2.5 use
vac-brushes-worn 4 3 use
carbon-brushes-worn 9 3 use
brush-motor-failed 11 1.8 use
armature-bad 30 1.5 use
side-brush-motor-failed 6 1.5 use
drive-wheel-failed 7 1.5 use
pump-failed 5 1.4 use
filter-clogged 1.5 2 dirt
felt-clogged 2 2 dirt
exhaust-filter-clogged 2 2.5 dirt
pre-filter-disintegrated 7 3 age
exhaust-filter-apart 10 3 age
breather-clogged 3 2 dirt
hose-split 9 1.8 use
neck-hose-split 7 2 use
plate-spring-hose-weak 10 2 age
vac-hose-damaged 4 1.5 use
seal-leaking 10 2.5 age
bin-gasket-leaking 9 2.5 age
bag-door-leak 12 2.5 age
felt-gasket-worn 9 2.5 age
handle-gasket-leaking 12 2.5 age
drum-seal-leaking 9 2.5 age
lid-gasket-off 4 2 use
dirty-tank-gasket 5 2.5 age
mounts-perished 25 3 age
squeegee-worn 0.7 2.5 use
skirts-worn 1.5 2.5 use
battery-worn 4 3 age
batteries-sulphated 4.5 3 age
`;

export const wearLives: readonly WearLife[] = TEXTS.trim()
  .split('\n')
  .map((line) => {
    const [fault, years, shape, by] = line.split(' ');
    if (!faultById(fault!)) throw new Error(`No fault is named ${fault}.`);
    return { fault: fault!, life: { shape: Number(shape), scaleYears: Number(years) }, by: by as WearLife['by'] };
  });

const byFault = new Map(wearLives.map((w) => [w.fault, w]));
const atStations = new Map<string, WearLife[]>();
for (const wear of wearLives)
  for (const [kind, { station }] of Object.entries(faultById(wear.fault)!.kinds)) {
    const at = `${kind} ${station}`;
    atStations.set(at, [...(atStations.get(at) ?? []), wear]);
  }

/** How the part of a fault wears; undefined where it does not. */
export const wearOfFault = (fault: string): WearLife | undefined => byFault.get(fault);

/** What wears at a station of a kind. */
export const wearsAt = (kind: string, station: string): readonly WearLife[] =>
  atStations.get(`${kind} ${station}`) ?? [];

const ROLL_BELT = ['belt-broken', 'belt-teeth-worn', 'belt-slipping', 'belt-brittle'];

/** Repairs that bring the part of another fault with them: after these nobody sells that one besides. Common practice, no source. */
const BROUGHT: Readonly<Record<string, readonly string[]>> = {
  'clutch-worn-or-melted': ['primary-belt-stretched', 'primary-belt-broken', ...ROLL_BELT],
  'primary-belt-broken': ['primary-belt-stretched', ...ROLL_BELT],
  'primary-belt-stretched': ['primary-belt-broken', ...ROLL_BELT],
  'transmission-worn': ['drive-belt-worn', 'drive-sprocket-worn'],
  'drive-sprocket-worn': ['drive-belt-worn'],
  'motor-sprocket-worn': ROLL_BELT,
  'roll-sprocket-worn': [...ROLL_BELT, 'bristles-worn'],
  'rubber-on-shaft': ['belt-broken', 'belt-slipping', 'belt-brittle'],
  'roll-mouldy': ['bristles-worn'],
  'fixed-cap-forced': ['bristles-worn'],
  'brushes-uneven': ['bristles-worn'],
  'suction-motor-worn': ['carbon-brushes-worn', 'vac-brushes-worn'],
  'suction-motor-failed': ['carbon-brushes-worn', 'vac-brushes-worn', 'suction-motor-worn'],
  'vac-motor-failed': ['vac-brushes-worn', 'suction-motor-worn'],
  'fan-broken': ['suction-motor-worn', 'carbon-brushes-worn'],
  'armature-bad': ['carbon-brushes-worn'],
  'commutator-worn': ['carbon-brushes-worn'],
  'deck-belt-broken': ['deck-belt-slipping'],
};

/** Faults whose part comes with the repairs of these. */
export function broughtWith(faults: readonly string[]): string[] {
  return faults.flatMap((f) => BROUGHT[f] ?? []);
}

/** Between these the hours count in full: a machine that rarely runs perishes all the same. */
const [LEAST_USE, MOST_USE] = [0.5, 8];

/** The life of a part on a machine of a kind and of some use. */
export function lifeInUse({ life, by }: WearLife, kind: string, hoursPerWeek: number): Life {
  if (by === 'age') return life;
  const use = Math.min(MOST_USE, Math.max(LEAST_USE, hoursPerWeek / ordinaryHoursPerWeek(kind)));
  return { ...life, scaleYears: life.scaleYears / use };
}
