const HOUR_MS = 3_600_000;
/** The hours to come that are drawn wide, with a little of what is past. Common practice, no source. */
const PAST_HOURS = 1;
const AHEAD_HOURS = 11;
const STEP_HOURS = 3;

/** Parts of the strip's width: what is past of today, and the hours to come; the days after share the rest. */
const PAST = 0.05;
const AHEAD = 0.6;

export interface DayScale {
  /** Where an instant stands, 0 to 1; what lies outside of the strip stands at its end. */
  x: (at: number) => number;
  /** The hours that are written above the strips. */
  hours: { at: number; hour: number }[];
  /** The days that begin behind the wide hours: their place in `days`. */
  days: number[];
}

/**
 * How time lies along the strip: the next hours wide, what is past and the days after narrow.
 * @param days instants at which each day starts in the shop's zone, today first; the last is the end of the strip (ms)
 * @param now in ms; the scale stands still within an hour
 */
export function dayScale(days: readonly number[], now: number): DayScale {
  const today = days[0]!;
  const end = days.at(-1)!;
  const passed = Math.max(0, Math.floor((now - today) / HOUR_MS) - PAST_HOURS);
  const from = today + passed * HOUR_MS;
  const to = Math.min(from + (PAST_HOURS + AHEAD_HOURS) * HOUR_MS, end);
  const past = passed > 0 ? PAST : 0;
  const later = days.filter((d) => d > to);
  const each = (1 - past - AHEAD) / Math.max(1, later.length);
  const stops: [number, number][] = [
    [today, 0],
    [from, past],
    [to, later.length > 0 ? past + AHEAD : 1],
    ...later.map((at, i): [number, number] => [at, past + AHEAD + (i + 1) * each]),
  ];
  const x = (at: number) => {
    if (at <= today) return 0;
    for (let i = 1; i < stops.length; i++) {
      const [[a, left], [b, right]] = [stops[i - 1]!, stops[i]!];
      if (at <= b) return b === a ? right : left + ((at - a) / (b - a)) * (right - left);
    }
    return 1;
  };
  const hours: DayScale['hours'] = [];
  for (let h = Math.ceil(passed / STEP_HOURS) * STEP_HOURS; today + h * HOUR_MS < to; h += STEP_HOURS)
    hours.push({ at: today + h * HOUR_MS, hour: h % 24 });
  return { x, hours, days: days.flatMap((d, i) => (d >= to && d < end ? [i] : [])) };
}
