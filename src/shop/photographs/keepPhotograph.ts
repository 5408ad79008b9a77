import { createHash } from 'node:crypto';
import pLimit from 'p-limit';
import sharp, { type OutputInfo } from 'sharp';
import { database, inTransaction } from '@/data/database';
import { setActor } from '@/data/audit';
import { insertPhotograph } from '@/data/photographs';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import { addPhotographs } from './photographs';
import { rasterOf } from './rasterOf';
import { ProblemError } from '../problem';

const MOST_PIXELS = 60_000_000;
const LONG_SIDE = 1600;
const SMALL_SIDE = 320;
const LONGEST_S = 10;
/** Each takes a core and up to a quarter of a gigabyte for a moment: the others wait, and no more than these wait. */
const AT_ONCE = 2;
const MOST_WAITING = 12;

const limit = pLimit(AT_ONCE);

/** In a server nothing but photographs is ever decoded, whatever a file pretends to be; one core at a time for each. */
export function decodePhotographsOnly(): void {
  sharp.block({ operation: ['VipsForeignLoad'] });
  sharp.unblock({ operation: ['Jpeg', 'Png', 'Webp', 'Heif'].map((sort) => `VipsForeignLoad${sort}Buffer`) });
  sharp.concurrency(1);
}

/**
 * Keeps a photograph, turned upright and made smaller, without what the camera wrote into it (place, owner).
 * It belongs to no machine until it is given to a job.
 * @param bytes JPEG, PNG, WebP or HEIF
 * @throws ProblemError 400 at field `file` when it is no photograph, or of too many dots; 503 when too many wait
 */
export async function keepPhotograph(person: Person, bytes: Buffer) {
  allow(person, addPhotographs.spec);
  const refuse = (message: string) =>
    new ProblemError(400, 'This photograph cannot be kept.', [{ field: 'file', message }]);
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (rasterOf(bytes) === null) throw refuse('This is no photograph: take a JPEG, PNG or WebP.');
  if (limit.pendingCount >= MOST_WAITING)
    throw new ProblemError(503, 'Many photographs are on their way: try again in a moment.');
  const { large, small } = await limit(() => madeSmaller(bytes)).catch(() => {
    throw refuse('This is not a picture that can be read, or it has more than 60 million dots: take a JPEG or PNG.');
  });
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

/** Decoded, turned, made smaller: two sizes of it. @throws Error for what cannot be read within ten seconds */
async function madeSmaller(bytes: Buffer): Promise<{ large: { data: Buffer; info: OutputInfo }; small: Buffer }> {
  const large = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true })
    .rotate()
    .timeout({ seconds: LONGEST_S })
    .resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 82, mozjpeg: true })
    .toBuffer({ resolveWithObject: true });
  const small = await sharp(large.data)
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 76 })
    .toBuffer();
  return { large, small };
}
