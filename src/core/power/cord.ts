/** A size of flexible conductor. */
export interface Conductor {
  id: string;
  areaMm2: number;
  /** Ohms per kilometre of one conductor at 20 °C. */
  ohmPerKm: number;
  /** The most it may carry in a flexible cord, A. */
  mostA: number;
  /** The longest cord that may be made of it, m; any length when absent. */
  longestM?: number;
}

/**
 * IEC 60228, class 5 (flexible), plain copper at 20 °C. Currents: the least section by rated current that household
 * appliance standards ask for (IEC 60335-1), from memory; so is that 0.5 mm² may be 2 m long at most.
 */
export const IEC_CONDUCTORS: readonly Conductor[] = [
  { id: '0.5 mm²', areaMm2: 0.5, ohmPerKm: 39.0, mostA: 3, longestM: 2 },
  { id: '0.75 mm²', areaMm2: 0.75, ohmPerKm: 26.0, mostA: 6 },
  { id: '1.0 mm²', areaMm2: 1, ohmPerKm: 19.5, mostA: 10 },
  { id: '1.5 mm²', areaMm2: 1.5, ohmPerKm: 13.3, mostA: 16 },
  { id: '2.5 mm²', areaMm2: 2.5, ohmPerKm: 7.98, mostA: 25 },
  { id: '4 mm²', areaMm2: 4, ohmPerKm: 4.95, mostA: 32 },
];

/** Diameter of a wire of the American gauge, mm: `0.127 · 92^((36−n)/39)` (ASTM B258). */
export function awgDiameterMm(gauge: number): number {
  return 0.127 * 92 ** ((36 - gauge) / 39);
}

export function awgAreaMm2(gauge: number): number {
  return (Math.PI / 4) * awgDiameterMm(gauge) ** 2;
}

/** Annealed copper at 20 °C: 17.241 Ω·mm²/km (IEC 60028); strands lie 2 % longer than the cord (from memory). */
const COPPER_OHM_MM2_PER_KM = 17.241;
const STRANDING = 1.02;

/** Two current-carrying conductors of a flexible cord, A (North American practice, from memory). */
const AWG_MOST_A: Record<number, number> = { 20: 5, 18: 10, 16: 13, 14: 18, 12: 25, 10: 30 };

export const AWG_CONDUCTORS: readonly Conductor[] = [20, 18, 16, 14, 12, 10].map((n) => ({
  id: `AWG ${n}`,
  areaMm2: awgAreaMm2(n),
  ohmPerKm: (COPPER_OHM_MM2_PER_KM * STRANDING) / awgAreaMm2(n),
  mostA: AWG_MOST_A[n]!,
}));

/** Of what a commutator motor of a floor machine takes in, so much comes out; and so much of volts times amperes is taken in. Common practice, no source. */
export const MOTOR_EFFICIENCY = 0.6;
export const MOTOR_POWER_FACTOR = 0.9;

/** Current of a motor of which only the output is known, A. */
export function currentOfOutputA(outputW: number, volts: number): number {
  return outputW / (MOTOR_EFFICIENCY * MOTOR_POWER_FACTOR * volts);
}

/** Temperature coefficient of copper at 20 °C, 1/K (IEC 60028). */
const COPPER_ALPHA = 0.00393;

/** Voltage lost along a cord, there and back, V. */
export function voltageDropV(conductor: Conductor, currentA: number, lengthM: number, conductorC = 20): number {
  const ohm = (conductor.ohmPerKm / 1000) * 2 * lengthM * (1 + COPPER_ALPHA * (conductorC - 20));
  return currentA * ohm;
}

/** The smallest conductor that may be so long, carries the load and loses no more than the limit; null when none of the list does. */
export function smallestConductor(
  list: readonly Conductor[],
  currentA: number,
  lengthM: number,
  mostDropV: number,
  conductorC: number,
): Conductor | null {
  return (
    list.find(
      (c) =>
        c.mostA >= currentA &&
        lengthM <= (c.longestM ?? Infinity) &&
        voltageDropV(c, currentA, lengthM, conductorC) <= mostDropV,
    ) ?? null
  );
}
