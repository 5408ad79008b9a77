import { isUUID } from 'class-validator';
import { database } from '@/data/database';
import { deedDoneAt } from '@/data/deeds';
import type { Person } from '../access/person';
import { notFound } from '../problem';

/**
 * Whether what this person sent under a key was done: asked after an answer that was lost on its way.
 * @throws ProblemError 404 for what is no key
 */
export async function doneDeed(person: Person, key: string): Promise<{ done: boolean; at: string | null }> {
  if (!isUUID(key)) throw notFound('This key');
  const at = await deedDoneAt(database(), key, person.id);
  return { done: at !== null, at: at?.toISOString() ?? null };
}
