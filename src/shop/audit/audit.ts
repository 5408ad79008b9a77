import { auditOf, type AuditOf } from '@/data/audit';
import { database } from '@/data/database';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { deedWords } from '../deeds';
import type { AuditEntry } from './dto';
import { mayReadAudit } from '../access/mayReadAudit';

const PAGE = 50;

/** Every change with before and after, newest first; for the owner. @throws ProblemError 403 */
export async function readAudit(
  person: Person,
  of: AuditOf,
  before?: number,
): Promise<{ rows: AuditEntry[]; more: boolean }> {
  allow(person, mayReadAudit);
  const rows = await auditOf(database(), of, PAGE + 1, before);
  return {
    rows: rows.slice(0, PAGE).map((r) => ({
      id: r.id,
      at: r.at.toISOString(),
      by: r.person,
      deed: r.deed,
      words: r.deed === '' ? '' : deedWords(r.deed),
      rowOf: r.row_of,
      rowId: r.row_id,
      job: r.job_id,
      changes: [...new Set([...Object.keys(r.before ?? {}), ...Object.keys(r.after ?? {})])].map((field) => ({
        field,
        before: r.before?.[field] ?? null,
        after: r.after?.[field] ?? null,
      })),
    })),
    more: rows.length > PAGE,
  };
}
