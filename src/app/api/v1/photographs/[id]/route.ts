import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { currentPerson } from '@/app/person';
import { photographFile } from '@/shop/photographs/photographs';

/** The photograph itself; `?small` for the small one. The browser asks each time whether it may still show what it has. */
export const GET = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const small = new URL(request.url).searchParams.has('small');
  const id = idNumber('This photograph')((await params).id);
  const { bytes, sha256 } = await photographFile(await currentPerson(), id, small);
  const etag = `"${sha256.toString('hex').slice(0, 32)}${small ? '-small' : ''}"`;
  const headers = { 'cache-control': 'private, no-cache', etag };
  if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
  return new Response(new Uint8Array(bytes), { headers: { ...headers, 'content-type': 'image/jpeg' } });
});
