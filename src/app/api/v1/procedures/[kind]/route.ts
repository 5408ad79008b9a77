import { answer } from '@/app/answer';
import { kindProcedure } from '@/shop/procedures/procedures';

export const GET = answer<{ params: Promise<{ kind: string }> }>(async (_request, { params }) =>
  Response.json(kindProcedure((await params).kind)),
);
