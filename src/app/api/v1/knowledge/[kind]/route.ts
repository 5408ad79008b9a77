import { answer } from '@/app/answer';
import { kindBook } from '@/shop/finding/kindBook';

/** Named with its sum it never changes: a browser keeps it for as long as it likes. */
export const GET = answer<{ params: Promise<{ kind: string }> }>(async (request, { params }) => {
  const { text, sum } = kindBook((await params).kind);
  const kept = new URL(request.url).searchParams.get('sum') === sum;
  return new Response(text, {
    headers: {
      'content-type': 'application/json',
      'cache-control': kept ? 'private, max-age=31536000, immutable' : 'private, no-cache',
    },
  });
});
