import { answer } from '@/app/answer';
import { plansBook } from '@/shop/plans/plansBook';

export const GET = answer<{ params: Promise<{ kind: string }> }>(async (_request, { params }) =>
  Response.json(await plansBook((await params).kind)),
);
