/** Limits of one class of machine in one rule-set; NaN where it has none. */
export interface SafetyLimits {
  earthOhm: number;
  insulationOhm: number;
  touchA: number;
  protectiveA: number;
}

export interface SafetyReadings {
  earthOhm?: number | undefined;
  insulationOhm?: number | undefined;
  touchA?: number | undefined;
  protectiveA?: number | undefined;
}

export type SafetyVerdict = 'pass' | 'fail' | 'ask';

export interface SafetyItem {
  item: keyof SafetyLimits;
  verdict: SafetyVerdict;
  limit: number;
  why: string;
}

/**
 * Each limit of the class against what was measured. *Ask*: it was not measured, or it lies so near the limit that the
 * meter cannot tell.
 * @param cordOhm resistance of the cord's earth conductor, added to the earth limit
 * @param meterPart standard uncertainty of the tester as a part of the reading
 */
export function safetyVerdicts(
  limits: SafetyLimits,
  readings: SafetyReadings,
  cordOhm: number,
  meterPart: number,
): SafetyItem[] {
  const items: { item: keyof SafetyLimits; limit: number; least?: true }[] = [
    { item: 'earthOhm', limit: limits.earthOhm + cordOhm },
    { item: 'insulationOhm', limit: limits.insulationOhm, least: true },
    { item: 'touchA', limit: limits.touchA },
    { item: 'protectiveA', limit: limits.protectiveA },
  ];
  return items
    .filter((i) => !Number.isNaN(i.limit))
    .map(({ item, limit, least }) => {
      const value = readings[item];
      if (value === undefined) return { item, limit, verdict: 'ask' as const, why: 'not measured' };
      const blur = 2 * meterPart * value;
      const beyond = least ? value < limit : value > limit;
      if (Math.abs(value - limit) < blur)
        return { item, limit, verdict: 'ask' as const, why: 'too near the limit for this tester' };
      return { item, limit, verdict: beyond ? ('fail' as const) : ('pass' as const), why: '' };
    });
}
