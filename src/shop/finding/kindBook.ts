import { knowledge } from '@/knowledge';
import { writtenBook, type WrittenBook } from '@/knowledge/tradeBook';
import { notFound } from '../problem';

/** What a browser is told of a kind. @throws ProblemError 404 */
export function kindBook(kindId: string): WrittenBook {
  if (!knowledge.kinds.some((k) => k.id === kindId)) throw notFound('This kind');
  return writtenBook(kindId);
}
