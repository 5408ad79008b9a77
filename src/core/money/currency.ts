/**
 * Currencies whose smallest unit is not the hundredth: ISO 4217, list one (from memory, checked against a published copy of
 * the list in the tests).
 */
const OTHER_DIGITS: Readonly<Record<string, number>> = {
  ...Object.fromEntries(
    'BIF CLP DJF GNF ISK JPY KMF KRW PYG RWF UGX UYI VND VUV XAF XOF XPF'.split(' ').map((code) => [code, 0]),
  ),
  ...Object.fromEntries('BHD IQD JOD KWD LYD OMR TND'.split(' ').map((code) => [code, 3])),
  CLF: 4,
  UYW: 4,
};

/**
 * How many decimal places a currency’s smallest unit stands for.
 * @param currency ISO 4217 code
 * @example digitsOf('EUR') // → 2
 * @example digitsOf('JPY') // → 0
 * @example digitsOf('KWD') // → 3
 */
export function digitsOf(currency: string): number {
  return OTHER_DIGITS[currency] ?? 2;
}

/**
 * An amount as its decimal number in plain ASCII, as files have it; never through a binary fraction.
 * @param minor whole smallest units
 * @example decimalOf(-1205, 'EUR') // → '-12.05'
 * @example decimalOf(7, 'KWD') // → '0.007'
 * @example decimalOf(7, 'JPY') // → '7'
 */
export function decimalOf(minor: number, currency: string): string {
  const digits = digitsOf(currency);
  const figures = String(Math.abs(minor)).padStart(digits + 1, '0');
  const whole = figures.slice(0, figures.length - digits);
  const sign = minor < 0 ? '-' : '';
  return digits === 0 ? sign + whole : `${sign}${whole}.${figures.slice(-digits)}`;
}

/** By land and currency: to make one takes longer than to use it a hundred times. */
const formats = new Map<string, Intl.NumberFormat>();
const MOST_FORMATS = 100;

function formatOf(currency: string, locale: string): Intl.NumberFormat {
  const key = `${currency} ${locale}`;
  const known = formats.get(key);
  if (known) return known;
  const digits = digitsOf(currency);
  const made = new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  });
  if (formats.size >= MOST_FORMATS) formats.clear();
  formats.set(key, made);
  return made;
}

/**
 * An amount in words of the shop’s own land.
 * @param locale BCP 47
 * @example moneyText(1205, 'USD', 'en-US') // → '$12.05'
 */
export function moneyText(minor: number, currency: string, locale: string): string {
  const format = formatOf(currency, locale);
  // A decimal string is shown digit by digit: no amount is too long for it.
  return format.format(decimalOf(minor, currency) as unknown as number);
}

/** More than any machine costs: what is typed above it is a slip. */
export const MOST_MINOR = 2_000_000_000;

/**
 * An amount as typed: smallest units, null for nothing, undefined for what is no amount of this currency, or could be two.
 * @example readMoney('12,5', 'EUR') // → 1250
 * @example readMoney('1,200', 'EUR') // → undefined
 * @example readMoney('1,200', 'KWD') // → 1200
 * @example readMoney('0.5', 'JPY') // → undefined
 */
export function readMoney(typed: string, currency: string): number | null | undefined {
  const text = typed.trim();
  if (text === '') return null;
  const digits = digitsOf(currency);
  const match = /^([+-]?)(\d+)(?:[.,](\d+))?$/.exec(text);
  if (!match) return undefined;
  const [, sign, whole, fraction = ''] = match;
  if (fraction.length > digits) return undefined;
  const minor = Number(`${whole}${fraction.padEnd(digits, '0')}`);
  if (minor > MOST_MINOR) return undefined;
  return sign === '-' && minor !== 0 ? -minor : minor;
}
