import { complaintPhrases, shippedPhrases } from '@/knowledge/phrases';
import { complaints } from '@/knowledge/complaints';
import { phraseBook, proposeComplaints, stems } from './proposeComplaints';

const first = (words: string) => proposeComplaints(shippedPhrases, words)[0]?.complaint;
const all = (words: string) => proposeComplaints(shippedPhrases, words).map((p) => p.complaint);

test('contractions open, empty words go, stems stay', () => {
  expect(stems("It doesn't spin")).toEqual(['not', 'spin']);
  expect(stems('The brushes won’t be turning')).toEqual(['brush', 'not', 'turn']);
  expect(stems('¿?! 12 …')).toEqual([]);
});

test('every complaint of the trade has phrases, every phrase says something', () => {
  expect(complaintPhrases.map((c) => c.complaint).sort()).toEqual(complaints.map((c) => c.id).sort());
  for (const p of shippedPhrases.phrases) expect(p.words.length).toBeGreaterThan(0);
});

test('every shipped phrase is heard as its own complaint', () => {
  const missed = shippedPhrases.phrases.filter((p) => !all(p.text).includes(p.complaint));
  expect(missed).toEqual([]);
});

// Invented sentences that are not in the list: what is measured is the hearing, not the list.
test.each([
  ['it smells like a wet dog', 'bad-smell'],
  ['It SCREAMS!!', 'squeal'],
  ['it leaves lines no more', 'roll-slow'],
  ['The roller isn’t spinning any more since we moved house', 'roll-not-turning'],
  ['brush does’nt turn', 'roll-not-turning'],
  ['my cleaner has lost a lot of suction lately', 'weak-suction'],
  ['there was smoke and it smelt of burning rubber', 'burning-smell'],
  ['keeps tripping the breaker', 'trips-house-breaker'],
  ['It works when I hold the cord in a certain way', 'dead-intermittent'],
  ['it wont turn on at all', 'dead'],
  ['spits dust out of the back', 'blows-dust'],
  ['it cuts out after about ten minutes and then comes back once it has cooled', 'stops-after-minutes'],
  ['the handle will not stay upright, it falls over', 'will-not-stand'],
  ['squeels when I push it', 'squeal'],
  ['no sucktion', 'no-suction'],
])('%s', (words, complaint) => {
  expect(first(words)).toBe(complaint);
});

test('two complaints in one breath are both heard', () => {
  expect(all('The brush does not turn and it stinks of dog')).toEqual(
    expect.arrayContaining(['roll-not-turning', 'bad-smell']),
  );
});

test('a short word is not taken for another that looks like it', () => {
  expect(all('it leaves no lines')).not.toContain('dead');
});

test('what says nothing proposes nothing', () => {
  expect(all('')).toEqual([]);
  expect(all('Good morning, here it is again, thank you')).toEqual([]);
  expect(all('🧹🧹 مكنسة')).toEqual([]);
});

test('a rare word weighs more than a common one', () => {
  const book = phraseBook([
    { complaint: 'a', phrases: ['brush squeals', 'brush turns', 'brush stops'] },
    { complaint: 'b', phrases: ['hose squeals'] },
  ]);
  expect(book.weights.get('hose')!).toBeGreaterThan(book.weights.get('brush')!);
  expect(proposeComplaints(book, 'the hose, it squeals')[0]).toMatchObject({ complaint: 'b', because: 'hose squeals' });
});

test('ten thousand words are heard as quickly as they are split', () => {
  const words = 'the brush does not turn and whatever else there is to tell '.repeat(900);
  expect(first(words)).toBe('roll-not-turning');
});
