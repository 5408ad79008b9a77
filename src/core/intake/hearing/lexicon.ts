import { stemmer } from 'stemmer';

/** What the hearing knows of a language and a trade; the words themselves belong to the knowledge. */
export interface LexiconText {
  /** Turns of phrase that mean one word: `[pattern, word]`, in this order, on small letters. */
  idioms: [pattern: RegExp, word: string][];
  /** Idea → the words for it, separated by spaces. A word may stand for several ideas. */
  ideas: Record<string, string>;
  /** Words that carry nothing. */
  empty: string;
  /** Words that turn what follows into its opposite. */
  negations: string;
  /** Words after which something new is said. */
  breaks: string;
}

export interface Lexicon {
  idioms: [RegExp, string][];
  /** All words that stand for something, as they are written. */
  words: string[];
  /** Stem → ideas. */
  ideas: Map<string, string[]>;
  empty: Set<string>;
  negations: Set<string>;
  breaks: Set<string>;
}

const words = (text: string) => text.trim().split(/\s+/);

/** Makes the words of a lexicon ready to be heard (stems after Porter). */
export function lexiconOf(text: LexiconText): Lexicon {
  const ideas = new Map<string, string[]>();
  for (const [idea, forms] of Object.entries(text.ideas))
    for (const stem of new Set(words(forms).map(stemmer))) ideas.set(stem, [...(ideas.get(stem) ?? []), idea]);
  return {
    idioms: text.idioms,
    words: [...Object.values(text.ideas), text.empty, text.negations, text.breaks].flatMap(words),
    ideas,
    empty: new Set(words(text.empty)),
    negations: new Set(words(text.negations)),
    breaks: new Set(words(text.breaks)),
  };
}
