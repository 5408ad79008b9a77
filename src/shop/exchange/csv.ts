import Papa from 'papaparse';

/**
 * Where a spreadsheet takes a cell for a formula (OWASP, CSV injection: from memory), and what looks like such a cell
 * already made harmless: that gets an apostrophe more, or the one it came with would be lost on the way back.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
/** An amount below nought is a number to every spreadsheet, and runs nothing. */
const BELOW_NOUGHT = /^-\d+(\.\d+)?$/;
const isFormula = (cell: string) => FORMULA.test(cell) && !BELOW_NOUGHT.test(cell);

/**
 * Writes CSV as RFC 4180 has it: CRLF, quotes where they are needed. A cell that a spreadsheet would run as a formula
 * gets an apostrophe before it.
 * @param withNames whether the first line names the columns; a file that is written in pieces names them once
 */
export function writeCsv(
  columns: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
  withNames = true,
): string {
  const safe = rows.map((row) => row.map((cell) => (typeof cell === 'string' && isFormula(cell) ? `'${cell}` : cell)));
  const data = safe as unknown[][];
  return `${Papa.unparse(withNames ? { fields: [...columns], data } : data, { newline: '\r\n' })}\r\n`;
}

/** The apostrophe that `writeCsv` set before a formula comes off again. */
export function plainCell(cell: string): string {
  return cell.startsWith("'") && FORMULA.test(cell.slice(1)) ? cell.slice(1) : cell;
}
