import { choice, count, quantity, rows } from './fields';
import { readField, readFields } from './readFields';

const fields = {
  sort: choice('Sort', { a: 'A', b: 'B' }),
  size: quantity('length', 'Size', [1, 100]),
  only: quantity('length', 'Only for b', [1, 100], { when: { field: 'sort', is: ['b'] } }),
  teeth: count('Teeth', [1, 20], { optional: true }),
};

test('what is not asked is neither needed nor read', () => {
  expect(readFields(fields, { sort: 'a', size: '1/2 in', only: 'nonsense' })).toEqual({
    values: { sort: 'a', size: 12.7 },
    readAs: { sort: '', size: '12.7 mm' },
    problems: [],
  });
  expect(readFields(fields, { sort: 'b', size: 9.5 }).problems).toEqual([{ field: 'only', message: 'Needed.' }]);
});

test('a bare number is in the field’s own unit; a number of the service is in the base unit', () => {
  const cord = quantity('length', 'Cord', [100, 100_000], { unit: 'm' });
  expect(readField(cord, '15')).toMatchObject({ value: 15_000, readAs: '15 m' });
  expect(readField(cord, '1500 mm')).toMatchObject({ value: 1500 });
  expect(readField(cord, 1500)).toMatchObject({ value: 1500 });
});

test('every field that is wrong is named, with its range', () => {
  expect(readFields(fields, { sort: 'c', size: '900 mm', teeth: '2.5' }).problems).toEqual([
    { field: 'sort', message: 'One of: a, b.' },
    { field: 'size', message: 'From 1 mm to 100 mm.' },
    { field: 'teeth', message: 'A whole number from 1 to 20.' },
  ]);
  expect(readField(fields.size, 'NaN')).toEqual({ problem: 'A number in mm, cm, m, in, ".' });
});

describe('lines', () => {
  const dated = rows(
    'Lines',
    { day: { label: 'Day', is: 'date' }, mm: { label: 'Size', is: 'length', min: 0 } },
    [1, 3],
  );
  const washers = rows(
    'Washers',
    { t: { label: 'Thickness', is: 'length' }, n: { label: 'How many', is: 'count', otherwise: 1 } },
    [1, 9],
  );
  const flat = rows('Row', { ohm: { label: 'Reading', is: 'resistance' } }, [2, 9], { flat: true });
  const valueOf = (field: Parameters<typeof readField>[0], raw: unknown) =>
    (readField(field, raw) as { value: unknown }).value;

  test('a day and a size, with blanks, tabs or semicolons', () => {
    const day = Date.parse('2026-03-14T00:00:00Z');
    for (const line of ['2026-03-14 8.5 mm', '2026-03-14\t8.5 mm', '2026-03-14; 8,5'])
      expect(valueOf(dated, line)).toEqual([{ day, mm: 8.5 }]);
  });
  test('washers with and without how many', () => {
    expect(valueOf(washers, '0.2 mm × 4\n0.5 mm x 2\n1 mm')).toEqual([
      { t: 0.2, n: 4 },
      { t: 0.5, n: 2 },
      { t: 1, n: 1 },
    ]);
    expect(valueOf(washers, ['0.2 mm x4'])).toEqual([{ t: 0.2, n: 4 }]);
  });
  test('a pasted row', () => {
    expect(valueOf(flat, '1.2 1k2\n 3')).toEqual([{ ohm: 1.2 }, { ohm: 1200 }, { ohm: 3 }]);
    expect(valueOf(flat, [1, 2])).toEqual([{ ohm: 1 }, { ohm: 2 }]);
  });
  test.each([
    [dated, 'tomorrow 8 mm', /Line 1: Day/],
    [dated, '2026-03-14 -8 mm', /Line 1: Size: from 0/],
    [dated, '2026-03-14', /size is missing/],
    [dated, Array(4).fill('2026-03-14 8 mm'), /At most 3/],
    [flat, '5', /At least 2; there is 1/],
    [dated, `2026-03-14${' '.repeat(100_000)}8 mm`, /Line 1 is too long/],
    [dated, 7, /Lines of text/],
    [dated, [{}], /Line 1 cannot be read/],
  ])('%# is refused with its line', (field, raw, message) => {
    expect((readField(field, raw) as { problem: string }).problem).toMatch(message);
  });
});
