/** Speed of the roll without slip, r/min: `motor · d / D`; teeth count as diameters do. */
export function rollSpeedRpm(motorRpm: number, drive: number, driven: number): number {
  return (motorRpm * drive) / driven;
}

/** Slip, 0 to 1: how far the speed measured stays behind that without slip. */
export function slipOf(measuredRpm: number, expectedRpm: number): number {
  return 1 - measuredRpm / expectedRpm;
}
