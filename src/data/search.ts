import type { Knex } from 'knex';
import type { Db } from './database';

/**
 * Likeness of mistyped words to what they may mean (trigrams, 0 to 1): from near to as far as two letters that changed
 * places in one name. The nearer, the fewer rows are looked at.
 */
const LIKENESS = [0.7, 0.5, 0.34];
/** Of rows that are as much alike, so many are looked at more closely: among more, nobody could tell which is meant. */
const LOOKED_AT = 60;

/** What is typed, read once: its plain words, and every word as the beginning of one (null when there is none). */
async function read(db: Db, typed: string): Promise<{ words: string; query: string | null }> {
  const { rows } = await db.raw<{ rows: { words: string; query: string | null }[] }>(
    'select search_words(?) as words, search_query(?)::text as query',
    [typed, typed],
  );
  return rows[0]!;
}

/** Below so many letters everything matches and no match is better than another. */
const LEAST_RANKED = 3;

/**
 * Whether what looks like the words with typing errors is looked for as well, when nothing answers to them as they are;
 * `only` when it is known already that nothing does.
 */
export interface Forgiving {
  forgiving: boolean | 'only';
}

/**
 * Ids of the rows that answer to the words, best first: what is exactly it, then every word as a beginning, by weight;
 * only when nothing does, what looks like it with typing errors.
 */
async function rankedIds(
  db: Db,
  table: 'machine' | 'customer',
  exactly: { finds: Knex.Raw | null; leads: (words: string) => Knex.Raw },
  typed: string,
  limit: number,
  offset: number,
  { forgiving }: Forgiving,
): Promise<number[]> {
  const { words, query } = await read(db, typed);
  const strict = db(table).whereNull('merged_into').limit(limit).offset(offset).pluck('id');
  if (words.length < LEAST_RANKED) strict.whereRaw('search_vector @@ ?::tsquery', [query ?? '']).orderBy('id', 'desc');
  else
    strict
      .where((w) => {
        w.whereRaw('search_vector @@ ?::tsquery', [query ?? '']);
        if (exactly.finds) w.orWhere(exactly.finds);
      })
      .orderByRaw('(?) desc, ts_rank(search_vector, ?::tsquery) desc, id desc', [exactly.leads(words), query ?? '']);
  const answers: number[] = forgiving === 'only' ? [] : await strict;
  if (answers.length > 0 || offset > 0 || words === '' || !forgiving) return answers;
  return db.transaction(async (t) => {
    for (const likeness of LIKENESS) {
      await t.raw(`set local pg_trgm.word_similarity_threshold = ${likeness}`);
      const alike = t(table).whereNull('merged_into').whereRaw('? <% search', [words]).limit(LOOKED_AT);
      const found = await t
        .from(alike.select('id', 'search').as('alike'))
        .orderByRaw('word_similarity(?, search) desc, id desc', [words])
        .limit(limit)
        .pluck('id');
      if (found.length > 0) return found;
    }
    return [];
  });
}

export function rankedMachines(
  db: Db,
  words: string,
  limit: number,
  offset: number,
  how: Forgiving,
): Promise<number[]> {
  const typed = words.trim();
  const exactly = db.raw(`(tag = upper(?) or (serial <> '' and lower(serial) = lower(?)))`, [typed, typed]);
  return rankedIds(db, 'machine', { finds: exactly, leads: () => exactly }, words, limit, offset, how);
}

export function rankedCustomers(
  db: Db,
  words: string,
  limit: number,
  offset: number,
  how: Forgiving,
): Promise<number[]> {
  // A whole name is found by its words anyway; it only leads.
  const leads = (plain: string) =>
    db.raw('(search = ? or left(search, ?) = ?)', [plain, plain.length + 1, `${plain} `]);
  return rankedIds(db, 'customer', { finds: null, leads }, words, limit, offset, how);
}
