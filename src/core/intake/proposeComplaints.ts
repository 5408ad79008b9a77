import { distance } from 'fastest-levenshtein';
import { stemmer } from 'stemmer';

/** What people say when they mean one complaint. */
export interface ComplaintPhrases {
  complaint: string;
  phrases: string[];
}

export interface ProposedComplaint {
  complaint: string;
  /** Share of the phrase's weight that was said, 0 to 1. */
  score: number;
  /** The shipped phrase that was heard. */
  because: string;
}

export interface PhraseBook {
  phrases: { complaint: string; text: string; words: string[]; weight: number }[];
  /** Stem → how telling it is: ln(phrases / phrases with it) + 1. */
  weights: Map<string, number>;
}

const LEAST_SCORE = 0.62;
/** A mistyped word counts for less than the word itself. */
const MISTYPED = 0.8;

/** Words that carry nothing here; `not`, `no`, `only`, `on`, `off`, `up` carry much and stay. */
const EMPTY_WORDS = new Set(
  (
    'a an the it its is are was were be been being has have had do does did this that these those there here and or but so ' +
    'when while as at of to for from in into by with my our your his her their i we you he she they me us him them very ' +
    'really quite just about some any bit little now then again since machine vacuum cleaner sweeper thing think says ' +
    'keeps keep kept always sometimes please lately today yesterday more than too also get gets got like would could can will'
  ).split(' '),
);

const EXPANSIONS: [RegExp, string][] = [
  [/\bwon['’]?t\b/g, 'will not'],
  [/\bcan['’]?t\b|\bcannot\b/g, 'can not'],
  [/n['’]t\b/g, ' not'],
  [/\b(dont|doesnt|didnt|isnt|wasnt)\b/g, 'not'],
  [/['’](s|re|ve|ll|d|m)\b/g, ''],
];

/** Words of a sentence as stems (Porter), contractions opened, words that carry nothing left out. */
export function stems(text: string): string[] {
  let plain = text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '');
  for (const [from, to] of EXPANSIONS) plain = plain.replace(from, to);
  return (plain.match(/\p{L}+/gu) ?? []).filter((w) => !EMPTY_WORDS.has(w)).map(stemmer);
}

/** Makes the shipped phrases ready to be heard; once per process. */
export function phraseBook(list: ComplaintPhrases[]): PhraseBook {
  const phrases = list.flatMap(({ complaint, phrases: texts }) =>
    texts.map((text) => ({ complaint, text, words: [...new Set(stems(text))], weight: 0 })),
  );
  const count = new Map<string, number>();
  for (const p of phrases) for (const w of p.words) count.set(w, (count.get(w) ?? 0) + 1);
  const weights = new Map([...count].map(([w, n]) => [w, Math.log(phrases.length / n) + 1]));
  for (const p of phrases) p.weight = p.words.reduce((sum, w) => sum + weights.get(w)!, 0);
  return { phrases, weights };
}

/**
 * Complaints that a customer's words may mean, most likely first. A phrase is heard when most of its weight was said, in
 * any order; rare words weigh more (inverse document frequency, Spärck Jones 1972); typing errors are forgiven.
 * @param words the customer's own words, any length
 * @param most how many at most
 */
export function proposeComplaints(book: PhraseBook, words: string, most = 5): ProposedComplaint[] {
  const said = [...new Set(stems(words))];
  if (said.length === 0) return [];
  const heard = new Map<string, number>();
  for (const word of book.weights.keys()) {
    const closeness = Math.max(...said.map((s) => likeness(s, word)));
    if (closeness > 0) heard.set(word, closeness);
  }
  const best = new Map<string, ProposedComplaint & { rank: number }>();
  for (const phrase of book.phrases) {
    if (phrase.weight === 0) continue;
    const got = phrase.words.reduce((sum, w) => sum + (heard.get(w) ?? 0) * book.weights.get(w)!, 0);
    const score = got / phrase.weight;
    // Of two phrases that were wholly said, the longer one tells more.
    const rank = score * Math.sqrt(got);
    const before = best.get(phrase.complaint);
    if (score >= LEAST_SCORE && (!before || rank > before.rank))
      best.set(phrase.complaint, { complaint: phrase.complaint, score, because: phrase.text, rank });
  }
  return [...best.values()]
    .sort((a, b) => b.rank - a.rank)
    .slice(0, most)
    .map(({ complaint, score, because }) => ({ complaint, score, because }));
}

function likeness(said: string, word: string): number {
  if (said === word) return 1;
  const shorter = Math.min(said.length, word.length);
  if (shorter < 5 || Math.abs(said.length - word.length) > 2) return 0;
  // One wrong letter in a word of five (of four, `line` would be `life`), two in a word of eight; the first letter is seldom the wrong one.
  const wrong = distance(said, word);
  return said[0] === word[0] && wrong <= (shorter >= 8 ? 2 : 1) ? MISTYPED : 0;
}
