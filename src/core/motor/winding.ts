/** Copper: resistance is in proportion to temperature + 234.5 °C (IEC 60034-1). */
const COPPER_ZERO = 234.5;

/** Resistance of a copper winding at another temperature. */
export function atTemperature(ohm: number, fromC: number, toC: number): number {
  return (ohm * (COPPER_ZERO + toC)) / (COPPER_ZERO + fromC);
}

/** Mean temperature of a winding from its resistance, °C: `R₂/R₁·(234.5+t₁) − 234.5` (IEC 60034-1, method of resistance). */
export function windingTemperatureC(coldOhm: number, coldC: number, hotOhm: number): number {
  return (hotOhm / coldOhm) * (COPPER_ZERO + coldC) - COPPER_ZERO;
}
