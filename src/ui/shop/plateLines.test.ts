import fc from 'fast-check';
import { plateLines, readPlates } from './plateLines';

test('what a plate says goes to text and back', () => {
  expect(
    readPlates(['float-clean: 30 days, 50 h', 'flat-belt: 365d', ' battery-look : 100 hours', '', ': 3 h']),
  ).toEqual([
    { item: 'float-clean', days: 30, hours: 50 },
    { item: 'flat-belt', days: 365, hours: null },
    { item: 'battery-look', days: null, hours: 100 },
  ]);
  // No interval is told: the server refuses it at its line.
  expect(readPlates(['flat-belt: soon'])).toEqual([{ item: 'flat-belt', days: null, hours: null }]);
  const some = fc.option(fc.integer({ min: 1, max: 7300 }));
  fc.assert(
    fc.property(some, some, (days, hours) => {
      fc.pre(days !== null || hours !== null);
      const plates = [{ item: 'flat-belt', days, hours }];
      expect(readPlates(plateLines(plates))).toEqual(plates);
    }),
  );
});
