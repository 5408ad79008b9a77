import Papa from 'papaparse';

/** Rows as CSV (RFC 4180), a cell that a spreadsheet would run as a formula made harmless. */
export function csvOf<Row>(columns: { label: string; text: (row: Row) => string }[], rows: Row[]): string {
  const data = rows.map((row) => columns.map((c) => c.text(row)));
  return `${Papa.unparse({ fields: columns.map((c) => c.label), data }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
