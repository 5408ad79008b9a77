import type { Knex } from 'knex';
import type { Db } from './database';

/** Least likeness of a mistyped word to what it may mean (trigrams, 0 to 1): low enough for two letters that changed places. */
const LIKENESS = 0.34;

/**
 * Ids of the rows that answer to the words, best first: what is exactly it, then every word as a beginning, by weight;
 * only when nothing does, what looks like it with typing errors.
 */
async function rankedIds(
  db: Db,
  table: 'machine' | 'customer',
  exactly: { finds: Knex.Raw | null; leads: Knex.Raw },
  words: string,
  limit: number,
  offset: number,
): Promise<number[]> {
  const strict = await db(table)
    .whereNull('merged_into')
    .where((w) => {
      w.whereRaw('search_vector @@ search_query(?)', [words]);
      if (exactly.finds) w.orWhere(exactly.finds);
    })
    .orderByRaw('(?) desc, ts_rank(search_vector, search_query(?)) desc, id desc', [exactly.leads, words])
    .limit(limit)
    .offset(offset)
    .pluck('id');
  if (strict.length > 0 || offset > 0) return strict;
  return db.transaction(async (t) => {
    await t.raw(`set local pg_trgm.word_similarity_threshold = ${LIKENESS}`);
    return t(table)
      .whereNull('merged_into')
      .whereRaw('search_words(?) <% search', [words])
      .orderByRaw('word_similarity(search_words(?), search) desc, id desc', [words])
      .limit(limit)
      .pluck('id');
  });
}

export function rankedMachines(db: Db, words: string, limit: number, offset: number): Promise<number[]> {
  const typed = words.trim();
  const exactly = db.raw(`(tag = upper(?) or (serial <> '' and lower(serial) = lower(?)))`, [typed, typed]);
  return rankedIds(db, 'machine', { finds: exactly, leads: exactly }, words, limit, offset);
}

export function rankedCustomers(db: Db, words: string, limit: number, offset: number): Promise<number[]> {
  // A whole name is found by its words anyway; it only leads.
  const leads = db.raw(`search_words(name) = search_words(?)`, [words]);
  return rankedIds(db, 'customer', { finds: null, leads }, words, limit, offset);
}
