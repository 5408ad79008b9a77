import { answer } from '@/app/answer';
import { liveEvents } from '@/shop/live/live';

/** Changes of the shop as they happen. */
export const GET = answer(
  async (request) =>
    new Response(liveEvents(request.signal), {
      headers: {
        'content-type': 'text/event-stream; charset=utf-8',
        // Compressed or buffered, an event would arrive with the next one.
        'cache-control': 'no-cache, no-transform',
        'x-accel-buffering': 'no',
      },
    }),
);
