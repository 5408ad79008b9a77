import { normalDensity } from '../stats/normal';

export interface ToothPitch {
  id: string;
  pitchMm: number;
  profile: 'trapezoidal' | 'curvilinear';
}

/**
 * Standard pitches, mm. Trapezoidal inch series: ISO 5296; 40 DP (0.0816 in) and 1/8 in are older ones beside it. T and AT: ISO 17396. Curvilinear 2, 3, 5: makers' common series;
 * 8 and 14: ISO 13050. All from memory.
 */
export const TOOTH_PITCHES: readonly ToothPitch[] = [
  { id: 'MXL', pitchMm: 2.032, profile: 'trapezoidal' },
  { id: 'XL', pitchMm: 5.08, profile: 'trapezoidal' },
  { id: 'L', pitchMm: 9.525, profile: 'trapezoidal' },
  { id: 'H', pitchMm: 12.7, profile: 'trapezoidal' },
  { id: 'XH', pitchMm: 22.225, profile: 'trapezoidal' },
  { id: '40 DP', pitchMm: 2.073, profile: 'trapezoidal' },
  { id: '1/8 in', pitchMm: 3.175, profile: 'trapezoidal' },
  { id: 'T2.5', pitchMm: 2.5, profile: 'trapezoidal' },
  { id: 'T5 or AT5', pitchMm: 5, profile: 'trapezoidal' },
  { id: 'T10 or AT10', pitchMm: 10, profile: 'trapezoidal' },
  { id: 'T20 or AT20', pitchMm: 20, profile: 'trapezoidal' },
  { id: 'curvilinear 2 mm', pitchMm: 2, profile: 'curvilinear' },
  { id: 'curvilinear 3 mm', pitchMm: 3, profile: 'curvilinear' },
  { id: 'curvilinear 5 mm', pitchMm: 5, profile: 'curvilinear' },
  { id: 'curvilinear 8 mm', pitchMm: 8, profile: 'curvilinear' },
  { id: 'curvilinear 14 mm', pitchMm: 14, profile: 'curvilinear' },
];

/**
 * Which standard pitch a measured span is of: Bayes' rule with equal odds before, the span normal with the caliper's
 * standard uncertainty and 0.1 % for the stretch of a belt in use (common practice, no source).
 * @param pitches how many pitches lie between the two edges measured
 * @returns most likely first; empty when the span is further than five uncertainties from all
 */
export function pitchOdds(
  spanMm: number,
  pitches: number,
  sigmaMm: number,
  profile?: ToothPitch['profile'],
): { pitch: ToothPitch; probability: number; offMm: number }[] {
  const rows = TOOTH_PITCHES.filter((p) => !profile || p.profile === profile).map((pitch) => {
    const expected = pitch.pitchMm * pitches;
    const sigma = Math.hypot(sigmaMm, 0.001 * expected);
    return {
      pitch,
      off: spanMm - expected,
      z: (spanMm - expected) / sigma,
      density: normalDensity(spanMm, expected, sigma),
    };
  });
  if (rows.every((r) => Math.abs(r.z) > 5)) return [];
  const total = rows.reduce((sum, r) => sum + r.density, 0);
  return rows
    .map((r) => ({ pitch: r.pitch, probability: r.density / total, offMm: r.off }))
    .sort((a, b) => b.probability - a.probability);
}

/** Pitch diameter of a sprocket, mm: `N·p/π`. */
export function pitchDiameterMm(teeth: number, pitchMm: number): number {
  return (teeth * pitchMm) / Math.PI;
}

/** Teeth in mesh on a sprocket, whole ones: wrap over the angle of a tooth. Fewer than 6 carry less load (from memory). */
export function teethInMesh(teeth: number, wrap: number): number {
  return Math.floor((teeth * wrap) / (2 * Math.PI) + 1e-9);
}
