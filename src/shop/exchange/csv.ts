import Papa from 'papaparse';
import { refuseIf } from '../problem';

export const LARGEST_CSV_BYTES = 20_000_000;
export const MOST_ROWS = 100_000;

/**
 * Reads CSV as RFC 4180 has it (quotes, doubled quotes, line breaks inside quotes), with a first line of names.
 * A byte order mark and `;` or tab instead of the comma are taken as well.
 * @param columns names that must be there, and those that may
 * @returns one record per row, every column a text (empty when the column is not there)
 * @throws ProblemError 400 at `file` for what is no such file
 */
export function readCsv<C extends string>(
  text: string,
  columns: { needed: readonly C[]; allowed: readonly C[] },
): Record<C, string>[] {
  const say = (message: string) => refuseIf([{ field: 'file', message }]);
  const { data, errors, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    delimitersToGuess: [',', ';', '\t'],
    transformHeader: (name) => name.trim().toLowerCase().replace(/\s+/g, '_'),
  });
  const names = meta.fields ?? [];
  const missing = columns.needed.filter((c) => !names.includes(c));
  if (missing.length > 0) say(`Columns are missing: ${missing.join(', ')}. The first line names the columns.`);
  const all: readonly string[] = [...columns.needed, ...columns.allowed];
  const strange = names.filter((n) => n !== '' && !all.includes(n));
  if (strange.length > 0) say(`Columns that are not known: ${strange.slice(0, 8).join(', ')}.`);
  const broken = errors.find((e) => e.type === 'Quotes' || e.code === 'TooManyFields');
  if (broken) say(`Row ${(broken.row ?? 0) + 2} cannot be read: ${broken.message}.`);
  if (data.length === 0) say('The file has no rows.');
  if (data.length > MOST_ROWS) say(`At most ${MOST_ROWS} rows at once.`);
  return data.map((row) => Object.fromEntries(all.map((c) => [c, (row[c] ?? '').trim()])) as Record<C, string>);
}

/**
 * Where a spreadsheet takes a cell for a formula (OWASP, CSV injection: from memory), and what looks like such a cell
 * already made harmless: that gets an apostrophe more, or the one it came with would be lost on the way back.
 */
const FORMULA = /^'*[=+\-@\t\r]/;

/**
 * Writes CSV as RFC 4180 has it: CRLF, quotes where they are needed. A cell that a spreadsheet would run as a formula
 * gets an apostrophe before it.
 */
export function writeCsv(columns: readonly string[], rows: readonly (readonly (string | number | null)[])[]): string {
  const safe = rows.map((row) =>
    row.map((cell) => (typeof cell === 'string' && FORMULA.test(cell) ? `'${cell}` : cell)),
  );
  return `${Papa.unparse({ fields: [...columns], data: safe as unknown[][] }, { newline: '\r\n' })}\r\n`;
}

/** The apostrophe that `writeCsv` set before a formula comes off again. */
export function plainCell(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
