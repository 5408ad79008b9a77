/** One page of a list that is searched, sorted and paged in the database. */
export interface Page<Row> {
  rows: Row[];
  /** There is another page behind it. */
  more: boolean;
  /** How many there are in all, counted up to a limit. */
  total: number;
  /** There are more than `total`: nobody reads further, so nobody counts further. */
  atLeast: boolean;
}

/** By which column a list is sorted. */
export interface Sort<By extends string = string> {
  by: By;
  desc: boolean;
}

/** What is asked of a list: words, a page from 0, an order. */
export interface ListQuery<By extends string = string> {
  words: string;
  page: number;
  sort: Sort<By> | null;
}

export const PAGE_ROWS = 50;
const MOST_PAGES = 10_000;
const MOST_WORDS = 200;

/**
 * Reads an address's query: `q`, `page`, and `sort` (a column, with `-` before it for the other way round). What cannot be used
 * is taken as not said: an address is typed by hand, too.
 * @example readListQuery({ q: 'gull', sort: '-due' }, ['due']) // → { words: 'gull', page: 0, sort: { by: 'due', desc: true } }
 */
export function readListQuery<By extends string>(
  query: Record<string, string | string[] | undefined>,
  columns: readonly By[],
): ListQuery<By> {
  const text = (name: string) => (typeof query[name] === 'string' ? query[name] : '');
  const page = Number.parseInt(text('page'), 10);
  const by = columns.find((c) => c === text('sort').replace(/^-/, ''));
  return {
    words: text('q').slice(0, MOST_WORDS),
    page: Number.isFinite(page) ? Math.max(0, Math.min(MOST_PAGES, page)) : 0,
    sort: by === undefined ? null : { by, desc: text('sort').startsWith('-') },
  };
}

/** The query of an address again. @example writeListQuery({ words: '', page: 2, sort: null }) // → 'page=2' */
export function writeListQuery({ words, page, sort }: ListQuery): string {
  const query = new URLSearchParams();
  if (words !== '') query.set('q', words);
  if (sort) query.set('sort', `${sort.desc ? '-' : ''}${sort.by}`);
  if (page > 0) query.set('page', String(page));
  return query.toString();
}
