import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { liveEvents } from '@/shop/live/live';

/** Changes of the shop as they happen; with `?age=` (ms) also those since the reader's page was drawn. */
export const GET = answer(
  async (request) =>
    new Response(liveEvents(request.signal, { ageMs: ageOf(request), ...(await sessionOf()) }), {
      headers: {
        'content-type': 'text/event-stream; charset=utf-8',
        // Compressed or buffered, an event would arrive with the next one.
        'cache-control': 'no-cache, no-transform',
        'x-accel-buffering': 'no',
      },
    }),
);

async function sessionOf(): Promise<{ session?: number }> {
  const { session } = await currentPerson();
  return session === undefined ? {} : { session };
}

/** @returns ms; what is no age is none: the reader then hears from now on. */
function ageOf(request: Request): number {
  const age = Number(new URL(request.url).searchParams.get('age') ?? 0);
  return Number.isFinite(age) && age > 0 ? age : 0;
}
