/** What was seen of one machine: when it failed, and up to when it was watched. */
export interface WatchedMachine {
  failures: readonly number[];
  until: number;
}

export interface CumulativePoint {
  age: number;
  /** Failures of one machine up to this age, on the average over those that were watched so long. */
  failures: number;
  /** Standard error of it. */
  error: number;
}

/**
 * How many failures a machine of a fleet has had up to an age: the mean cumulative function (W. Nelson, Graphical analysis of
 * system repair data, Journal of Quality Technology 20, 1988, from memory). Machines that were watched for a shorter time count as
 * long as they were.
 * @throws RangeError for a failure after the end of the watch
 */
export function meanCumulative(fleet: readonly WatchedMachine[]): CumulativePoint[] {
  for (const m of fleet)
    if (m.failures.some((f) => f > m.until)) throw new RangeError('A failure after the end of the watch.');
  const ages = [...new Set(fleet.flatMap((m) => m.failures))].sort((a, b) => a - b);
  let mean = 0;
  // Of each machine how far it is from the mean so far: its scatter is the doubt of the whole.
  const off = fleet.map(() => 0);
  return ages.map((age) => {
    const watched = fleet.map((m) => m.until >= age);
    const n = watched.filter(Boolean).length;
    const failed = fleet.map((m) => m.failures.filter((f) => f === age).length);
    const rise = failed.reduce((sum, f) => sum + f, 0) / n;
    mean += rise;
    fleet.forEach((_, i) => {
      if (watched[i]) off[i]! += (failed[i]! - rise) / n;
    });
    return { age, failures: mean, error: Math.sqrt(off.reduce((sum, o) => sum + o * o, 0)) };
  });
}
