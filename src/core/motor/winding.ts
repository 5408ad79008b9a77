/** Copper: resistance is in proportion to temperature + 234.5 °C (IEC 60335-1, from memory; IEC 60034-1 has 235). */
const COPPER_ZERO = 234.5;

/** Resistance of a copper winding at another temperature. */
export function atTemperature(ohm: number, fromC: number, toC: number): number {
  return (ohm * (COPPER_ZERO + toC)) / (COPPER_ZERO + fromC);
}

/** Mean temperature of a winding from its resistance, °C: `R₂/R₁·(234.5+t₁) − 234.5` (IEC 60335-1, method of resistance, from memory). */
export function windingTemperatureC(coldOhm: number, coldC: number, hotOhm: number): number {
  return (hotOhm / coldOhm) * (COPPER_ZERO + coldC) - COPPER_ZERO;
}
