import fc from 'fast-check';
import { merged, unknownFields } from './mergeFields';

test('fields are filled in, once; what is not known stays as it is written and is named', () => {
  expect(merged('Dear {owner}, {machines} fall due. {owner}!', { owner: 'Jory', machines: '{owner}' })).toBe(
    'Dear Jory, {owner} fall due. Jory!',
  );
  expect(merged('{tag} {toString}', {})).toBe('{tag} {toString}');
  expect(unknownFields('{owner} {price} {price} {}', ['owner'])).toEqual(['price']);
});

test('a text without fields is left alone, whatever it is', () => {
  fc.assert(
    fc.property(
      fc.string().filter((s) => !/\{[a-z]+\}/.test(s)),
      (text) => expect(merged(text, { owner: '$& $1' })).toBe(text),
    ),
  );
  expect(merged('{owner}', { owner: '$& $1' })).toBe('$& $1');
});
