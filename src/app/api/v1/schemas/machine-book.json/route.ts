import { answer } from '@/app/answer';
import { bookSchema } from '@/shop/book/bookSchema';

export const GET = answer(async () =>
  Response.json(bookSchema, { headers: { 'content-type': 'application/schema+json' } }),
);
