import type { Db } from '@/data/database';
import { decimalOf } from '@/core/money/currency';
import { documentsAfter, paymentsAfter, type DocumentRow } from '@/data/documents';
import type { Person } from '../access/person';
import { documentName } from '../standing/documentName';
import type { PaperContent } from '../papers/dto';
import { writeCsv } from './csv';
import { writtenOut } from './written';

const PACKET = 500;

async function* packets<Row extends { id: number }>(read: (after: number) => Promise<Row[]>): AsyncGenerator<Row[]> {
  for (let after = 0; ;) {
    const rows = await read(after);
    if (rows.length === 0) return;
    yield rows;
    after = rows.at(-1)!.id;
  }
}

const DOCUMENTS = [
  'name',
  'kind',
  'date',
  'job',
  'tag',
  'customer',
  'net',
  'tax',
  'gross',
  'currency',
  'corrects_id',
  'id',
];

/** Every paper that was given, CSV; amounts as decimals of their currency. */
export function documentsCsv(person: Person): Promise<AsyncGenerator<string>> {
  return writtenOut(
    person,
    (db) => packets((after) => documentsAfter(db, after, PACKET)),
    (rows, isFirst) => writeCsv(DOCUMENTS, rows.map(documentRow), isFirst),
  );
}

function documentRow(row: DocumentRow): (string | number | null)[] {
  const content = row.content as PaperContent;
  const sign = row.total_minor < 0 ? -1 : 1;
  const bill = content.bill?.bill;
  const net = bill ? sign * bill.netMinor : row.total_minor;
  const gross = row.total_minor;
  const money = (minor: number) => decimalOf(minor, row.currency);
  return [
    documentName(row),
    row.kind,
    content.date,
    row.job_id,
    content.machine.tag,
    content.customer.name,
    money(net),
    money(gross - net),
    money(gross),
    row.currency,
    row.corrects,
    row.id,
  ];
}

const PAYMENTS = ['day', 'how', 'amount', 'currency', 'job', 'tag', 'receipt_id', 'note', 'id'];

/** Every payment, CSV. */
export function paymentsCsv(person: Person): Promise<AsyncGenerator<string>> {
  return writtenOut(
    person,
    (db: Db) => packets((after) => paymentsAfter(db, after, PACKET)),
    (rows, isFirst) =>
      writeCsv(
        PAYMENTS,
        rows.map((p) => [
          p.day,
          p.how,
          decimalOf(p.amount_minor, p.currency),
          p.currency,
          p.job_id,
          p.tag,
          p.document_id,
          p.note,
          p.id,
        ]),
        isFirst,
      ),
  );
}
