import { createHash } from 'node:crypto';
import sharp, { type OutputInfo } from 'sharp';
import { database, inTransaction } from '@/data/database';
import { setActor } from '@/data/audit';
import { insertPhotograph } from '@/data/photographs';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { addPhotographs } from './photographs';
import { ProblemError } from '../problem';

export const LARGEST_PHOTOGRAPH_BYTES = 15_000_000;
const MOST_PIXELS = 80_000_000;
const LONG_SIDE = 1600;
const SMALL_SIDE = 320;

/**
 * Keeps a photograph, turned upright and made smaller, without what the camera wrote into it (place, owner).
 * It belongs to no machine until it is given to a job.
 * @param bytes JPEG, PNG, WebP or another format that is read by libvips
 * @throws ProblemError 400 at field `file` when it is too large, or no picture
 */
export async function keepPhotograph(person: Person, bytes: Buffer) {
  allow(person, addPhotographs.spec);
  const refuse = (message: string) =>
    new ProblemError(400, 'This photograph cannot be kept.', [{ field: 'file', message }]);
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (bytes.length > LARGEST_PHOTOGRAPH_BYTES) throw refuse('At most 15 MB.');
  let large: { data: Buffer; info: OutputInfo };
  let small: Buffer;
  try {
    const picture = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).rotate();
    large = await picture
      .clone()
      .resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82, mozjpeg: true })
      .toBuffer({ resolveWithObject: true });
    small = await sharp(large.data)
      .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 76 })
      .toBuffer();
  } catch {
    throw refuse('This is not a picture that can be read: take a JPEG or PNG.');
  }
  const id = await inTransaction(database(), async (db) => {
    await setActor(db, person.id, addPhotographs.spec.name);
    return insertPhotograph(db, {
      person_id: person.id,
      width: large.info.width,
      height: large.info.height,
      sha256: createHash('sha256').update(large.data).digest(),
      bytes: large.data,
      small,
    });
  });
  return { id, width: large.info.width, height: large.info.height };
}
