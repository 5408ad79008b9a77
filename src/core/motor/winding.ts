/** Resistance of a metal is in proportion to temperature + this, °C: copper (IEC 60335-1; IEC 60034-1 has 235), aluminium (IEC 60034-1); from memory. */
export const ZERO_C = { copper: 234.5, aluminium: 225 } as const;
export type Conductor = keyof typeof ZERO_C;

/** Resistance of a winding at another temperature. */
export function atTemperature(ohm: number, fromC: number, toC: number, of: Conductor = 'copper'): number {
  return (ohm * (ZERO_C[of] + toC)) / (ZERO_C[of] + fromC);
}

/** Mean temperature of a winding from its resistance, °C: `R₂/R₁·(k+t₁) − k` (IEC 60335-1, method of resistance, from memory). */
export function windingTemperatureC(coldOhm: number, coldC: number, hotOhm: number, of: Conductor = 'copper'): number {
  return (hotOhm / coldOhm) * (ZERO_C[of] + coldC) - ZERO_C[of];
}
