/** Quantities that the bench measures, with the unit in which each is kept. */
export const UNITS = {
  voltage: { base: 'V', units: { V: 1, mV: 1e-3, kV: 1e3, volt: 1, volts: 1 } },
  resistance: {
    base: 'Ω',
    units: { Ω: 1, ohm: 1, ohms: 1, mΩ: 1e-3, kΩ: 1e3, MΩ: 1e6, kohm: 1e3, Mohm: 1e6, k: 1e3, M: 1e6 },
  },
  current: { base: 'A', units: { A: 1, mA: 1e-3, amp: 1, amps: 1 } },
  speed: { base: 'r/min', units: { 'r/min': 1, rpm: 1, 'rev/min': 1 } },
  length: { base: 'mm', units: { mm: 1, cm: 10, m: 1000, in: 25.4, '"': 25.4, inch: 25.4 } },
  // Inch of water at 4 °C: 249.082 Pa; conventional 249.0889 Pa (NIST SP 811, appendix B.8).
  pressure: { base: 'kPa', units: { kPa: 1, Pa: 1e-3, mbar: 0.1, hPa: 0.1, inH2O: 0.2490889 } },
  time: { base: 'min', units: { min: 1, s: 1 / 60, h: 60, sec: 1 / 60 } },
  percent: { base: '%', units: { '%': 1 } },
} as const satisfies Record<string, { base: string; units: Record<string, number> }>;

export type Quantity = keyof typeof UNITS;

/** An instrument that shows "over range" (an open circuit) is kept as this many ohms. */
export const OVER_RANGE_OHM = 1e8;

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
  return value * factor;
}

function factorOf(quantity: Quantity, unit: string): number | undefined {
  const units: Record<string, number> = UNITS[quantity].units;
  if (unit in units) return units[unit];
  // A lower-case or capital slip is forgiven only where it cannot mean another unit (mV and MV differ).
  const hits = Object.keys(units).filter((u) => u.toLowerCase() === unit.toLowerCase());
  return hits.length === 1 ? units[hits[0]!] : undefined;
}

export interface ParsedQuantity {
  /** In the base unit of the quantity. */
  value: number;
  /** How it was read, in words to show beside the field. */
  readAs: string;
}

/**
 * Reads what a technician types: `116`, `116V`, `0.4 ohm`, `2k2`, `12,5 kPa`, `OL`. A number alone is taken in the base unit.
 * @returns null when it cannot be read
 */
export function parseQuantity(quantity: Quantity, typed: string): ParsedQuantity | null {
  const text = typed.trim().replace(/−/g, '-');
  if (quantity === 'resistance' && /^(ol|o\.l\.?|open|∞)$/i.test(text))
    return { value: OVER_RANGE_OHM, readAs: 'over range: an open circuit' };
  const infix = /^(\d+)([kM])(\d+)$/.exec(text);
  if (quantity === 'resistance' && infix) {
    const value = Number(`${infix[1]}.${infix[3]}`) * (infix[2] === 'k' ? 1e3 : 1e6);
    return { value, readAs: formatQuantity(quantity, value) };
  }
  const match = /^(-?\d*[.,]?\d+)\s*(\S.*)?$/.exec(text);
  if (!match) return null;
  const number = Number(match[1]!.replace(',', '.'));
  const factor = match[2] ? factorOf(quantity, match[2].trim()) : 1;
  if (!Number.isFinite(number) || factor === undefined) return null;
  const value = number * factor;
  return { value, readAs: formatQuantity(quantity, value) };
}

/** Three significant figures and the unit; `OL` for an open circuit. */
export function formatQuantity(quantity: Quantity, value: number): string {
  if (quantity === 'resistance') {
    if (value >= OVER_RANGE_OHM) return 'OL';
    if (value >= 1e6) return `${figures(value / 1e6)} MΩ`;
    if (value >= 1e3) return `${figures(value / 1e3)} kΩ`;
  }
  return `${figures(value)} ${UNITS[quantity].base}`;
}

function figures(value: number): string {
  return Math.abs(value) >= 1000 ? String(Math.round(value)) : String(Number(value.toPrecision(3)));
}
