import { stemmer } from 'stemmer';
import type { Lexicon } from './lexicon';

/** A negation reaches so many words that carry something. */
const REACH = 3;
/** Two words further apart than this say nothing together. */
const WINDOW = 4;

interface Said {
  stem: string;
  ideas: string[];
  negated: boolean;
}

/** The text in its plainest form: small letters, no accents, contractions and turns of phrase opened. */
function plain(text: string, lexicon: Lexicon): string {
  let out = text.toLowerCase().normalize('NFKD').replace(/\p{M}/gu, '').replace(/[’‘`]/g, "'");
  for (const [pattern, word] of lexicon.idioms) out = out.replace(pattern, ` ${word} `);
  return out;
}

function clausesOf(text: string, lexicon: Lexicon): Said[][] {
  const clauses: Said[][] = [];
  for (const part of plain(text, lexicon).split(/[.,;:!?()"–—\n]+|\s-\s/)) {
    let clause: Said[] = [];
    let reach = 0;
    for (const word of part.match(/\p{L}+/gu) ?? []) {
      if (lexicon.breaks.has(word)) {
        clauses.push(clause);
        clause = [];
        reach = 0;
      } else if (lexicon.negations.has(word)) {
        reach = REACH;
      } else if (!lexicon.empty.has(word)) {
        const stem = stemmer(word);
        clause.push({ stem, ideas: lexicon.ideas.get(stem) ?? [], negated: reach > 0 });
        if (reach > 0) reach--;
      }
    }
    clauses.push(clause);
  }
  return clauses.filter((c) => c.length > 0);
}

/**
 * What a sentence shows to a classifier: its stems, the ideas behind them, each negated or not, and pairs of ideas that stand
 * close together in one clause ("brush … turn not").
 */
export function signsOf(text: string, lexicon: Lexicon): string[] {
  const signs = new Set<string>();
  for (const clause of clausesOf(text, lexicon)) {
    const named = clause.map((w) => {
      const mark = w.negated ? '!' : '';
      signs.add(w.stem);
      if (w.negated) signs.add(`!${w.stem}`);
      for (const idea of w.ideas) signs.add(`${mark}${idea}`);
      return (w.ideas.length ? w.ideas : [w.stem]).map((name) => mark + name);
    });
    named.forEach((left, i) => {
      for (const right of named.slice(i + 1, i + WINDOW))
        for (const a of left) for (const b of right) signs.add(a < b ? `${a}+${b}` : `${b}+${a}`);
    });
  }
  return [...signs];
}
