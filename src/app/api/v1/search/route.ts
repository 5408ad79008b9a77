import { answer } from '@/app/answer';
import { search } from '@/shop/search/search';

export const GET = answer(async (request) =>
  Response.json({ rows: await search((new URL(request.url).searchParams.get('q') ?? '').slice(0, 200)) }),
);
