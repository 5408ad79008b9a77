import { PAGE_ROWS, type ListQuery, type Page } from './dto';

/** Further than this nobody counts. */
const MOST_COUNTED = 10_000;

/**
 * One page of a list.
 * @param read so many rows from so far on; asked for one more than a page, to see whether there is another
 * @param count how many there are, up to a limit
 */
export async function pageOf<Row, View>(
  { page }: Pick<ListQuery, 'page'>,
  read: (limit: number, offset: number) => Promise<Row[]>,
  count: (most: number) => Promise<number>,
  view: (row: Row) => View,
): Promise<Page<View>> {
  const [rows, counted] = await Promise.all([read(PAGE_ROWS + 1, page * PAGE_ROWS), count(MOST_COUNTED + 1)]);
  const shown = rows.slice(0, PAGE_ROWS).map(view);
  // What only looks like the words is not counted by them.
  const total = Math.max(Math.min(counted, MOST_COUNTED), page * PAGE_ROWS + shown.length);
  return { rows: shown, more: rows.length > PAGE_ROWS, total, atLeast: counted > MOST_COUNTED };
}
