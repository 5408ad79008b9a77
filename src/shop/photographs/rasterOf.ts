const RASTERS: { format: string; is: (bytes: Buffer) => boolean }[] = [
  { format: 'jpeg', is: (b) => b.subarray(0, 3).equals(Buffer.from([0xff, 0xd8, 0xff])) },
  { format: 'png', is: (b) => b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])) },
  {
    format: 'webp',
    is: (b) => b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP',
  },
  // ISO base media (ISO/IEC 14496-12): what most phones take when they are not told otherwise, and its kin.
  {
    format: 'heif',
    is: (b) =>
      b.toString('latin1', 4, 8) === 'ftyp' &&
      /^(hei[cfmsx]|hev[cx]|mif1|msf1|avi[fs])$/.test(b.toString('latin1', 8, 12)),
  },
];

/**
 * What sort of photograph it is by its first bytes, whatever it is called; null for everything that is none: drawings, which
 * can name other files and hold scripts, documents, films.
 */
export function rasterOf(bytes: Buffer): string | null {
  return RASTERS.find((r) => r.is(bytes))?.format ?? null;
}
