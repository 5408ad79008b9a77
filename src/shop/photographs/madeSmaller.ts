import sharp from 'sharp';

const MOST_PIXELS = 60_000_000;
const LONG_SIDE = 1600;
const SMALL_SIDE = 320;
const LONGEST_S = 20;

/** A photograph in the two sizes that are kept. */
export interface TwoSizes {
  large: { bytes: Buffer; width: number; height: number };
  small: Buffer;
}

/** In a server nothing but photographs is ever decoded, whatever a file pretends to be; one core at a time for each. */
export function decodePhotographsOnly(): void {
  sharp.block({ operation: ['VipsForeignLoad'] });
  sharp.unblock({ operation: ['Jpeg', 'Png', 'Webp', 'Heif'].map((sort) => `VipsForeignLoad${sort}Buffer`) });
  sharp.concurrency(1);
  sharp.cache(false);
}

/**
 * Decoded, turned upright, made smaller: two sizes of it, without what the camera wrote into it.
 * @throws Error for what cannot be read within twenty seconds, or has more than 60 million dots
 */
export async function madeSmaller(bytes: Uint8Array): Promise<TwoSizes> {
  const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error', sequentialRead: true })
    .rotate()
    .timeout({ seconds: LONGEST_S })
    .resize(LONG_SIDE, LONG_SIDE, { fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: 82, mozjpeg: true })
    .toBuffer({ resolveWithObject: true });
  const small = await sharp(data)
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 76 })
    .toBuffer();
  return { large: { bytes: data, width: info.width, height: info.height }, small };
}
