/** Cell voltages of a pack: how far apart, and which cell is lowest (counted from 1). */
export function cellSpread(volts: readonly number[]): {
  spreadV: number;
  lowest: number;
  highest: number;
  meanV: number;
} {
  const low = Math.min(...volts);
  const high = Math.max(...volts);
  return {
    spreadV: high - low,
    lowest: volts.indexOf(low) + 1,
    highest: volts.indexOf(high) + 1,
    meanV: volts.reduce((sum, v) => sum + v, 0) / volts.length,
  };
}

/**
 * Run time by Peukert's law, hours: `H · (C / (I·H))^k`, with the capacity C rated at H hours (Peukert 1897).
 * @throws RangeError for what is not positive
 */
export function peukertHours(capacityAh: number, ratedHours: number, currentA: number, exponent: number): number {
  if (!(capacityAh > 0 && ratedHours > 0 && currentA > 0))
    throw new RangeError('Capacity, hours and current must be positive.');
  return ratedHours * (capacityAh / (currentA * ratedHours)) ** exponent;
}

/** State of charge against rest voltage of a 12 V flooded battery and gravity at 26.7 °C (80 °F); handbook figures, from memory. */
const REST: readonly (readonly [percent: number, volts: number, gravity: number])[] = [
  [0, 11.89, 1.12],
  [25, 12.06, 1.155],
  [50, 12.24, 1.19],
  [75, 12.45, 1.225],
  [100, 12.65, 1.265],
];

/** The same at rest of a sealed one (AGM, gel); makers' sheets, from memory. It has no gravity to measure. */
const REST_SEALED_V: readonly (readonly [percent: number, volts: number])[] = [
  [0, 11.8],
  [25, 12.05],
  [50, 12.3],
  [75, 12.6],
  [100, 12.85],
];

/** A cell at rest stands between these, V: outside of them it is dead, or the cells were counted wrong, or it does not rest. */
export const LEAD_CELL_V = { least: 1.85, most: 2.3 } as const;

function along(x: number, rows: (readonly [number, number])[]): number {
  if (x <= rows[0]![0]) return 0;
  for (let i = 1; i < rows.length; i++) {
    const [x0, y0] = rows[i - 1]!;
    const [x1, y1] = rows[i]!;
    if (x <= x1) return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return 100;
}

/** Charge of a lead-acid battery from its voltage at rest (hours off charge and load), %. @param cells six for 12 V */
export function chargeFromRestVolts(volts: number, cells: number, sealed = false): number {
  const rows = sealed ? REST_SEALED_V.map(([p, v]) => [v, p] as const) : REST.map(([p, v]) => [v, p] as const);
  return along((volts / cells) * 6, rows);
}

/**
 * Charge from specific gravity, %, corrected to 26.7 °C by 0.0007 per kelvin (0.004 for 10 °F, handbook figure, from memory).
 */
export function chargeFromGravity(gravity: number, acidC: number): number {
  return along(
    gravity + 0.0007 * (acidC - 26.7),
    REST.map(([p, , g]) => [g, p] as const),
  );
}
