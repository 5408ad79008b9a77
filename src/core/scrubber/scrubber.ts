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

/** Edges of a squeegee's blade: two of its front, two of its back, turned before it is replaced. Common practice, no source. */
export const EDGES = 4;

/**
 * Running hours until a blade has no good edge left: what its edge in use has not yet done, and a whole life of each edge after it.
 * Blades of one squeegee wear at the same time, so the squeegee lasts as long as the first of them.
 * @param edgeInUse 1 to 4
 * @param edgeDoneHours hours on the edge in use
 */
export function bladeHoursLeft(edgeInUse: number, edgeDoneHours: number, edgeHours: number): number {
  return Math.max(0, edgeHours - edgeDoneHours) + (EDGES - edgeInUse) * edgeHours;
}
