import { formatQuantity, fromBase, parseQuantity, UNITS, type Quantity } from './units';

/** What the shop reads in. */
export type UnitSystem = 'metric' | 'inch';

/** The inch shop's unit of a quantity; others are read in the same unit everywhere. */
const INCH_UNITS: Partial<Record<Quantity, string>> = {
  length: 'in',
  pressure: 'inH2O',
  force: 'lbf',
  mass: 'oz',
  flow: 'cfm',
  temperature: '°F',
  volume: 'gal',
  modulus: 'psi',
  pace: 'ft/min',
  area: 'ft²',
};

/** The unit in which a shop of this system reads a quantity; empty for a plain number. */
export function unitFor(quantity: Quantity, system: UnitSystem): string {
  return (system === 'inch' && INCH_UNITS[quantity]) || UNITS[quantity].base;
}

/** A value of the base unit as a shop of this system reads it: three figures and the unit. */
export function shownIn(quantity: Quantity, value: number, system: UnitSystem): string {
  const unit = system === 'inch' ? INCH_UNITS[quantity] : undefined;
  if (unit === undefined) return formatQuantity(quantity, value);
  const inUnit = fromBase(quantity, value, unit);
  const figures = Math.abs(inUnit) >= 1000 ? Math.round(inUnit) : Number(inUnit.toPrecision(3));
  return `${figures} ${unit}`;
}

/** What was typed, with the shop's unit when none was: a bare `0.5` is half an inch in an inch shop. */
export function withUnit(quantity: Quantity, typed: string, system: UnitSystem): string {
  const unit = system === 'inch' ? INCH_UNITS[quantity] : undefined;
  if (unit === undefined || !/^\s*-?[\d.,\s/-]+$/.test(typed)) return typed;
  const named = `${typed.trim()} ${unit}`;
  return parseQuantity(quantity, named) ? named : typed;
}

/**
 * A value with its standard uncertainty, rounded as far as that makes sense: the uncertainty to one figure (two when it
 * begins with 1), the value to the same place (JCGM 100, 7.2.6, allows at most two).
 */
export function withUncertainty(
  quantity: Quantity,
  value: number,
  plusMinus: number | undefined,
  system: UnitSystem,
): string {
  if (plusMinus === undefined || !(plusMinus > 0)) return shownIn(quantity, value, system);
  const unit = unitFor(quantity, system);
  const [x, u] = [
    fromBase(quantity, value, unit),
    fromBase(quantity, value + plusMinus, unit) - fromBase(quantity, value, unit),
  ];
  const power = Math.floor(Math.log10(u));
  const places = power - (u / 10 ** power < 1.95 ? 1 : 0);
  const round = (y: number) =>
    places >= 0 ? String(Math.round(y / 10 ** places) * 10 ** places) : y.toFixed(Math.min(12, -places));
  return `${round(x)} ± ${round(u)} ${unit}`.trim();
}
