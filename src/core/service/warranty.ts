/**
 * Last day of a warranty: purchase plus whole calendar months; the 31st becomes the last day of a shorter month.
 * @param purchasedOn ISO date
 * @param months 0 or more; 0 means that the model has none
 * @returns ISO date, or null without a warranty
 * @throws RangeError for what is no date
 */
export function warrantyUntil(purchasedOn: string, months: number): string | null {
  const [year, month, day] = purchasedOn.split('-').map(Number);
  if (!year || !month || !day || Number.isNaN(Date.parse(purchasedOn))) throw new RangeError(`No date: ${purchasedOn}`);
  if (months <= 0) return null;
  const lastOfMonth = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(day, lastOfMonth))).toISOString().slice(0, 10);
}
