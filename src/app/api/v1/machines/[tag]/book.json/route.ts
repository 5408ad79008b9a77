import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { machineBook } from '@/shop/book/book';

export const GET = answer<{ params: Promise<{ tag: string }> }>(async (_request, { params }) => {
  const book = await machineBook((await params).tag.slice(0, 20));
  return download(JSON.stringify(book, null, 1), 'application/json', `book-${book.machine.tag}.json`);
});
