import type { Db } from './database';

export const DOCUMENT_KINDS = [
  'estimate',
  'order',
  'invoice',
  'credit',
  'receipt',
  'unrepaired',
  'consent',
  'label',
] as const;
export type DocumentKind = (typeof DOCUMENT_KINDS)[number];

export interface DocumentRow {
  id: number;
  kind: DocumentKind;
  year: number;
  number: number;
  job_id: number;
  /** As it was printed: what it means is not known here. */
  content: object;
  total_minor: number;
  currency: string;
  corrects: number | null;
  at: Date;
  person: string | null;
}

/**
 * Writes a document under the next number of its kind and year. The row of the counter is held until the transaction ends:
 * whoever comes meanwhile waits, and a transaction that fails gives its number back, so that no number is missing.
 */
export async function insertDocument(
  db: Db,
  row: {
    kind: DocumentKind;
    year: number;
    jobId: number;
    content: object;
    totalMinor: number;
    currency: string;
    corrects?: number;
    personId: number;
  },
): Promise<{ id: number; number: number }> {
  const { rows } = await db.raw<{ rows: { last: number }[] }>(
    `insert into document_number (kind, year, last) values (:kind, :year, 1)
     on conflict (kind, year) do update set last = document_number.last + 1 returning last`,
    { kind: row.kind, year: row.year },
  );
  const number = rows[0]!.last;
  const [made] = await db('document')
    .insert({
      kind: row.kind,
      year: row.year,
      number,
      job_id: row.jobId,
      content: JSON.stringify(row.content),
      total_minor: row.totalMinor,
      currency: row.currency,
      corrects: row.corrects ?? null,
      person_id: row.personId,
    })
    .returning<{ id: number }[]>('id');
  return { id: made!.id, number };
}

const query = (db: Db) =>
  db('document')
    .leftJoin('person', 'person.id', 'document.person_id')
    .select<DocumentRow[]>('document.*', { person: 'person.name' });

export async function documentById(db: Db, id: number): Promise<DocumentRow | undefined> {
  return query(db).where('document.id', id).first() as Promise<DocumentRow | undefined>;
}

export interface DocumentListed {
  id: number;
  kind: DocumentKind;
  year: number;
  number: number;
  job_id: number;
  total_minor: number;
  currency: string;
  at: Date;
  tag: string;
  customer: string;
  corrects: number | null;
  corrected_by: number | null;
}

/** Documents, newest first. @param before only those older than this one */
export async function documents(
  db: Db,
  limit: number,
  { before, kind }: { before?: number; kind?: DocumentKind } = {},
): Promise<DocumentListed[]> {
  const list = db('document')
    .join('job', 'job.id', 'document.job_id')
    .join('machine', 'machine.id', 'job.machine_id')
    .join('customer', 'customer.id', 'job.customer_id')
    .orderBy('document.id', 'desc')
    .limit(limit)
    .select('document.id', 'document.kind', 'year', 'number', 'document.job_id', 'total_minor', 'currency')
    .select('document.at', 'machine.tag', 'corrects', { customer: 'customer.name' })
    .select({ corrected_by: db('document as c').whereRaw('c.corrects = document.id').select('c.id') });
  if (before !== undefined) list.where('document.id', '<', before);
  if (kind !== undefined) list.where('document.kind', kind);
  return list;
}

export interface PaymentRow {
  id: number;
  job_id: number;
  document_id: number | null;
  how: 'cash' | 'card' | 'transfer';
  amount_minor: number;
  given_minor: number | null;
  note: string;
  day: string;
  at: Date;
}

export async function insertPayment(
  db: Db,
  row: Omit<PaymentRow, 'id' | 'at'> & { person_id: number },
): Promise<number> {
  const [made] = await db('payment').insert(row).returning<{ id: number }[]>('id');
  return made!.id;
}

/** Payments of a day by how they were made, smallest units. */
export async function takingsOf(
  db: Db,
  day: string,
): Promise<{ how: PaymentRow['how']; minor: number; count: number }[]> {
  return db('payment')
    .where({ day })
    .groupBy('how')
    .orderBy('how')
    .select('how', db.raw('sum(amount_minor)::bigint as minor'), db.raw('count(*)::int as count'));
}

export async function dayClose(
  db: Db,
  day: string,
): Promise<{ expected_minor: number; counted_minor: number; note: string; at: Date } | undefined> {
  return db('day_close').where({ day }).first('expected_minor', 'counted_minor', 'note', 'at');
}

/** @returns false when the day is closed already */
export async function insertDayClose(
  db: Db,
  row: { day: string; expected_minor: number; counted_minor: number; note: string; person_id: number },
): Promise<boolean> {
  const made = await db('day_close').insert(row).onConflict('day').ignore().returning('id');
  return made.length > 0;
}

/** Holds the drawer: no payment of a day is written while it is being closed. */
export async function lockDrawer(db: Db): Promise<void> {
  await db.raw('select pg_advisory_xact_lock(7204, 15)');
}

/** Payments as a file has them, in order, in packets. */
export async function paymentsAfter(
  db: Db,
  after: number,
  limit: number,
): Promise<(PaymentRow & { tag: string; currency: string })[]> {
  return db('payment')
    .join('job', 'job.id', 'payment.job_id')
    .join('machine', 'machine.id', 'job.machine_id')
    .crossJoin(db.raw("(select coalesce((select currency from shop), 'USD') as currency) shop"))
    .where('payment.id', '>', after)
    .orderBy('payment.id')
    .limit(limit)
    .select('payment.*', 'machine.tag', 'shop.currency');
}

/** Documents as a file has them, oldest first, in packets. */
export async function documentsAfter(db: Db, after: number, limit: number): Promise<DocumentRow[]> {
  return query(db).where('document.id', '>', after).orderBy('document.id').limit(limit);
}

/** Whether any paper with an amount was ever given. */
export async function anyDocuments(db: Db): Promise<boolean> {
  return (await db('document').first('id')) !== undefined;
}

/** The paper that takes another back; undefined when none does. */
export async function correctionOf(db: Db, id: number): Promise<DocumentRow | undefined> {
  return query(db).where({ corrects: id }).first() as Promise<DocumentRow | undefined>;
}
