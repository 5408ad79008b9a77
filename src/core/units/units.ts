/** Quantities that the bench measures, with the unit in which each is kept. */
export const UNITS = {
  voltage: { base: 'V', units: { V: 1, mV: 1e-3, kV: 1e3, volt: 1, volts: 1 } },
  resistance: {
    base: 'Ω',
    units: {
      Ω: 1,
      ohm: 1,
      ohms: 1,
      mΩ: 1e-3,
      kΩ: 1e3,
      MΩ: 1e6,
      GΩ: 1e9,
      mohm: 1e-3,
      kohm: 1e3,
      Mohm: 1e6,
      Gohm: 1e9,
      k: 1e3,
      M: 1e6,
    },
  },
  current: { base: 'A', units: { A: 1, mA: 1e-3, amp: 1, amps: 1 } },
  speed: { base: 'r/min', units: { 'r/min': 1, rpm: 1, 'rev/min': 1 } },
  length: { base: 'mm', units: { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, inch: 25.4, ft: 304.8, "'": 304.8 } },
  // Inch of water at 4 °C: 249.082 Pa; conventional 249.0889 Pa (NIST SP 811, appendix B.8).
  // Inch of mercury 3.386389 kPa, pound-force per square inch 6.894757 kPa, bar 100 kPa (NIST SP 811, appendix B.8).
  pressure: {
    base: 'kPa',
    units: {
      kPa: 1,
      Pa: 1e-3,
      mbar: 0.1,
      hPa: 0.1,
      bar: 100,
      inH2O: 0.2490889,
      mmH2O: 0.00980665,
      inHg: 3.386389,
      psi: 6.894757,
    },
  },
  time: { base: 'min', units: { min: 1, s: 1 / 60, h: 60, sec: 1 / 60 } },
  percent: { base: '%', units: { '%': 1 } },
  // NIST SP 811, appendix B.8: pound-force 4.448222 N, pound 453.59237 g, cubic foot 28.31685 L, gallon (US) 3.785412 L,
  // pound-force per square inch 6.894757 kPa, foot per minute 0.00508 m/s, square foot 0.09290304 m².
  force: { base: 'N', units: { N: 1, kN: 1e3, lbf: 4.448222, kgf: 9.80665 } },
  mass: { base: 'g', units: { g: 1, kg: 1e3, oz: 28.34952, lb: 453.59237, lbs: 453.59237 } },
  flow: {
    base: 'L/s',
    units: { 'L/s': 1, 'L/min': 1 / 60, 'm3/h': 1 / 3.6, 'm³/h': 1 / 3.6, cfm: 28.31685 / 60, gpm: 3.785412 / 60 },
  },
  temperature: { base: '°C', units: { '°C': 1, C: 1, '°F': 5 / 9, F: 5 / 9 } },
  volume: { base: 'L', units: { L: 1, l: 1, mL: 1e-3, gal: 3.785412, qt: 0.946353 } },
  modulus: { base: 'MPa', units: { MPa: 1, kPa: 1e-3, psi: 6.894757e-3 } },
  pace: { base: 'm/s', units: { 'm/s': 1, 'km/h': 1 / 3.6, 'm/min': 1 / 60, 'ft/min': 0.00508, mph: 0.44704 } },
  area: { base: 'm²', units: { 'm²': 1, m2: 1, 'ft²': 0.09290304, ft2: 0.09290304 } },
  section: { base: 'mm²', units: { 'mm²': 1, mm2: 1 } },
  // What is taken in; horsepower is what comes out, and is no unit of it.
  intake: { base: 'W', units: { W: 1, kW: 1e3, VA: 1 } },
  power: { base: 'W', units: { W: 1, kW: 1e3, hp: 745.6999 } },
  charge: { base: 'Ah', units: { Ah: 1, mAh: 1e-3 } },
  duration: { base: 'h', units: { h: 1, min: 1 / 60, s: 1 / 3600, days: 24, d: 24 } },
  number: { base: '', units: { '': 1 } },
} as const satisfies Record<string, { base: string; units: Record<string, number> }>;

export type Quantity = keyof typeof UNITS;

/** An instrument that shows "over range" (an open circuit) is kept as this many ohms. */
export const OVER_RANGE_OHM = 1e8;

/** Quantities in which both a thousandth and a million of the unit are met on a bench. */
const PREFIXED: ReadonlySet<Quantity> = new Set(['voltage', 'resistance', 'current', 'charge', 'modulus', 'power']);

/** Names of the units that a quantity may be given in. */
export function unitsOf(quantity: Quantity): string[] {
  return Object.keys(UNITS[quantity].units);
}

/**
 * Value in the quantity's base unit.
 * @throws RangeError for a unit that is not one of the quantity's
 */
export function toBase(quantity: Quantity, value: number, unit: string): number {
  const factor = factorOf(quantity, unit);
  if (factor === undefined)
    throw new RangeError(`${unit} is not a unit of ${quantity}: use ${unitsOf(quantity).join(', ')}.`);
  return value * factor + offsetOf(quantity, unit);
}

/** Where a scale's zero lies, in the base unit: only the Fahrenheit scale of temperature has another one. */
function offsetOf(quantity: Quantity, unit: string): number {
  return quantity === 'temperature' && /f$/i.test(unit) ? -32 * (5 / 9) : 0;
}

/** The other way: a value of the base unit in one of the quantity's units. @throws RangeError as toBase */
export function fromBase(quantity: Quantity, value: number, unit: string): number {
  return (value - offsetOf(quantity, unit)) / (toBase(quantity, 1, unit) - offsetOf(quantity, unit));
}

function factorOf(quantity: Quantity, unit: string): number | undefined {
  const units: Record<string, number> = UNITS[quantity].units;
  if (unit in units) return units[unit];
  // A lower-case or capital slip is forgiven only where it cannot mean another unit: a milli is never read for a mega.
  const hits = Object.keys(units).filter((u) => u.toLowerCase() === unit.toLowerCase());
  const [hit] = hits;
  if (hits.length !== 1 || hit === undefined) return undefined;
  const isPrefixSlip = PREFIXED.has(quantity) && /^m./i.test(hit) && hit[0] !== unit[0];
  return isPrefixSlip ? undefined : units[hit];
}

export interface ParsedQuantity {
  /** In the base unit of the quantity. */
  value: number;
  /** How it was read, in words to show beside the field. */
  readAs: string;
}

/**
 * Reads what a technician types: `116`, `116V`, `0.4 ohm`, `2k2`, `12,5 kPa`, `OL`. A number alone is taken in the base unit.
 * @returns null when it cannot be read, or can be read in two ways (`ambiguity` says which)
 */
export function parseQuantity(quantity: Quantity, typed: string): ParsedQuantity | null {
  const text = plainText(typed);
  if (quantity === 'resistance' && /^(ol|o\.l\.?|open|∞)$/i.test(text))
    return { value: OVER_RANGE_OHM, readAs: 'over range: an open circuit' };
  const infix = /^(\d+)([kM])(\d+)$/.exec(text);
  if (quantity === 'resistance' && infix) {
    const value = Number(`${infix[1]}.${infix[3]}`) * (infix[2] === 'k' ? 1e3 : 1e6);
    return { value, readAs: formatQuantity(quantity, value) };
  }
  const match = MEASURED.exec(text);
  if (!match || TWO_WAYS.test(match[1]!)) return null;
  const number = numberOf(match[1]!);
  const unit = match[2]?.trim() ?? '';
  const factor = unit ? factorOf(quantity, unit) : 1;
  if (!Number.isFinite(number) || factor === undefined) return null;
  const value = number * factor + offsetOf(quantity, unit);
  return { value, readAs: formatQuantity(quantity, value) };
}

/** A number with groups of three, or as it comes, or a fraction; then a unit. */
const MEASURED =
  /^(-?(?:\d{1,3}(?:,\d{3})+(?:\.\d+)?|\d{1,3}(?:\.\d{3})+,\d+|\d*[.,]?\d+)(?:[ -]\d+\/\d+|\/\d+)?)\s*(\D.*)?$/;
/** One comma before exactly three digits: a thousand and more to one, a little more than one to another. */
const TWO_WAYS = /^-?[1-9]\d{0,2},\d{3}$/;

/** Signs that mean the same as ours: minus, the ohm sign, spaces and apostrophes between groups of digits. */
function plainText(typed: string): string {
  return typed
    .trim()
    .replace(/−/g, '-')
    .replace(/\u2126/g, 'Ω')
    .replace(/(\d)[\u00a0\u202f\u2009'’](?=\d{3}(?!\d))/g, '$1');
}

/**
 * What is to be asked when a number can be read in two ways: it is never guessed.
 * @returns null when there is nothing to ask
 * @example ambiguity('power', '1,200 W') // '1,200: is it 1200 or 1.2? Write it so.'
 */
export function ambiguity(quantity: Quantity, typed: string): string | null {
  const match = MEASURED.exec(plainText(typed));
  if (!match || !TWO_WAYS.test(match[1]!)) return null;
  const unit = match[2]?.trim() ?? '';
  if (unit && factorOf(quantity, unit) === undefined) return null;
  const [whole, part] = [match[1]!.replace(',', ''), String(Number(match[1]!.replace(',', '.')))];
  return `${match[1]}: is it ${whole} or ${part}? Write it so.`;
}

/** `12,5`, `1,234.5`, `1.234,5`, `3/8`, `1 1/2` as a number; NaN for what is none. */
function numberOf(typed: string): number {
  const parts = /^(-?)(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(typed);
  if (/^-?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/.test(typed)) return Number(typed.replace(/,/g, ''));
  if (/^-?[1-9]\d{0,2}(\.\d{3})+,\d+$/.test(typed)) return Number(typed.replace(/\./g, '').replace(',', '.'));
  if (!parts) return Number(typed.replace(',', '.'));
  const value = Number(parts[2] ?? 0) + Number(parts[3]) / Number(parts[4]);
  return parts[1] ? -value : value;
}

/** Three significant figures and the unit; `OL` for an open circuit. */
export function formatQuantity(quantity: Quantity, value: number): string {
  if (quantity === 'resistance') {
    // An insulation tester reads further than a multimeter: 200 MΩ and 2 GΩ are readings, not "over range".
    if (value === OVER_RANGE_OHM) return 'OL';
    if (value >= 1e9) return `${figures(value / 1e9)} GΩ`;
    if (value >= 1e6) return `${figures(value / 1e6)} MΩ`;
    if (value >= 1e3) return `${figures(value / 1e3)} kΩ`;
  }
  if (quantity === 'current' && value !== 0 && Math.abs(value) < 0.1) return `${figures(value * 1e3)} mA`;
  if (quantity === 'duration' && value !== 0 && Math.abs(value) < 1) return `${figures(value * 60)} min`;
  if (quantity === 'length' && Math.abs(value) >= 1e4) return `${figures(value / 1e3)} m`;
  return `${figures(value)} ${UNITS[quantity].base}`.trim();
}

function figures(value: number): string {
  return Math.abs(value) >= 1000 ? String(Math.round(value)) : String(Number(value.toPrecision(3)));
}
