import fc from 'fast-check';
import { plateLines, readPlates } from './plateLines';

test('what a plate says goes to text and back', () => {
  expect(
    readPlates([
      'float-clean: 30 days, 50 h',
      'solution-filter: 20 uses',
      'flat-belt: 365d',
      ' battery-look : 100 hours',
      '',
      ': 3 h',
    ]),
  ).toEqual([
    { item: 'float-clean', days: 30, hours: 50, uses: null },
    { item: 'solution-filter', days: null, hours: null, uses: 20 },
    { item: 'flat-belt', days: 365, hours: null, uses: null },
    { item: 'battery-look', days: null, hours: 100, uses: null },
  ]);
  // No interval is told: the server refuses it at its line.
  expect(readPlates(['flat-belt: soon'])).toEqual([{ item: 'flat-belt', days: null, hours: null, uses: null }]);
  const some = fc.option(fc.integer({ min: 1, max: 7300 }));
  fc.assert(
    fc.property(some, some, some, (days, hours, uses) => {
      fc.pre(days !== null || hours !== null || uses !== null);
      const plates = [{ item: 'flat-belt', days, hours, uses }];
      expect(readPlates(plateLines(plates))).toEqual(plates);
    }),
  );
});
