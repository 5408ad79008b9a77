/** A flat belt of rubber, as it is when nothing pulls at it. */
export interface FlatBelt {
  freeLengthMm: number;
  widthMm: number;
  thicknessMm: number;
  /** Modulus of the rubber at a few per cent of stretch, MPa: 2 to 6 for belts of this trade (common practice, no source). */
  modulusMPa: number;
}

/** Stretch of a belt on its pulleys: fitted over free length, less one. Negative when it hangs loose. */
export function stretchOf(freeLengthMm: number, fittedLengthMm: number): number {
  return fittedLengthMm / freeLengthMm - 1;
}

/** Tension in each run at rest, N: Hooke's law, `E·w·t·stretch`; nothing when it hangs loose. */
export function tensionN({ freeLengthMm, widthMm, thicknessMm, modulusMPa }: FlatBelt, fittedLengthMm: number): number {
  return modulusMPa * widthMm * thicknessMm * Math.max(0, stretchOf(freeLengthMm, fittedLengthMm));
}

/**
 * Pull on the shaft at rest, N: both runs' tensions added as vectors, `2·T·sin(wrap/2)`. Any machine-design handbook.
 * @param wrap angle of wrap on that shaft's pulley, radians
 */
export function shaftLoadN(tension: number, wrap: number): number {
  return 2 * tension * Math.sin(Math.min(wrap, Math.PI) / 2);
}

/**
 * The most torque on the drive shaft before the belt slips on either pulley, N·m: Euler's belt equation with both tensions
 * changing by the same amount about the tension at rest, `2·T·r·(e^{μφ} − 1)/(e^{μφ} + 1)`. Any machine-design handbook.
 * @param pulleyMm diameter of the drive pulley on the belt's neutral line
 * @param wraps angles of wrap, radians: the belt slips first on the pulley that it wraps least
 */
export function slipTorqueNm(
  tension: number,
  pulleyMm: number,
  wraps: { drive: number; driven: number },
  friction: number,
): number {
  const grip = Math.exp(friction * Math.min(wraps.drive, wraps.driven));
  return ((2 * tension * (grip - 1)) / (grip + 1)) * (pulleyMm / 2000);
}
