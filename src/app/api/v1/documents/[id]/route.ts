import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { paperOf } from '@/shop/documents/readDocument';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) =>
  Response.json(await paperOf(idNumber('This paper')((await params).id))),
);
