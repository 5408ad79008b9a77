import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { download } from '@/app/download';
import { customerVcard } from '@/shop/exchange/vcard';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) => {
  const id = idNumber('This customer')((await params).id);
  return download(await customerVcard(id), 'text/vcard; charset=utf-8', `customer-${id}.vcf`);
});
