import { ambiguity } from '@/core/units/units';

/**
 * A plain number as typed: a value, null for nothing, undefined for what is no number, or could be two.
 * @example readNumber('12,5') // → 12.5
 * @example readNumber(' ') // → null
 * @example readNumber('20x9') // → undefined
 * @example readNumber('1,200') // → undefined: 1200, or 1.2? (`ambiguity` asks)
 */
export function readNumber(typed: string): number | null | undefined {
  const text = typed.trim().replace(',', '.');
  if (text === '') return null;
  if (ambiguity('number', typed)) return undefined;
  return /^[+-]?\d+(\.\d+)?$/.test(text) ? Number(text) : undefined;
}
