export interface DischargeLog {
  capacityAh: number;
  energyWh: number;
  hours: number;
  startV: number;
  endV: number;
  rows: number;
  /** At most some hundred points of the voltage, for a picture: least and most of each piece of time. */
  picture: [hours: number, volts: number][];
  /** What was cut out: holes in the log, and pieces in which it was charged. */
  cut: { gaps: number; gapHours: number; chargedHours: number };
}

const PICTURE_PIECES = 300;
/** A step so many times as long as the steps before it, and a minute at least, is a hole in the log. */
const GAP_TIMES = 20;
const GAP_S = 60;
const STEPS_TO_KNOW = 5;

/** A log that cannot be used, and in which line. */
export class DischargeLogError extends Error {}

/**
 * Capacity by integrating a discharge log (trapezoids): lines of time, volts and amperes, separated by comma, semicolon or
 * tab, a heading allowed; time in seconds, or as `hh:mm:ss`. The log ends where the voltage first falls to the cut-off. What
 * lies in a hole of the log, and what runs the other way (charging), is no discharge: it is cut out and told.
 * @param progress told how much is done, 0 to 1
 * @throws DischargeLogError with the line
 */
export function dischargeLog(text: string, cutOffV: number, progress?: (done: number) => void): DischargeLog {
  let charge = 0;
  let energy = 0;
  let rows = 0;
  let first: number | null = null;
  let last: { t: number; v: number; i: number } | null = null;
  let startV = 0;
  const points: [number, number][] = [];
  const cut = { gaps: 0, gapHours: 0, chargedHours: 0 };
  /** The way in which it is discharged; loggers differ. */
  let way = 0;
  let steps = 0;
  let stepsS = 0;
  let at = 0;
  let line = 0;
  while (at < text.length) {
    const end = text.indexOf('\n', at);
    const raw = text.slice(at, end < 0 ? text.length : end).trim();
    at = end < 0 ? text.length : end + 1;
    line++;
    if (line % 5000 === 0) progress?.(at / text.length);
    if (raw === '') continue;
    const cells = raw.split(raw.includes(';') ? ';' : raw.includes('\t') ? '\t' : ',');
    const row = { t: seconds(cells[0]!), v: number(cells[1]), i: number(cells[2]) };
    if (!Number.isFinite(row.t + row.v + row.i)) {
      if (rows === 0 && line === 1) continue;
      throw new DischargeLogError(`Line ${line}: time, volts and amperes are needed.`);
    }
    if (last && row.t < last.t)
      throw new DischargeLogError(
        `Line ${line}: the time runs backwards: the clock was set, or midnight came between.`,
      );
    first ??= row.t;
    if (!last) startV = row.v;
    else {
      const stepS = row.t - last.t;
      const hours = stepS / 3600;
      way ||= Math.sign(last.i) || Math.sign(row.i);
      const [i0, i1] = [way * last.i, way * row.i];
      if (steps >= STEPS_TO_KNOW && stepS > Math.max(GAP_S, (GAP_TIMES * stepsS) / steps)) {
        cut.gaps++;
        cut.gapHours += hours;
      } else {
        steps++;
        stepsS += stepS;
        if (i0 + i1 < 0) cut.chargedHours += hours;
        else {
          charge += ((i0 + i1) / 2) * hours;
          energy += ((i0 * last.v + i1 * row.v) / 2) * hours;
        }
      }
    }
    last = row;
    rows++;
    points.push([(row.t - first) / 3600, row.v]);
    if (row.v <= cutOffV) break;
  }
  if (!last || rows < 2) throw new DischargeLogError('Two lines of readings at least.');
  progress?.(1);
  return {
    capacityAh: charge,
    energyWh: energy,
    hours: (last.t - first!) / 3600,
    startV,
    endV: last.v,
    rows,
    picture: thinned(points),
    cut,
  };
}

/** The least and the most of each piece, so that no dip is lost. */
function thinned(points: [number, number][]): [number, number][] {
  if (points.length <= 2 * PICTURE_PIECES) return points;
  const size = points.length / PICTURE_PIECES;
  return Array.from({ length: PICTURE_PIECES }, (_, k) => {
    const piece = points.slice(Math.floor(k * size), Math.floor((k + 1) * size));
    const low = piece.reduce((a, b) => (b[1] < a[1] ? b : a));
    const high = piece.reduce((a, b) => (b[1] > a[1] ? b : a));
    return low[0] <= high[0] ? [low, high] : [high, low];
  }).flat() as [number, number][];
}

function number(cell: string | undefined): number {
  const text = cell?.trim() ?? '';
  return text === '' ? NaN : Number(text.replace(',', '.'));
}

function seconds(cell: string): number {
  const clock = /^(\d+):(\d\d)(?::(\d\d(?:\.\d+)?))?$/.exec(cell.trim());
  if (clock) return Number(clock[1]) * 3600 + Number(clock[2]) * 60 + Number(clock[3] ?? 0);
  return number(cell);
}
