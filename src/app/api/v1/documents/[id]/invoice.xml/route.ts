import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { download } from '@/app/download';
import { paperUbl } from '@/shop/documents/readDocument';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) => {
  const { name, xml } = await paperUbl(idNumber('This paper')((await params).id));
  return download(xml, 'application/xml; charset=utf-8', `${name}.xml`);
});
