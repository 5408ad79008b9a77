import { answer } from '@/app/answer';
import { scanned } from '@/shop/machines/machines';

/** Where a scanned tag leads: the open job of the machine, else its card, else the search. */
export const GET = answer(async (request) => {
  const code = (new URL(request.url).searchParams.get('code') ?? '').slice(0, 60);
  return new Response(null, { status: 303, headers: { location: await scanned(code) } });
});
