/** Air power, W: flow times vacuum; L/s times kPa are watts. */
export function airPowerW(flowLs: number, vacuumKPa: number): number {
  return flowLs * vacuumKPa;
}

/**
 * Air watts of ASTM F558: `0.117354 · cfm · inH₂O` (constant from memory). Plain conversion of units gives 0.117557 with the
 * conventional inch of water (249.089 Pa); the standard's smaller figure goes with water at room temperature (248.66 Pa), so
 * its watts are 0.17 % fewer for the same reading.
 */
export function airWattsF558(flowCfm: number, vacuumInH2O: number): number {
  return 0.117354 * flowCfm * vacuumInH2O;
}
