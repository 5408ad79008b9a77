import { Readable } from 'node:stream';
import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { machineBookText } from '@/shop/book/book';

export const GET = answer<{ params: Promise<{ tag: string }> }>(async (_request, { params }) => {
  const { tag, text } = await machineBookText((await params).tag.slice(0, 20));
  const bytes = Readable.toWeb(Readable.from(text).map((piece: string) => Buffer.from(piece)));
  return download(bytes as ReadableStream<Uint8Array<ArrayBuffer>>, 'application/json', `book-${tag}.json`);
});
