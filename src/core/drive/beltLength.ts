/** How a belt runs between its two pulleys. */
export type BeltRun = 'open' | 'crossed' | 'half-twist' | 'quarter-turn';

/** Two pulleys at a distance, all mm. */
export interface PulleyPair {
  /** Diameters on the belt's neutral line. */
  driveMm: number;
  drivenMm: number;
  centreMm: number;
}

/** Exact length of an open belt, mm: `2C cos α + (π/2)(D+d) + α(D−d)` with `sin α = (D−d)/2C`. Any machine-design handbook. */
function openLengthMm({ driveMm, drivenMm, centreMm }: PulleyPair): number {
  const alpha = Math.asin((drivenMm - driveMm) / (2 * centreMm));
  return 2 * centreMm * Math.cos(alpha) + (Math.PI / 2) * (drivenMm + driveMm) + alpha * (drivenMm - driveMm);
}

/** Exact length of a crossed belt, mm: as open, with the sum of the diameters. */
function crossedLengthMm({ driveMm, drivenMm, centreMm }: PulleyPair): number {
  const alpha = Math.asin((drivenMm + driveMm) / (2 * centreMm));
  return 2 * centreMm * Math.cos(alpha) + (drivenMm + driveMm) * (Math.PI / 2 + alpha);
}

/**
 * A quarter turn: the shafts stand at a right angle, `centreMm` apart where they come closest. It stays on when the belt leaves
 * each pulley at a point in the plane of the other: then each run is a tangent as long as that distance, and each pulley is
 * wrapped by half a turn and `2·atan(r/C)` more (derived here). Handbooks give `(π/2)(D+d) + √(C²+D²) + √(C²+d²)` (from memory),
 * which is the same to a part in a thousand where the shafts are two large diameters apart.
 */
function quarterTurnLengthMm(pair: PulleyPair): number {
  const wrap = quarterTurnWraps(pair);
  return 2 * pair.centreMm + (wrap.drive * pair.driveMm + wrap.driven * pair.drivenMm) / 2;
}

function quarterTurnWraps({ driveMm, drivenMm, centreMm }: PulleyPair): { drive: number; driven: number } {
  const wrap = (diameterMm: number) => Math.PI + 2 * Math.atan(diameterMm / 2 / centreMm);
  return { drive: wrap(driveMm), driven: wrap(drivenMm) };
}

/**
 * Length of the belt's neutral line, mm. A half-twisted belt runs as a crossed one: the twist of a flat belt about its own
 * centre line adds no length there, only at its edges (`twistStrain`).
 * @throws RangeError when the pulleys would touch
 */
export function beltLengthMm(run: BeltRun, pair: PulleyPair): number {
  const { driveMm, drivenMm, centreMm } = pair;
  if (!(driveMm > 0 && drivenMm > 0 && centreMm > (driveMm + drivenMm) / 2))
    throw new RangeError('The centre distance must be more than both radii together.');
  if (run === 'open') return openLengthMm(pair);
  return run === 'quarter-turn' ? quarterTurnLengthMm(pair) : crossedLengthMm(pair);
}

/**
 * Centre distance at which a belt of this length just fits, mm, by bisection to 1e-9 mm.
 * @throws RangeError when the belt is too short for the pulleys
 */
export function centreForLengthMm(run: BeltRun, lengthMm: number, driveMm: number, drivenMm: number): number {
  const length = (centreMm: number) => beltLengthMm(run, { driveMm, drivenMm, centreMm });
  let low = ((driveMm + drivenMm) / 2) * (1 + 1e-12) + 1e-9;
  let high = lengthMm;
  if (length(low) > lengthMm) throw new RangeError('This belt is too short for these pulleys.');
  while (high - low > 1e-9) {
    const middle = (low + high) / 2;
    if (length(middle) < lengthMm) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Angles of wrap on the drive and the driven pulley, radians. */
export function wrapAngles(run: BeltRun, pair: PulleyPair): { drive: number; driven: number } {
  const { driveMm, drivenMm, centreMm } = pair;
  if (run === 'quarter-turn') return quarterTurnWraps(pair);
  if (run === 'open') {
    const alpha = Math.asin((drivenMm - driveMm) / (2 * centreMm));
    return { drive: Math.PI - 2 * alpha, driven: Math.PI + 2 * alpha };
  }
  const alpha = Math.asin((drivenMm + driveMm) / (2 * centreMm));
  return { drive: Math.PI + 2 * alpha, driven: Math.PI + 2 * alpha };
}

/**
 * Extra strain at the edge of a flat belt twisted by half a turn over a free run: the edge is a helix of radius `width/2`
 * around the centre line, so it is `√(1 + (π·width/2 / run)²) − 1` longer (geometry).
 */
export function twistStrain(widthMm: number, runMm: number): number {
  return Math.hypot(1, (Math.PI * widthMm) / 2 / runMm) - 1;
}

/** +1: the roll turns as the motor does; −1: against it. A crossed or half-twisted belt turns it round. */
export function senseOf(run: BeltRun): 1 | -1 {
  return run === 'crossed' || run === 'half-twist' ? -1 : 1;
}
