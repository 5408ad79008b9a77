import { answer } from '@/app/answer';
import { plansSchema } from '@/shop/plans/plansSchema';

export const GET = answer(async () =>
  Response.json(plansSchema, { headers: { 'content-type': 'application/schema+json' } }),
);
