import { database } from '@/data/database';
import * as deeds from '@/data/deeds';
import type { Person } from '../access/person';
import { ProblemError } from '../problem';
import type { DraftDto } from './dto';

const LARGEST_BYTES = 100_000;

/** What a person had typed into a form and not yet sent, and when it was kept; nulls when there is nothing. */
export function readDraft(person: Person, form: string): Promise<deeds.KeptDraft> {
  return deeds.draftOf(database(), person.id, form);
}

/** @returns when it was kept. @throws ProblemError 400 for more than 100 kB */
export async function keepDraft(person: Person, form: string, dto: DraftDto): Promise<{ at: string }> {
  if (JSON.stringify(dto.content).length > LARGEST_BYTES)
    throw new ProblemError(400, 'The draft is too large.', [{ field: 'content', message: 'At most 100 kB.' }]);
  return { at: await deeds.putDraft(database(), person.id, form, dto.content) };
}

export function dropDraft(person: Person, form: string): Promise<void> {
  return deeds.deleteDraft(database(), person.id, form);
}
