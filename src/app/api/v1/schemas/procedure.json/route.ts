import { answer } from '@/app/answer';
import { procedureSchema } from '@/shop/procedures/procedureSchema';

export const GET = answer(async () =>
  Response.json(procedureSchema, { headers: { 'content-type': 'application/schema+json' } }),
);
