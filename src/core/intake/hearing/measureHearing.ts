import { hear, type Ear } from './ear';
import type { Sentence } from './teach';

/** How often what was meant is heard. Counts of sentences. */
export interface HearingScore {
  sentences: number;
  first: number;
  amongThree: number;
  nothing: number;
  missed: { text: string; means: string; heard: string[] }[];
}

export function measureHearing(ear: Ear, sentences: Sentence[]): HearingScore {
  const score: HearingScore = { sentences: sentences.length, first: 0, amongThree: 0, nothing: 0, missed: [] };
  for (const { text, means } of sentences) {
    const heard = hear(ear, text, 3).map((h) => h.id);
    if (heard[0] === means) score.first++;
    if (heard.includes(means)) score.amongThree++;
    else score.missed.push({ text, means, heard });
    if (heard.length === 0) score.nothing++;
  }
  return score;
}

/** One typing error in a word of five letters or more: two letters exchanged, one left out, doubled or wrong, by turns. */
export function mistype(text: string, seed: number): string {
  const long = [...text.matchAll(/\p{L}{5,}/gu)];
  if (long.length === 0) return text;
  // Neighbouring seeds lie far apart (multiplicative hashing, Knuth, The Art of Computer Programming 3, section 6.4).
  const h = Math.imul(seed + 1, 2654435761) >>> 0;
  const word = long[(h >>> 4) % long.length]!;
  const at = 1 + ((h >>> 10) % (word[0].length - 2));
  const [before, here, next, after] = [
    word[0].slice(0, at),
    word[0][at]!,
    word[0][at + 1] ?? '',
    word[0].slice(at + 2),
  ];
  const wrong = [
    before + next + here + after,
    before + next + after,
    before + here + here + next + after,
    before + (here === 'e' ? 'r' : 'e') + next + after,
  ][(h >>> 20) % 4]!;
  return text.slice(0, word.index) + wrong + text.slice(word.index + word[0].length);
}
