import { database } from '@/data/database';
import { shopSettings } from '@/data/shopSettings';
import { bookInPieces } from '../papers/paperThreads';
import { machineBookWith } from './book';

const MOST_PICTURES = 12;

/** A machine's whole book on paper of the shop's size, as it is written. @throws ProblemError 404; 503 when too many papers are written already */
export async function machineBookPdf(tag: string): Promise<ReadableStream<Uint8Array<ArrayBuffer>>> {
  const [book, shop] = await Promise.all([machineBookWith(tag, MOST_PICTURES), shopSettings(database())]);
  return bookInPieces({ book, paper: shop.paper });
}
