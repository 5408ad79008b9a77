import fc from 'fast-check';
import { differences, merged } from './mergeEdits';

const base = { name: 'Ada', phone: '1', note: '', tags: ['a'] };

test('what only one of us changed is no question', () => {
  const mine = { ...base, phone: '2' };
  const theirs = { ...base, note: 'ring first' };
  expect(differences(base, mine, theirs).every((d) => !d.clash)).toBe(true);
  expect(merged(base, mine, theirs, {})).toEqual({ ...base, phone: '2', note: 'ring first' });
});

test('what both changed is mine until theirs is chosen', () => {
  const mine = { ...base, name: 'Ada T.' };
  const theirs = { ...base, name: 'Ada Tarrow' };
  expect(differences(base, mine, theirs)).toEqual([
    { field: 'name', mine: 'Ada T.', theirs: 'Ada Tarrow', clash: true },
  ]);
  expect(merged(base, mine, theirs, {}).name).toBe('Ada T.');
  expect(merged(base, mine, theirs, { name: 'theirs' }).name).toBe('Ada Tarrow');
});

test('lists are compared by what is in them', () => {
  expect(differences(base, { ...base, tags: ['a'] }, base)).toEqual([]);
});

test('nobody’s change is lost, whoever changed what', () => {
  const card = fc.record({ a: fc.integer({ min: 0, max: 3 }), b: fc.integer({ min: 0, max: 3 }) });
  fc.assert(
    fc.property(card, card, card, (from, mine, theirs) => {
      const result = merged(from, mine, theirs, {}) as typeof from;
      for (const k of ['a', 'b'] as const) {
        if (mine[k] !== from[k]) expect(result[k]).toBe(mine[k]);
        else expect(result[k]).toBe(theirs[k]);
      }
    }),
  );
});
