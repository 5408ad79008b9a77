export interface AuditEntry {
  id: number;
  at: string;
  by: string | null;
  deed: string;
  rowOf: string;
  rowId: string;
  job: number | null;
  /** Only what changed. */
  changes: { field: string; before: unknown; after: unknown }[];
}
