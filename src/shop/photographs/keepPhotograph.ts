import { createHash } from 'node:crypto';
import { database, inTransaction } from '@/data/database';
import { setActor } from '@/data/audit';
import { insertPhotograph } from '@/data/photographs';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { inPhotographProcess } from './photographProcesses';
import { addPhotographs } from './photographs';
import { rasterOf } from './rasterOf';
import { ProblemError } from '../problem';

/**
 * Keeps a photograph, turned upright and made smaller, without what the camera wrote into it (place, owner).
 * It belongs to no machine until it is given to a job.
 * @param bytes JPEG, PNG, WebP or HEIF
 * @throws ProblemError 400 at field `file` when it is no photograph, or of too many dots; 503 when too many wait, or it took too long
 */
export async function keepPhotograph(person: Person, bytes: Buffer) {
  allow(person, addPhotographs.spec);
  const refuse = (message: string) =>
    new ProblemError(400, 'This photograph cannot be kept.', [{ field: 'file', message }]);
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (rasterOf(bytes) === null) throw refuse('This is no photograph: take a JPEG, PNG or WebP.');
  const { large, small } = await inPhotographProcess(bytes).catch((error: unknown) => {
    if (error instanceof ProblemError) throw error;
    throw refuse('This is not a picture that can be read, or it has more than 60 million dots: take a JPEG or PNG.');
  });
  const id = await inTransaction(database(), async (db) => {
    await setActor(db, person.id, addPhotographs.spec.name);
    return insertPhotograph(db, {
      person_id: person.id,
      width: large.width,
      height: large.height,
      sha256: createHash('sha256').update(large.bytes).digest(),
      bytes: large.bytes,
      small,
    });
  });
  return { id, width: large.width, height: large.height };
}
