import { decimalOf } from '@/core/money/currency';

/** The most that a code of this sort carries. */
const MOST_MINOR = 99_999_999_999;

/**
 * The text of a code for a SEPA credit transfer: EPC069-12, version 2 (the BIC may be left out inside the EEA), from memory.
 * @param reference what the payer’s bank passes on, 140 characters at most
 * @returns null where it cannot be paid so: another currency than the euro, no IBAN, nothing to pay
 */
export function epcCode(
  to: { name: string; iban: string; bic: string },
  amount: { minor: number; currency: string },
  reference: string,
): string | null {
  if (amount.currency !== 'EUR' || to.iban === '' || amount.minor < 1 || amount.minor > MOST_MINOR) return null;
  const plain = (text: string, most: number) =>
    text
      .replace(/[\r\n]+/g, ' ')
      .trim()
      .slice(0, most);
  return [
    'BCD',
    '002',
    '1',
    'SCT',
    to.bic,
    plain(to.name, 70),
    to.iban,
    `EUR${decimalOf(amount.minor, 'EUR')}`,
    '',
    '',
    plain(reference, 140),
  ].join('\n');
}
