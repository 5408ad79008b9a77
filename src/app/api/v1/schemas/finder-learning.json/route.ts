import { answer } from '@/app/answer';
import { learningSchema } from '@/shop/learning/learningSchema';

export const GET = answer(async () =>
  Response.json(learningSchema, { headers: { 'content-type': 'application/schema+json' } }),
);
