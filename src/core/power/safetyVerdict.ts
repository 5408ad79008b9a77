import type { Conductor } from './cord';

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

/** The most that a cord may add to the limit of the earth path, Ω: EN 50678/50699 practice, 0.3 Ω to 5 m, 0.1 more for each further 7.5 m, 1 Ω in all (from memory). */
export function mostCordOhm(lengthM: number): number {
  return Math.min(1, 0.3 + 0.1 * Math.max(0, Math.ceil((lengthM - 5) / 7.5))) - 0.1;
}

/** Resistance of the earth conductor of a cord at 20 °C, Ω (IEC 60228, class 5). @param conductor of the list of conductors */
export function cordEarthOhm(conductor: Conductor, lengthM: number): number {
  return (conductor.ohmPerKm * lengthM) / 1000;
}

/**
 * Each limit of the class against what was measured. *Ask*: it was not measured; it has no limit in the table; or it lies so
 * near the limit that the meter cannot tell.
 * @param cordOhm resistance of the cord's earth conductor, added to the earth limit
 * @param meterPart standard uncertainty of the tester as a part of the reading
 * @param needed what the class cannot do without, whether the table has a limit for it or not
 */
export function safetyVerdicts(
  limits: SafetyLimits,
  readings: SafetyReadings,
  cordOhm: number,
  meterPart: number,
  needed: readonly (keyof SafetyLimits)[] = [],
): SafetyItem[] {
  const items: { item: keyof SafetyLimits; limit: number; least?: true }[] = [
    { item: 'earthOhm', limit: limits.earthOhm + cordOhm },
    { item: 'insulationOhm', limit: limits.insulationOhm, least: true },
    { item: 'touchA', limit: limits.touchA },
    { item: 'protectiveA', limit: limits.protectiveA },
  ];
  return items.flatMap(({ item, limit, least }): SafetyItem[] => {
    const value = readings[item];
    const ask = (why: string): SafetyItem[] => [{ item, limit, verdict: 'ask', why }];
    // Neither asked for nor measured: it is no matter of this class.
    if (Number.isNaN(limit) && value === undefined && !needed.includes(item)) return [];
    if (value === undefined) return ask('not measured');
    if (Number.isNaN(limit)) return ask('has no limit in the table');
    const blur = 2 * meterPart * value;
    const beyond = least ? value < limit : value > limit;
    if (Math.abs(value - limit) < blur) return ask('too near the limit for this tester');
    return [{ item, limit, verdict: beyond ? 'fail' : 'pass', why: '' }];
  });
}
