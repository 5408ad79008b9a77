/**
 * Friction factor of a round duct (Darcy): laminar `64/Re` below 2300, above it Colebrook–White
 * `1/√f = −2 log₁₀(ε/3.7D + 2.51/(Re√f))`, iterated to 1e-12.
 * @param relativeRoughness ε/D, 0 for smooth
 * @throws RangeError for a Reynolds number that is not positive
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (!(reynolds > 0)) throw new RangeError('The Reynolds number must be positive.');
  if (reynolds < 2300) return 64 / reynolds;
  let x = 7;
  for (let i = 0; i < 50; i++) {
    const next = -2 * Math.log10(relativeRoughness / 3.7 + (2.51 * x) / reynolds);
    if (Math.abs(next - x) < 1e-12) break;
    x = next;
  }
  return 1 / (x * x);
}

/** Air at 20 °C and sea level: density kg/m³, kinematic viscosity m²/s. Any handbook of fluid mechanics. */
const AIR = { density: 1.204, viscosity: 1.516e-5 };

/** Loss of a straight round duct, kPa: `f · L/D · ρv²/2` (Darcy–Weisbach). */
export function ductLossKPa(flowLs: number, diameterMm: number, lengthMm: number, roughnessMm: number): number {
  if (flowLs <= 0) return 0;
  const area = (Math.PI / 4) * (diameterMm / 1000) ** 2;
  const speed = flowLs / 1000 / area;
  const reynolds = (speed * diameterMm) / 1000 / AIR.viscosity;
  const f = frictionFactor(reynolds, roughnessMm / diameterMm);
  return (f * (lengthMm / diameterMm) * AIR.density * speed * speed) / 2000;
}
