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

function along(x: number, at: (row: (typeof REST)[number]) => number): number {
  const rows = REST.map((r) => [at(r), r[0]] as const);
  if (x <= rows[0]![0]) return 0;
  for (let i = 1; i < rows.length; i++) {
    const [x0, y0] = rows[i - 1]!;
    const [x1, y1] = rows[i]!;
    if (x <= x1) return y0 + ((x - x0) / (x1 - x0)) * (y1 - y0);
  }
  return 100;
}

/** Charge of a flooded lead-acid battery from its voltage at rest (hours off charge and load), %. @param cells six for 12 V */
export function chargeFromRestVolts(volts: number, cells: number): number {
  return along((volts / cells) * 6, (r) => r[1]);
}

/**
 * Charge from specific gravity, %, corrected to 26.7 °C by 0.0007 per kelvin (0.004 for 10 °F, handbook figure, from memory).
 */
export function chargeFromGravity(gravity: number, acidC: number): number {
  return along(gravity + 0.0007 * (acidC - 26.7), (r) => r[2]);
}
