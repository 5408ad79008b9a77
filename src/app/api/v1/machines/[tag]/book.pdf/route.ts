import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { machineBookPdf } from '@/shop/book/bookPdf';
import { LONGEST_PAPER_MS } from '@/shop/underWay/underWay';

export const GET = answer<{ params: Promise<{ tag: string }> }>(async (_request, { params }) => {
  const tag = (await params).tag.slice(0, 20);
  return download(
    await machineBookPdf(tag),
    'application/pdf',
    `book-${tag.toUpperCase().replace(/[^A-Z0-9-]/g, '')}.pdf`,
    true,
  );
}, LONGEST_PAPER_MS);
