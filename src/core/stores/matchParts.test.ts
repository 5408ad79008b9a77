import { matchParts } from './matchParts';

const belts = [300, 340, 355].map((length) => ({ code: `B${length}`, sizes: { length, width: 10 } }));

test('a belt near one of the list is that one, nearly surely', () => {
  const found = matchParts(belts, [
    { name: 'length', mm: 354, sigmaMm: 1 },
    { name: 'width', mm: 10.2, sigmaMm: 0.5 },
  ]);
  expect(found[0]!.part.code).toBe('B355');
  expect(found[0]!.probability).toBeGreaterThan(0.95);
});

test('between two it is either, and far from all it is none', () => {
  const [a, b] = matchParts(belts, [{ name: 'length', mm: 347.4, sigmaMm: 6 }]);
  expect(a!.probability + b!.probability).toBeGreaterThan(0.95);
  expect(a!.probability).toBeLessThan(0.7);
  expect(matchParts(belts, [{ name: 'length', mm: 500, sigmaMm: 2 }])).toEqual([]);
});

test('a size that the part does not name is not held against it', () => {
  const [only] = matchParts(
    [{ sizes: { length: 300 } }],
    [
      { name: 'length', mm: 300, sigmaMm: 1 },
      { name: 'width', mm: 4, sigmaMm: 0.1 },
    ],
  );
  expect(only!.probability).toBeGreaterThan(0.98);
});
