import Papa from 'papaparse';
import { refuseIf } from '../problem';

export const MOST_ROWS = 100_000;

/** The text of a file, and the names of its columns: those that must be there, and those that may. */
interface CsvGiven<C extends string> {
  text: string;
  columns: { needed: readonly C[]; allowed: readonly C[] };
}

/**
 * Reads CSV as RFC 4180 has it (quotes, doubled quotes, line breaks inside quotes), with a first line of names.
 * A byte order mark and `;` or tab instead of the comma are taken as well.
 * @returns one record per row, every column a text (empty when the column is not there)
 * @throws ProblemError 400 at `file` for what is no such file
 */
export function readCsv<C extends string>({ text, columns }: CsvGiven<C>): Record<C, string>[] {
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
