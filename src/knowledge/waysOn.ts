import type { WayOn, WearPart } from '@/core/money/worth';
import type { Life } from '@/core/stats/weibull';

/** A wearing part of one machine, as it stands. */
export interface WearNow {
  fault: string;
  label: string;
  life: Life;
  ageYears: number;
  /** What it costs to mend when it fails by itself, smallest units. */
  thenMinor: number;
}

export interface WaysGiven {
  wear: readonly WearNow[];
  /** Null when it is not known. */
  machineAgeYears: number | null;
  /** Offers on the table: what each costs, and which faults it mends. */
  offers: readonly { id: string; label: string; priceMinor: number; mends: readonly string[] }[];
  newMinor: number | null;
  usedMinor: number | null;
  /** A weakness that was seen besides, and how many months it still lasts on the average. */
  doubt: { fault: string; months: number } | null;
}

/** The rest of a machine: housing, plastics, what nobody mends any more. Common practice, no source. */
const WHOLE: Life = { shape: 3, scaleYears: 16 };
/** A used machine that is bought has had these years, and half the life of what wears. Common practice, no source. */
const USED_YEARS = 5;
/** What is not known is taken for middling. */
const UNKNOWN_YEARS = 6;

/**
 * The ways to go on: each offer with this machine, another used one, a new one. What costs more to mend than another used
 * machine ends a machine: nobody mends it then.
 */
export function waysOn(given: WaysGiven): WayOn[] {
  const another = given.usedMinor ?? given.newMinor;
  const ends = (thenMinor: number) => another !== null && thenMinor >= another;
  const whole = (ageYears: number): WearPart => ({
    id: 'whole',
    label: 'the rest of the machine',
    life: WHOLE,
    ageYears,
    priceMinor: 0,
    ends: true,
  });
  const part = (w: WearNow, more: Partial<WearPart> = {}): WearPart => ({
    id: w.fault,
    label: w.label,
    life: w.life,
    ageYears: w.ageYears,
    priceMinor: w.thenMinor,
    ends: ends(w.thenMinor),
    ...more,
  });
  const ours = given.offers.map((o): WayOn => ({
    id: o.id,
    label: o.label,
    priceMinor: o.priceMinor,
    parts: [
      whole(given.machineAgeYears ?? UNKNOWN_YEARS),
      ...given.wear.map((w) => {
        if (o.mends.includes(w.fault)) return part(w, { ageYears: 0 });
        if (given.doubt?.fault !== w.fault) return part(w);
        return part(w, { life: { shape: 1, scaleYears: given.doubt.months / 12 }, ageYears: 0 });
      }),
    ],
  }));
  const used: WayOn[] =
    given.usedMinor === null
      ? []
      : [
          {
            id: 'used',
            label: 'Another used one',
            priceMinor: given.usedMinor,
            parts: [whole(USED_YEARS), ...given.wear.map((w) => part(w, { ageYears: w.life.scaleYears / 2 }))],
          },
        ];
  const fresh: WayOn[] =
    given.newMinor === null
      ? []
      : [
          {
            id: 'new',
            label: 'A new one',
            priceMinor: given.newMinor,
            parts: [whole(0), ...given.wear.map((w) => part(w, { ageYears: 0 }))],
          },
        ];
  return [...ours, ...used, ...fresh];
}
