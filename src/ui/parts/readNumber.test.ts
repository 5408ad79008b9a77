import fc from 'fast-check';
import { readNumber } from './readNumber';

test('what is written as a number is read as it', () => {
  fc.assert(
    fc.property(fc.double({ min: -1e9, max: 1e9, noNaN: true }), (x) => {
      const text = x.toFixed(3);
      expect(readNumber(text)).toBe(Number(text));
      // With a comma before three digits some of them could be thousands: those are asked.
      const comma = text.replace('.', ',');
      expect(readNumber(comma)).toBe(/^-?[1-9]\d{0,2},/.test(comma) ? undefined : Number(text));
      expect(readNumber(x.toFixed(2).replace('.', ','))).toBe(Number(x.toFixed(2)));
    }),
  );
});

test.each(['1,200', '-12,500', '20x9', '12,5,1', '1e3', '0x10', 'Infinity', 'NaN', '--1', '1 2', '٣'])(
  '%s is no number',
  (typed) => {
    expect(readNumber(typed)).toBeUndefined();
  },
);

test.each(['', '  ', '\t'])('nothing is nothing, not zero', (typed) => {
  expect(readNumber(typed)).toBeNull();
});
