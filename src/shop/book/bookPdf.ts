import { database } from '@/data/database';
import { shopSettings } from '@/data/shopSettings';
import { inPaperThread } from '../papers/paperThreads';
import { machineBookWith } from './book';

const MOST_PICTURES = 12;

/** A machine's whole book on paper of the shop's size. @throws ProblemError 404; 503 when too many papers are written already */
export async function machineBookPdf(tag: string): Promise<Uint8Array> {
  const [book, shop] = await Promise.all([machineBookWith(tag, MOST_PICTURES), shopSettings(database())]);
  return inPaperThread('bookPaper', { book, paper: shop.paper });
}
