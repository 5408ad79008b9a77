import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { photographFile } from '@/shop/photographs/photographs';

/** The photograph itself; `?small` for the small one. It never changes, so the browser may keep it. */
export const GET = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const small = new URL(request.url).searchParams.has('small');
  const { bytes, sha256 } = await photographFile(idNumber('This photograph')((await params).id), small);
  return new Response(new Uint8Array(bytes), {
    headers: {
      'content-type': 'image/jpeg',
      'cache-control': 'private, max-age=31536000, immutable',
      etag: `"${sha256.toString('hex').slice(0, 32)}${small ? '-small' : ''}"`,
    },
  });
});
