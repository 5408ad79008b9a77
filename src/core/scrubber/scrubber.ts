/**
 * Floor cleaned in an hour, m²: width less overlap, times pace, times the share of the time that is not turns and filling.
 * Common practice, no source.
 */
export function coverageM2h(widthMm: number, overlapMm: number, paceMs: number, workingShare: number): number {
  return ((widthMm - overlapMm) / 1000) * paceMs * 3600 * workingShare;
}

/** Hours that a tank lasts at a flow. */
export function tankHours(tankL: number, flowLMin: number): number {
  return tankL / flowLMin / 60;
}

/** Concentrate for a tank of solution, L, at one part to `parts` of water (`1 : parts`). */
export function concentrateL(tankL: number, parts: number): number {
  return tankL / (parts + 1);
}

/** Edges of a squeegee's blades that are left: each blade has four. */
export function edgesLeft(blades: number, used: number): number {
  return Math.max(0, blades * 4 - used);
}
