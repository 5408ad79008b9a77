import { distance } from 'fastest-levenshtein';
import type { Lexicon } from './lexicon';
import { signsOf } from './signsOf';

/** What teaching leaves: small enough to be sent to a browser, whole numbers only. */
export interface TaughtModel {
  /** What can be heard, by id. */
  labels: string[];
  /** Words that were met, the usual ones first. */
  words: string[];
  signs: string[];
  /** Per sign: label, weight in steps of `step`, label, weight … */
  rows: number[][];
  /** Per label, in steps of `step`. */
  bias: number[];
  step: number;
}

export interface Ear {
  model: TaughtModel;
  lexicon: Lexicon;
  position: Map<string, number>;
  words: ReadonlySet<string>;
  byFirstLetter: Map<string, string[]>;
  /** Labels that mean that nothing was said. */
  silent: ReadonlySet<string>;
}

export interface Heard {
  id: string;
  /** How likely, 0 to 1, before anything is known of the machine. */
  odds: number;
  /** The piece of the words in which it was heard. */
  because: string;
}

/** When nothing is as likely as this, nothing was heard. */
const HEARD_ODDS = 0.07;
/** With it comes along what is as likely as this, until together they are as good as certain. */
const ALONG_ODDS = 0.01;
const CERTAIN = 0.97;
/** When it is as likely as this that nothing was said of the machine, nothing was. */
const SILENT_ODDS = 0.5;
/** A piece of what was said counts beside the whole when it is this clear, and then for so much. */
const CLEAR_PIECE = 0.6;
const PIECE_COUNTS = 0.4;
const PIECES = /[.,;!?\n]+|\s(?:and|but|also|plus)\s/i;

export function earOf(model: TaughtModel, lexicon: Lexicon, silent: Iterable<string> = []): Ear {
  const byFirstLetter = new Map<string, string[]>();
  for (const word of model.words) byFirstLetter.set(word[0]!, [...(byFirstLetter.get(word[0]!) ?? []), word]);
  return {
    model,
    lexicon,
    words: new Set(model.words),
    byFirstLetter,
    silent: new Set(silent),
    position: new Map(model.signs.map((s, i) => [s, i])),
  };
}

/** The text with every word that was never met put as the nearest known one, the more usual of two that are as near. */
function mended(ear: Ear, text: string): string {
  const met = new Map<string, string>();
  return text.toLowerCase().replace(/\p{L}{4,}/gu, (word) => {
    const before = met.get(word);
    if (before !== undefined) return before;
    const meant = ear.words.has(word) ? word : nearest(ear, word);
    met.set(word, meant);
    return meant;
  });
}

function nearest(ear: Ear, word: string): string {
  // One wrong letter in a word of five (of four, `line` would be `life`), two in a word of nine; the first is seldom wrong.
  const most = word.length >= 9 ? 2 : 1;
  const letters = [...word].sort().join('');
  let meant = word;
  let least = most + 1;
  for (const other of ear.byFirstLetter.get(word[0]!) ?? []) {
    if (Math.max(other.length, word.length) < 5 || Math.abs(other.length - word.length) > most) continue;
    // Two letters exchanged are one slip (Damerau 1964).
    const wrong = [...other].sort().join('') === letters ? 1 : distance(word, other);
    if (wrong < least) [meant, least] = [other, wrong];
  }
  return meant;
}

function oddsOf(ear: Ear, text: string): Float64Array | null {
  const { model } = ear;
  const shown = signsOf(text, ear.lexicon).flatMap((s) => ear.position.get(s) ?? []);
  if (shown.length === 0) return null;
  const share = 1 / Math.sqrt(shown.length);
  const out = Float64Array.from(model.bias);
  for (const s of shown) {
    const row = model.rows[s]!;
    for (let i = 0; i < row.length; i += 2) out[row[i]!]! += share * row[i + 1]!;
  }
  let most = -Infinity;
  for (const x of out) most = Math.max(most, x);
  let sum = 0;
  for (let k = 0; k < out.length; k++) sum += out[k] = Math.exp((out[k]! - most) * model.step);
  for (let k = 0; k < out.length; k++) out[k]! /= sum;
  return out;
}

/**
 * What a customer's words may mean, most likely first. The whole is heard, and each piece of it (people tell of two things in one
 * breath); a mistyped word is taken for the nearest known one.
 * @param words the customer's own words, any length
 * @param most how many at most
 */
export function hear(ear: Ear, words: string, most = 5): Heard[] {
  const { labels } = ear.model;
  const whole = oddsOf(ear, mended(ear, words));
  if (!whole) return [];
  const best = new Map<string, Heard>();
  const keep = (k: number, odds: number, because: string) => {
    const id = labels[k]!;
    if (odds > (best.get(id)?.odds ?? 0)) best.set(id, { id, odds, because });
  };
  let sum = 0;
  for (const k of [...whole.keys()].sort((a, b) => whole[b]! - whole[a]!)) {
    if (sum > CERTAIN || whole[k]! < ALONG_ODDS) break;
    keep(k, whole[k]!, words.trim());
    sum += whole[k]!;
  }
  const pieces = words.split(PIECES).filter((p) => p.trim() !== '');
  if (pieces.length > 1)
    for (const piece of pieces)
      oddsOf(ear, mended(ear, piece))?.forEach((p, k) => p >= CLEAR_PIECE && keep(k, PIECE_COUNTS * p, piece.trim()));
  const heard = [...best.values()].sort((a, b) => b.odds - a.odds);
  if (heard.some((h) => ear.silent.has(h.id) && h.odds > SILENT_ODDS)) return [];
  const spoken = heard.filter((h) => !ear.silent.has(h.id));
  return spoken.length > 0 && spoken[0]!.odds >= HEARD_ODDS ? spoken.slice(0, most) : [];
}
