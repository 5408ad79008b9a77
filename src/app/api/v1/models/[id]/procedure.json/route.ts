import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { modelProcedure } from '@/shop/procedures/procedures';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) =>
  Response.json(await modelProcedure(idNumber('This model')((await params).id))),
);
