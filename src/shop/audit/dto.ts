export interface AuditEntry {
  id: number;
  at: string;
  by: string | null;
  deed: string;
  /** The deed in words; empty before the book was opened. */
  words: string;
  rowOf: string;
  rowId: string;
  job: number | null;
  /** Only what changed. */
  changes: { field: string; before: unknown; after: unknown }[];
}
