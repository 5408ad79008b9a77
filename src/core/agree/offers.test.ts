import fc from 'fast-check';
import { isWithin, LEAST_LABEL, LINE_GROUPS, offersOf, type OfferLine, type OfferTerms } from './offers';

const TERMS: OfferTerms = {
  rules: {
    taxes: [{ id: 'vat', label: 'VAT', per100k: 20_000, on: ['labour', 'part', 'material', 'fee'] }],
    included: false,
    perLine: false,
    rounding: 'half-even',
  },
  labour: { hourMinor: 6_000, stepMinutes: 15, rounding: 'half-even' },
  leastMinor: 0,
  exempt: false,
  off100k: 0,
  offMinor: 0,
};
let number = 0;
const line = (more: Partial<OfferLine> = {}): OfferLine => ({
  id: `l${number++}`,
  group: 'must',
  sort: 'part',
  label: 'Flat belt',
  minutes: null,
  thousandths: 1000,
  eachMinor: 450,
  off100k: 0,
  fault: null,
  code: null,
  reason: '',
  until: '',
  safety: false,
  ...more,
});
const work = (minutes: number, group: OfferLine['group'] = 'must') =>
  line({ sort: 'labour', label: 'Work', minutes, group, eachMinor: 0 });

test('two repairs behind one cover are charged as one sum of minutes', () => {
  const [minimum] = offersOf([work(8), work(9)], TERMS);
  // 17 minutes are two begun quarters, not twice one.
  expect(minimum!.chargedMinutes).toBe(30);
  expect(minimum!.bill.netMinor).toBe(3_000);
  expect(minimum!.lines.map((l) => l.eachMinor)).toEqual([1_412, 1_588]);
});

test('each offer holds the smaller one, and one that adds nothing is left out', () => {
  const lines = [line(), line({ group: 'now' }), line({ group: 'not' })];
  expect(offersOf(lines, TERMS).map((o) => [o.id, o.lines.length])).toEqual([
    ['minimum', 1],
    ['recommended', 2],
  ]);
  expect(offersOf([line({ group: 'not' })], TERMS)).toEqual([]);
  expect(offersOf([line({ group: 'wait' })], TERMS).map((o) => o.id)).toEqual(['all']);
});

test('what can hurt somebody and is left out is named', () => {
  const cord = line({ group: 'wait', safety: true });
  const offers = offersOf([line(), cord], TERMS);
  expect(offers.map((o) => o.unsafe)).toEqual([[cord.id], []]);
});

test('the least that is charged is made up by a line, before taxes', () => {
  const [minimum] = offersOf([line()], { ...TERMS, leastMinor: 2_000 });
  expect(minimum!.lines.at(-1)).toMatchObject({ label: LEAST_LABEL, eachMinor: 1_550, sort: 'fee' });
  expect(minimum!.bill).toMatchObject({ netMinor: 2_000, grossMinor: 2_400 });
});

test('more is never less: whatever the lines', () => {
  const any = fc.record({
    group: fc.constantFrom(...LINE_GROUPS),
    minutes: fc.option(fc.integer({ min: 0, max: 900 }).map((n) => n / 10)),
    thousandths: fc.integer({ min: 0, max: 9_000 }),
    eachMinor: fc.integer({ min: 0, max: 20_000 }),
  });
  fc.assert(
    fc.property(fc.array(any, { maxLength: 12 }), fc.integer({ min: 0, max: 9_000 }), (texts, leastMinor) => {
      const lines = texts.map((t) => line({ ...t, sort: t.minutes === null ? 'part' : 'labour' }));
      const offers = offersOf(lines, { ...TERMS, leastMinor });
      offers.forEach((offer, i) => {
        expect(offer.bill.netMinor).toBeGreaterThanOrEqual(leastMinor);
        if (i > 0) expect(offer.bill.grossMinor).toBeGreaterThanOrEqual(offers[i - 1]!.bill.grossMinor);
        const shown = offer.bill.lines.reduce((sum, l) => sum + l.grossMinor, 0);
        expect(shown).toBe(offer.bill.grossMinor);
      });
    }),
  );
});

test('a limit covers what it reaches, and no limit covers nothing', () => {
  expect(isWithin(6_000, 6_000)).toBe(true);
  expect(isWithin(6_000, 6_001)).toBe(false);
  expect(isWithin(null, 0)).toBe(false);
});
