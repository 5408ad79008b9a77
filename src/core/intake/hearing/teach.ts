import type { TaughtModel } from './ear';
import type { Lexicon } from './lexicon';
import { signsOf } from './signsOf';
import { trainSoftmax } from './softmaxRegression';

/** A sentence and what it means. */
export interface Sentence {
  text: string;
  means: string;
}

const RIDGE = 6e-4;
const EPOCHS = 20;
/** Weights are kept in steps of this, and smaller ones than `LEAST` not at all: nine in ten say next to nothing. */
const STEP = 0.05;
const LEAST = 0.4;

/** Learns from sentences what words mean; the same sentences always teach the same. */
export function teach(sentences: Sentence[], lexicon: Lexicon): TaughtModel {
  const labels = [...new Set(sentences.map((s) => s.means))].sort();
  const shown = sentences.map((s) => signsOf(s.text, lexicon));
  const signs = [...new Set(shown.flat())].sort();
  const position = new Map(signs.map((s, i) => [s, i]));
  const examples = sentences.map((s, i) => ({
    signs: Int32Array.from(shown[i]!, (sign) => position.get(sign)!),
    label: labels.indexOf(s.means),
  }));
  const { weights } = trainSoftmax(examples, signs.length, labels.length, { ridge: RIDGE, epochs: EPOCHS });
  const steps = (w: number) => Math.round(w / STEP);
  const rows = signs.map((_, s) =>
    labels.flatMap((_, k) => {
      const w = weights[s * labels.length + k]!;
      return Math.abs(w) < LEAST ? [] : [k, steps(w)];
    }),
  );
  const met = new Map<string, number>(lexicon.words.map((w) => [w, 0]));
  for (const { text } of sentences)
    for (const [word] of text.toLowerCase().matchAll(/\p{L}{4,}/gu)) met.set(word, (met.get(word) ?? 0) + 1);
  const words = [...met].filter(([w]) => w.length >= 4).sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  const telling = [...signs.keys()].filter((s) => rows[s]!.length > 0);
  return {
    labels,
    words: words.map(([w]) => w),
    signs: telling.map((s) => signs[s]!),
    rows: telling.map((s) => rows[s]!),
    bias: labels.map((_, k) => steps(weights[signs.length * labels.length + k]!)),
    step: STEP,
  };
}
