import { addressOf } from '@/app/addressOf';
import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { linkPhotograph } from '@/shop/links/links';

export const GET = answer<{ params: Promise<{ token: string; id: string }> }>(async (request, { params }) => {
  const { token, id } = await params;
  const bytes = await linkPhotograph(token, addressOf(request), idNumber('This photograph')(id));
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, no-cache' },
  });
});
