import { earOf, hear } from './ear';
import { lexiconOf } from './lexicon';
import { mistype } from './measureHearing';
import { signsOf } from './signsOf';
import { teach } from './teach';

const lexicon = lexiconOf({
  idioms: [
    [/n't\b/g, ' not'],
    [/\bgo(es)? round\b/g, 'turn'],
  ],
  ideas: { ROLL: 'brush roller', TURN: 'turn spin' },
  empty: 'the a it is does',
  negations: 'not never',
  breaks: 'but',
});

describe('signs of a sentence', () => {
  test('stems, the ideas behind them, and pairs that stand together', () => {
    expect(signsOf('The rollers spin', lexicon).sort()).toEqual(['ROLL', 'ROLL+TURN', 'TURN', 'roller', 'spin']);
  });

  test('a negation marks what follows it, and ends with its clause', () => {
    expect(signsOf('It doesn’t turn, it hums', lexicon)).toEqual(expect.arrayContaining(['!TURN', '!turn', 'hum']));
    expect(signsOf('It doesn’t turn, it hums', lexicon)).not.toContain('!hum');
    expect(signsOf('never squeals but turns', lexicon)).toEqual(expect.arrayContaining(['!squeal', 'TURN']));
    expect(signsOf('not one two three four', lexicon)).not.toContain('!four');
  });

  test('turns of phrase are one word, accents and capitals make no difference', () => {
    expect(signsOf('The BRÜSH goes round', lexicon).sort()).toEqual(signsOf('brush turn', lexicon).sort());
  });

  test('what is no word says nothing', () => {
    expect(signsOf('¿?! 12 … 🧹', lexicon)).toEqual([]);
  });
});

describe('an ear that was taught four things', () => {
  const sentences = [
    ['still', 'The brush does not turn'],
    ['still', 'The roller never spins'],
    ['noise', 'It squeals loudly'],
    ['noise', 'A squealing sound'],
    ['smell', 'It smells of burning rubber'],
    ['smell', 'A burnt smell'],
    ['nothing', 'Good morning'],
    ['nothing', 'Thank you'],
  ].map(([means, text]) => ({ means: means!, text: text! }));
  const ear = earOf(teach(sentences, lexicon), lexicon, ['nothing']);
  const ids = (words: string, most?: number) => hear(ear, words, most).map((h) => h.id);

  test('hears it in other words', () => {
    expect(ids('the roller does not spin')[0]).toBe('still');
    expect(ids('such a squeal')[0]).toBe('noise');
  });

  test('a mistyped word is taken for the one that was meant: a letter wrong, too many, too few, two exchanged', () => {
    for (const wrong of ['squaels', 'squels', 'squeeals', 'squealz']) expect(ids(`it ${wrong}`)[0]).toBe('noise');
    // A short word is never taken for another that looks like it.
    expect(ids('tuna')).toEqual([]);
  });

  test('two things in one breath are both heard, each in its piece', () => {
    const heard = hear(ear, 'The brush does not turn, and there is a burnt smell');
    expect(heard.map((h) => h.id)).toEqual(expect.arrayContaining(['still', 'smell']));
    for (const h of heard) expect('The brush does not turn, and there is a burnt smell').toContain(h.because);
  });

  test('what says nothing of the machine is not heard as anything', () => {
    for (const words of ['', '   ', 'Good morning!', 'thank you, good morning', 'xyzzy', '🧹 مكنسة'])
      expect(ids(words)).toEqual([]);
  });

  test('odds are odds, most likely first, no more than asked for', () => {
    const heard = hear(ear, 'smell squeal turn');
    for (const h of heard) expect(h.odds > 0 && h.odds <= 1).toBe(true);
    expect(heard.map((h) => h.odds)).toEqual(heard.map((h) => h.odds).sort((a, b) => b - a));
    expect(ids('smell squeal turn', 1)).toHaveLength(1);
  });

  test('ten thousand words are heard', () => {
    expect(ids('the brush does not turn and whatever else there is to tell '.repeat(900))).toContain('still');
  });
});

test('a spelling error changes one long word and nothing else', () => {
  const text = 'The roller turned slowly over the carpet on it';
  const seen = new Set(Array.from({ length: 60 }, (_, i) => mistype(text, i)));
  expect(seen.size).toBeGreaterThan(15);
  for (const wrong of seen) {
    const differs = wrong.split(' ').filter((w, i) => w !== text.split(' ')[i]);
    expect(differs.length).toBeLessThanOrEqual(1);
    expect(wrong.startsWith('The ') && wrong.endsWith(' on it')).toBe(true);
  }
  expect(mistype('no long word', 3)).toBe('no long word');
});
