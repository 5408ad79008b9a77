/** What would happen, or happened, to one row of a file. */
export interface RowReport {
  /** Line of the file as a spreadsheet numbers it; the first line names the columns. */
  row: number;
  outcome: 'new' | 'known' | 'wrong';
  what: string;
  problems: { field: string; message: string }[];
}

export interface ImportReport {
  written: boolean;
  counts: Record<RowReport['outcome'], number>;
  /** Wrong rows first, then the others; as many as are worth reading. */
  rows: RowReport[];
  more: number;
}
