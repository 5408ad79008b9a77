/**
 * A plain number as typed: a value, null for nothing, undefined for what is no number.
 * @example readNumber('12,5') // → 12.5
 * @example readNumber(' ') // → null
 * @example readNumber('20x9') // → undefined
 */
export function readNumber(typed: string): number | null | undefined {
  const text = typed.trim().replace(',', '.');
  if (text === '') return null;
  return /^[+-]?\d+(\.\d+)?$/.test(text) ? Number(text) : undefined;
}
