import { database } from '@/data/database';
import { seenPhotographs } from '@/data/photographs';
import { correctionOf, documentById, documents } from '@/data/documents';
import { shopSettings } from '@/data/shopSettings';
import { documentName } from '../standing/documentName';
import { squareCode } from '../codes/codes';
import { inPaperThread } from '../papers/paperThreads';
import { notFound, refuseIf } from '../problem';
import type { DocumentsView } from './dto';
import type { PaperContent, PaperView } from '../papers/dto';
import { drawnPictures } from '../pictures/drawnPictures';
import { epcCode } from './epcCode';
import { ublInvoice } from './ublInvoice';

/** A paper as it was given. @throws ProblemError 404 */
export async function paperOf(id: number): Promise<PaperView> {
  const db = database();
  const row = await documentById(db, id);
  if (!row) throw notFound('This paper');
  const shop = await shopSettings(db);
  const content = row.content as PaperContent;
  const later = await correctionOf(db, row.id);
  const correcting = row.corrects === null ? undefined : await documentById(db, row.corrects);
  const pictures = content.pictures ?? [];
  const seen = await seenPhotographs(
    db,
    pictures.map((p) => p.id),
  );
  const code = content.pay
    ? epcCode(content.shop, { minor: content.pay.minor, currency: row.currency }, documentName(row))
    : null;
  return {
    id: row.id,
    name: documentName(row),
    content,
    paper: shop.paper,
    corrects: correcting ? documentName(correcting) : null,
    correctedBy: later ? documentName(later) : null,
    qr: code === null ? null : squareCode(code),
    pictures: pictures.filter((p) => seen.includes(p.id)),
  };
}

/** A paper as PDF. @throws ProblemError 404; 503 when too many papers are written already */
export async function paperPdf(id: number): Promise<{ name: string; bytes: Uint8Array<ArrayBuffer> }> {
  const view = await paperOf(id);
  const pictures = await drawnPictures(database(), view.pictures);
  return { name: view.name, bytes: new Uint8Array(await inPaperThread('documentPaper', { view, pictures })) };
}

/** An invoice or a credit note as UBL 2.1. @throws ProblemError 404; 400 for a paper that is neither */
export async function paperUbl(id: number): Promise<{ name: string; xml: string }> {
  const db = database();
  const row = await documentById(db, id);
  if (!row) throw notFound('This paper');
  refuseIf(
    row.kind === 'invoice' || row.kind === 'credit'
      ? []
      : [{ field: 'id', message: 'Only an invoice or a credit note goes into such a file.' }],
  );
  const corrected = row.corrects === null ? undefined : await documentById(db, row.corrects);
  const name = documentName(row);
  return { name, xml: ublInvoice(name, row.content as PaperContent, corrected ? documentName(corrected) : null) };
}

const PAGE = 50;

/** Papers, newest first, page by page. */
export async function listDocuments(before?: number): Promise<DocumentsView> {
  const db = database();
  const [rows, shop] = await Promise.all([
    documents(db, PAGE + 1, before === undefined ? {} : { before }),
    shopSettings(db),
  ]);
  const shown = rows.slice(0, PAGE);
  return {
    documents: shown.map((d) => ({
      id: d.id,
      name: documentName(d),
      kind: d.kind,
      job: d.job_id,
      tag: d.tag,
      customer: d.customer,
      totalMinor: d.total_minor,
      currency: d.currency,
      at: d.at.toISOString(),
      isCorrected: d.corrected_by !== null,
    })),
    before: rows.length > PAGE ? shown.at(-1)!.id : null,
    locale: shop.locale,
  };
}
