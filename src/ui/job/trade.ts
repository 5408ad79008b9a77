import type { Caution, Complaint, Fault, Kind } from '@/core/diagnosis/knowledge';
import type { TradeBook } from '@/knowledge/tradeBook';

/**
 * What this page knows of the trade: the books of the kinds whose machines it shows, as the server told them. All that is known
 * of every kind would be the larger half of what a job's page is made of.
 */
const books = new Map<string, TradeBook>();
const faults = new Map<string, Fault>();
const names = new Map<string, string>();
const complaints = new Map<string, Complaint>();
const cautions = new Map<string, Caution>();

export const isTold = (kindId: string): boolean => books.has(kindId);

/** Takes in what a page was told of a kind; told again, nothing changes. */
export function tell(book: TradeBook): void {
  if (books.has(book.kind)) return;
  books.set(book.kind, book);
  for (const f of book.knowledge.faults) names.set(f.id, f.label);
  for (const [id, label] of Object.entries(book.otherFaults)) names.set(id, label);
  for (const c of book.knowledge.complaints) complaints.set(c.id, c);
  for (const c of book.knowledge.cautions) cautions.set(c.id, c);
  for (const f of book.knowledge.faults) {
    const known = faults.get(f.id);
    faults.set(f.id, known ? { ...known, kinds: { ...known.kinds, ...f.kinds } } : f);
  }
}

/** What the code of a page knows in a server's process lies in another copy of this file than what draws it there. */
const lent = globalThis as { gritkeeperBooks?: Map<string, string> };

/** In a server: what a page is about to be drawn with. @param written the book as it is sent */
export function lend(kindId: string, written: string): void {
  (lent.gritkeeperBooks ??= new Map()).set(kindId, written);
}

/** Takes in what was lent, where it was; read once for each kind. */
export function tellLent(kindId: string): void {
  const written = books.has(kindId) ? undefined : lent.gritkeeperBooks?.get(kindId);
  if (written !== undefined) tell(JSON.parse(written) as TradeBook);
}

/** @throws Error when the page was not told of the kind */
export function bookOf(kindId: string): TradeBook {
  const book = books.get(kindId);
  if (!book) throw new Error(`This page was told nothing of the kind ${kindId}.`);
  return book;
}

/** The kind itself. @throws Error when the page was not told of it */
export const toldKind = (kindId: string): Kind => bookOf(kindId).knowledge.kinds[0]!;

/** A screen that names faults and was told of no kind at all would show ids, and nobody would see why. */
function known<T>(all: ReadonlyMap<string, T>, id: string): T | undefined {
  if (books.size === 0) throw new Error(`This page was told nothing of the trade, and shows ${id}.`);
  return all.get(id);
}

/** A fault of one of the kinds that are known here, with the places that it has in them. */
export const faultOf = (id: string): Fault | undefined => known(faults, id);
/** What a fault is called; the id of one that was once known. */
export const faultLabel = (id: string): string => known(names, id) ?? id;
export const complaintOf = (id: string): Complaint | undefined => known(complaints, id);
export const cautionOf = (id: string): Caution => known(cautions, id) ?? { id, label: id, when: '', text: '' };
