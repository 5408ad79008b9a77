import sharp from 'sharp';
import type { Person } from '@/shop/access/person';
import { keepPhotograph } from '@/shop/photographs/keepPhotograph';

/** A drawn stand-in for what a phone’s camera would have seen. @returns the id of the photograph that was kept */
export async function drawnPhotograph(person: Person, words: string, colour: string): Promise<number> {
  const drawn = `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900"><rect width="1200" height="900" fill="#d8cdb6"/><path d="M0 620C260 560 420 690 700 620S1080 560 1200 640V900H0Z" fill="${colour}"/><rect x="300" y="180" width="560" height="360" rx="60" fill="#55504a"/><rect x="360" y="420" width="440" height="70" rx="30" fill="#2b2824"/><text x="60" y="110" font-size="64" font-family="sans-serif" fill="#2b2824">${words}</text></svg>`;
  return (await keepPhotograph(person, await sharp(Buffer.from(drawn)).png().toBuffer())).id;
}
