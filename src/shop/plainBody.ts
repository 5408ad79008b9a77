import { UNKNOWN_FIELD, type FieldProblem } from './problem';

/** Nothing that is sent to this shop is nested deeper. */
const MOST_DEPTH = 12;
/** Names and items in one body, all levels together: the largest there is, another shop’s learning of every kind, has half of them. */
const MOST_PARTS = 4000;
/** Who gets so many things wrong reads no further. */
export const MOST_PROBLEMS = 100;
const LONGEST_NAME = 80;
/** Names that mean something to the language itself: no form of ours has such a field. */
const OF_THE_LANGUAGE = new Set(['__proto__', 'constructor', 'prototype']);

interface Part {
  value: unknown;
  field: string;
}

/**
 * What is wrong with a body as plain data, whatever it is meant to be: nested too deeply, too many parts, text that is no
 * text, numbers that are none. Looked at level by level, and no further than the limits: no body can cost more than they say.
 * @returns at most 100 problems; none when it may be looked at closely
 */
export function problemsOfBody(body: object): FieldProblem[] {
  const problems: FieldProblem[] = [];
  let level: Part[] = [{ value: body, field: '' }];
  let parts = 0;
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > MOST_DEPTH) return [{ field: '', message: 'It is nested too deeply.' }];
    const next: Part[] = [];
    for (const { value, field } of level) {
      const message = wrongWith(value);
      if (message && problems.push({ field, message }) >= MOST_PROBLEMS) return problems;
      if (typeof value !== 'object' || value === null) continue;
      const names = Object.keys(value);
      parts += names.length;
      if (parts > MOST_PARTS) return [{ field: '', message: `It has more than ${MOST_PARTS} parts.` }];
      for (const name of names) {
        const inner = within(value, field, name);
        if (OF_THE_LANGUAGE.has(name) || name.length > LONGEST_NAME)
          problems.push({ field: inner, message: UNKNOWN_FIELD });
        else next.push({ value: (value as Record<string, unknown>)[name], field: inner });
        if (problems.length >= MOST_PROBLEMS) return problems;
      }
    }
    level = next;
  }
  return problems;
}

function within(parent: object, field: string, name: string): string {
  // Every name of ours is plain; what else was sent for one is not repeated as it came.
  const short = name.slice(0, LONGEST_NAME).replace(/[^\w .-]/g, '?');
  if (Array.isArray(parent)) return `${field}[${short}]`;
  return field === '' ? short : `${field}.${short}`;
}

function wrongWith(value: unknown): string | null {
  // No database of ours can hold the character zero or half of a letter, and nobody types them.
  if (typeof value === 'string')
    return value.includes('\0') || !value.isWellFormed() ? 'There is a character in it that is no text.' : null;
  if (typeof value !== 'number') return null;
  const isExact = !Number.isInteger(value) || Number.isSafeInteger(value);
  return Number.isFinite(value) && isExact ? null : 'A number as it is written in a shop, not as large as this.';
}
