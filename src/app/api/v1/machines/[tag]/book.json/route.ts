import { answer } from '@/app/answer';
import { download, streamOf } from '@/app/download';
import { machineBookText } from '@/shop/book/book';

export const GET = answer<{ params: Promise<{ tag: string }> }>(async (_request, { params }) => {
  const { tag, text } = await machineBookText((await params).tag.slice(0, 20));
  return download(streamOf(text), 'application/json', `book-${tag}.json`);
});
