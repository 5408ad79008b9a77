import fc from 'fast-check';
import { readListQuery, writeListQuery } from './dto';

const columns = ['tag', 'due'] as const;

test('what is written is read back', () => {
  fc.assert(
    fc.property(
      fc.record({
        words: fc.string({ maxLength: 200 }),
        page: fc.integer({ min: 0, max: 10_000 }),
        sort: fc.option(fc.record({ by: fc.constantFrom(...columns), desc: fc.boolean() })),
      }),
      (asked) => {
        const query = Object.fromEntries(new URLSearchParams(writeListQuery(asked)));
        expect(readListQuery(query, columns)).toEqual(asked);
      },
    ),
  );
});

test.each([
  [{ sort: 'password' }, { words: '', page: 0, sort: null }],
  [{ sort: '--due' }, { words: '', page: 0, sort: null }],
  [
    { page: '-3', q: ['a', 'b'] },
    { words: '', page: 0, sort: null },
  ],
  [{ page: '1e9' }, { words: '', page: 1, sort: null }],
  [
    { page: 'many', sort: 'tag' },
    { words: '', page: 0, sort: { by: 'tag', desc: false } },
  ],
])('%j is taken as far as it can be', (query, asked) => {
  expect(readListQuery(query, columns)).toEqual(asked);
});
