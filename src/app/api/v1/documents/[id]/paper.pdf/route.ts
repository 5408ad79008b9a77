import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { download } from '@/app/download';
import { paperPdf } from '@/shop/documents/readDocument';
import { LONGEST_PAPER_MS } from '@/shop/underWay/underWay';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) => {
  const { name, bytes } = await paperPdf(idNumber('This paper')((await params).id));
  return download(bytes, 'application/pdf', `${name}.pdf`, true);
}, LONGEST_PAPER_MS);
