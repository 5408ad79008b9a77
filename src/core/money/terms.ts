import type { LabourTerms } from './labour';
import type { TaxRules } from './bill';

/** What a shop charges besides parts, smallest units. */
export interface Charges {
  /** Begun steps of minutes are charged whole. */
  stepMinutes: number;
  /** Owed when nothing is repaired; dropped when the repair is taken. */
  diagnosisMinor: number;
  /** Less than this is not charged. */
  leastMinor: number;
  /** Cleaner, grease, sealant, once for a repair that needs some. */
  materialsMinor: number;
  /** For coming to the machine. */
  callOutMinor: number;
  /** Asked before the work begins, hundred-thousandths of the offer. */
  deposit100k: number;
  /** How long the shop stands for its work, days. */
  warrantyDays: number;
  /** How long an offer holds, days. */
  offerDays: number;
  /** After how many days without an answer it is asked again. */
  askAgainDays: number;
}

export const USUAL_CHARGES: Charges = {
  stepMinutes: 5,
  diagnosisMinor: 0,
  leastMinor: 0,
  materialsMinor: 0,
  callOutMinor: 0,
  deposit100k: 0,
  warrantyDays: 90,
  offerDays: 30,
  askAgainDays: 3,
};

export const NO_TAXES: TaxRules = { taxes: [], included: false, perLine: false, rounding: 'half-even' };

/** What a shop charges and taxes, with what is usual where it said nothing. */
export const chargesOf = (kept: object): Charges => ({ ...USUAL_CHARGES, ...kept });
export const taxesOf = (kept: object): TaxRules => ({ ...NO_TAXES, ...kept });

/** How minutes are charged, when the shop said what an hour costs. */
export function labourTerms(hourMinor: number, charges: Charges, { rounding }: TaxRules): LabourTerms {
  return { hourMinor, stepMinutes: charges.stepMinutes, rounding };
}
