import type { Db } from '@/data/database';
import { largePhotographs } from '@/data/photographs';

/** Photographs as a file takes them in, in the order asked; one that was taken out of sight meanwhile is left out. */
export async function drawnPictures(
  db: Db,
  asked: readonly { id: number; caption: string }[],
): Promise<{ caption: string; jpegBase64: string }[]> {
  if (asked.length === 0) return [];
  const found = await largePhotographs(
    db,
    asked.map((p) => p.id),
  );
  const bytes = new Map(found.map((f) => [f.id, f.bytes]));
  return asked.flatMap(({ id, caption }) => {
    const large = bytes.get(id);
    return large ? [{ caption, jpegBase64: large.toString('base64') }] : [];
  });
}
