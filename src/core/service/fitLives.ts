import { survivors, type SurvivorStep } from './survivors';
import { countedAlike, fitWeibull, lifeBand, type FittedLife, type SeenLife } from './weibullFit';

const POINTS = 60;

export interface LivesAsked {
  seen: SeenLife[];
  groups: [name: string, seen: SeenLife[]][];
  /** Groups with fewer failures are not fitted: the whole holds for them. */
  enough: number;
}

export interface FittedLives {
  fit: FittedLife | null;
  band: { age: number; whole: number; low: number; high: number }[];
  steps: SurvivorStep[];
  groups: GroupLife[];
}

/** By model or by use; a scale only where enough failed, else the whole kind’s holds. In days. */
export interface GroupLife {
  name: string;
  failures: number;
  stillWhole: number;
  scale: number | null;
  scaleRange: [number, number] | null;
}

/** The life that was seen: its fit, the band of its curve, and the curve without any law. Takes long for many: done in a thread. */
export function fitLives({ seen, groups, enough }: LivesAsked): FittedLives {
  const counted = countedAlike(seen);
  const fit = fitWeibull(counted);
  const longest = Math.max(0, ...counted.map((s) => (s.to === Infinity ? s.from : s.to)));
  const ages = Array.from({ length: POINTS + 1 }, (_, i) => (1.3 * longest * i) / POINTS);
  return {
    fit,
    band: fit ? lifeBand(counted, fit, ages) : [],
    steps: survivors(
      seen.map((s) => ({
        time: s.to === Infinity ? s.from : (s.from + s.to) / 2,
        cause: s.to === Infinity ? null : 'it',
      })),
    ),
    groups: groups.map(([name, own]) => {
      const failures = own.filter((s) => s.to !== Infinity).length;
      const life = failures >= enough ? fitWeibull(countedAlike(own)) : null;
      return {
        name,
        failures,
        stillWhole: own.length - failures,
        scale: life?.scale ?? null,
        scaleRange: life?.scaleRange ?? null,
      };
    }),
  };
}
