import { ambiguity, formatQuantity, parseQuantity, unitsOf, UNITS, type Quantity } from '../units/units';
import { isAsked, type Column, type Field, type Fields, type RawValues, type RowsField, type ValuesOf } from './fields';

/** What is wrong with one field, in words for the person who typed it. */
export interface GaugeProblem {
  field: string;
  message: string;
}

/** Thrown by a gauge for values that do not go together. */
export class GaugeError extends Error {
  constructor(readonly fields: GaugeProblem[]) {
    super(fields.map((f) => `${f.field}: ${f.message}`).join(' '));
    this.name = 'GaugeError';
  }
}

/** @throws GaugeError for one field */
export function refuse(field: string, message: string): never {
  throw new GaugeError([{ field, message }]);
}

/** A field as read: its value with how it was read, nothing (left empty or not asked), or what is wrong. */
export type ReadField = { value: unknown; readAs: string } | { problem: string } | null;

/** A number without a unit. */
const BARE = /^\s*-?[\d.,/]+\s*$/;

const isEmpty = (raw: unknown) => raw === undefined || raw === null || (typeof raw === 'string' && raw.trim() === '');

/** Reads one field from what was typed or sent. */
export function readField(field: Field, raw: unknown): ReadField {
  if (isEmpty(raw)) {
    if (field.sort !== 'choice' && field.optional) return null;
    return { problem: field.sort === 'rows' ? 'Nothing is written here yet.' : 'Needed.' };
  }
  switch (field.sort) {
    case 'choice':
      return field.options.some((o) => o.id === raw)
        ? { value: raw, readAs: '' }
        : { problem: `One of: ${field.options.map((o) => o.id).join(', ')}.` };
    case 'count':
      return readCount(raw, field.min, field.max);
    case 'quantity': {
      const bare = typeof raw === 'string' && field.unit !== undefined && BARE.test(raw);
      const read = readQuantity(field.quantity, bare ? `${raw} ${field.unit}` : raw);
      if (!read) return { problem: notRead(field.quantity, raw) };
      const { min, max } = field;
      return read.value >= min && read.value <= max
        ? read
        : { problem: `From ${formatQuantity(field.quantity, min)} to ${formatQuantity(field.quantity, max)}.` };
    }
    case 'text':
      if (typeof raw !== 'string') return { problem: 'Words.' };
      return raw.trim().length <= field.maxLength
        ? { value: raw.trim(), readAs: '' }
        : { problem: `At most ${field.maxLength} characters.` };
    case 'file':
      if (typeof raw !== 'string') return { problem: 'The text of a file.' };
      return raw.length <= field.maxLength ? { value: raw, readAs: '' } : { problem: 'The file is too long.' };
    case 'rows':
      return readRows(field, raw);
  }
}

/** What is asked of a number that cannot be read, or can be read in two ways. */
function notRead(of: Quantity, raw: unknown): string {
  return (typeof raw === 'string' ? ambiguity(of, raw) : null) ?? `A number in ${unitList(of)}.`;
}

function unitList(of: Quantity): string {
  return UNITS[of].base === '' ? 'digits' : unitsOf(of).slice(0, 5).join(', ');
}

function readQuantity(of: Quantity, raw: unknown): { value: number; readAs: string } | null {
  if (typeof raw === 'number') return Number.isFinite(raw) ? { value: raw, readAs: formatQuantity(of, raw) } : null;
  return typeof raw === 'string' && raw.length <= 60 ? parseQuantity(of, raw) : null;
}

function readCount(raw: unknown, min: number, max: number): ReadField {
  const text = typeof raw === 'number' ? String(raw) : typeof raw === 'string' ? raw.trim() : '';
  const value = /^\d{1,9}$/.test(text) ? Number(text) : NaN;
  return value >= min && value <= max ? { value, readAs: '' } : { problem: `A whole number from ${min} to ${max}.` };
}

/** A calendar day as milliseconds since 1970, or not a number: the 30th of February is none, whatever a clock makes of it. */
function dayAt(text: string): number {
  const at = /^\d{4}-\d\d-\d\d$/.test(text) ? Date.parse(`${text}T00:00:00Z`) : NaN;
  return !Number.isNaN(at) && new Date(at).toISOString().startsWith(text) ? at : NaN;
}

const CLOCK = /^(?:(\d{4}-\d\d-\d\d)[T ])?(\d{1,2}):(\d\d)$/;

/** A cell of a line. Days and clock times become milliseconds; a clock time without a day is one of 1970-01-01. */
function readCell(column: Column, raw: string): { value: number | string } | { problem: string } {
  if (column.is === 'text') return { value: raw };
  if (column.is === 'date') {
    const at = dayAt(raw);
    return Number.isNaN(at) ? { problem: `${column.label}: a day such as 2026-03-14.` } : { value: at };
  }
  if (column.is === 'clock') {
    const match = CLOCK.exec(raw);
    const time = match ? Date.parse(`1970-01-01T${match[2]!.padStart(2, '0')}:${match[3]}:00Z`) : NaN;
    const at = time + dayAt(match?.[1] ?? '1970-01-01');
    return Number.isNaN(at) ? { problem: `${column.label}: a time such as 14:30.` } : { value: at };
  }
  const { min = -Infinity, max = Infinity } = column;
  if (column.is === 'count') {
    const read = readCount(raw, Math.max(0, min), Math.min(1e9, max));
    return read && 'value' in read ? { value: read.value as number } : { problem: `${column.label}: a whole number.` };
  }
  const named = column.unit !== undefined && BARE.test(raw) ? `${raw} ${column.unit}` : raw;
  const read = readQuantity(column.is, named);
  if (!read) return { problem: `${column.label}: ${notRead(column.is, named)}` };
  return read.value >= min && read.value <= max
    ? { value: read.value }
    : { problem: `${column.label}: from ${min} to ${max} ${UNITS[column.is].base}.` };
}

/** Cells of a line: between `;`, tabs, `×`, or ` x `, or else where a new number follows two or more blanks or a blank. */
function cellsOf(line: string, columns: number): string[] {
  if (columns === 1) return [line.trim()];
  const marked = line.split(/[;\t|×]|\s+x\s*(?=\d)|:\s+/);
  if (marked.length > 1) return marked.map((c) => c.trim());
  // `2026-03-14 8.5 mm`, `10:30 1250 g`, `0.2 mm 4`: the first word (with its unit) is the first cell.
  const match = /^(\S+(?:\s+(?!-?\d)\S+)*)\s+(-?\d.*)$/.exec(line.trim());
  return match ? [match[1]!, match[2]!] : [line.trim()];
}

/** Characters of one line; longer ones are not looked into. */
const MOST_LINE = 200;

function readRows(field: RowsField, raw: unknown): ReadField {
  const names = Object.keys(field.columns);
  const lines = Array.isArray(raw) ? raw : typeof raw === 'string' ? linesOf(field, raw) : null;
  if (!lines) return { problem: 'Lines of text.' };
  if (lines.length > field.maxRows) return { problem: `At most ${field.maxRows} of them.` };
  const found: Record<string, number | string>[] = [];
  for (const [i, line] of lines.entries()) {
    if (typeof line === 'string' && line.length > MOST_LINE) return { problem: `Line ${i + 1} is too long.` };
    const cells =
      typeof line === 'string' ? cellsOf(line, names.length) : typeof line === 'number' ? [String(line)] : null;
    if (!cells || cells.length > names.length)
      return { problem: `Line ${i + 1} cannot be read: ${names.length} values.` };
    const row: Record<string, number | string> = {};
    for (const [at, name] of names.entries()) {
      const column = field.columns[name]!;
      const cell = cells[at];
      if (cell === undefined || cell === '' || (cell === '-' && column.otherwise !== undefined)) {
        if (column.otherwise === undefined)
          return { problem: `Line ${i + 1}: ${column.label.toLowerCase()} is missing.` };
        row[name] = column.otherwise;
        continue;
      }
      const read = readCell(column, cell);
      if ('problem' in read) return { problem: `Line ${i + 1}: ${read.problem}` };
      row[name] = read.value;
    }
    found.push(row);
  }
  if (found.length < field.minRows)
    return { problem: `At least ${field.minRows}; there ${found.length === 1 ? 'is' : 'are'} ${found.length}.` };
  return { value: found, readAs: `${found.length} ${field.flat ? 'readings' : found.length === 1 ? 'line' : 'lines'}` };
}

function linesOf(field: RowsField, text: string): string[] {
  const parts = field.flat ? text.split(/[\s;]+/) : text.split(/\r?\n/);
  return parts.map((l) => l.trim()).filter((l) => l !== '');
}

export interface ReadAll<F extends Fields> {
  /** Null while something is wrong. */
  values: ValuesOf<F> | null;
  readAs: Record<string, string>;
  problems: GaugeProblem[];
}

/** Reads all fields; those that are not asked with what is chosen are left out. */
export function readFields<F extends Fields>(fields: F, raw: RawValues): ReadAll<F> {
  const values: Record<string, unknown> = {};
  const readAs: Record<string, string> = {};
  const problems: GaugeProblem[] = [];
  for (const [name, field] of Object.entries(fields)) {
    if (!isAsked(field, raw)) continue;
    const read = readField(field, raw[name]);
    if (!read) continue;
    if ('problem' in read) problems.push({ field: name, message: read.problem });
    else {
      values[name] = read.value;
      readAs[name] = read.readAs;
    }
  }
  return { values: problems.length > 0 ? null : (values as ValuesOf<F>), readAs, problems };
}
