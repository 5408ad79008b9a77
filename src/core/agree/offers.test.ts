import fc from 'fast-check';
import { isWithin, LEAST_LABEL, LINE_GROUPS, offersOf, withoutUndone, type OfferLine, type OfferTerms } from './offers';

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

describe('what was agreed and not done', () => {
  const belt = line({ fault: 'belt-broken', eachMinor: 1_000 });
  const filter = line({ fault: 'filter-clogged', eachMinor: 2_000 });
  const way = work(15);

  test('is not paid; the rest stands at its price, discount and taxes reckoned anew', () => {
    const terms = { ...TERMS, off100k: 10_000, offMinor: 50 };
    const [offer] = offersOf([belt, filter, way], terms);
    // (10 + 20 + 15) less a tenth and 0.50, and a fifth of tax.
    expect(offer!.bill).toMatchObject({ offMinor: 500, netMinor: 4_000, grossMinor: 4_800 });
    const due = withoutUndone(offer!, [], [belt, filter, way], new Set(['filter-clogged']), terms);
    expect(due.lines.map((l) => [l.fault, l.eachMinor])).toEqual([
      ['belt-broken', 1_000],
      [null, 1_500],
    ]);
    expect(due.bill).toMatchObject({ offMinor: 300, netMinor: 2_200, grossMinor: 2_640 });
  });

  test('nor is the way to it alone, nor the way further in where all that lay there was left', () => {
    const later = { ...work(10), id: 'way-filter-clogged' };
    const further = { ...work(20, 'now'), id: 'way-now' };
    const brushes = line({ group: 'now', fault: 'carbon-brushes-worn' });
    const all = [belt, way, later, further, brushes];
    const offer = offersOf(all, TERMS).at(-1)!;
    const left = (...undone: string[]) =>
      withoutUndone(offer, [], all, new Set(undone), TERMS).lines.map((l) => l.line);
    expect(left('filter-clogged')).toEqual([belt, way, further, brushes].map((l) => l.id));
    expect(left('carbon-brushes-worn')).toEqual([belt, way, later].map((l) => l.id));
  });

  test('an amount off the whole takes what is left to nought and no further', () => {
    const terms = { ...TERMS, off100k: 50_000, offMinor: 1_200 };
    const [offer] = offersOf([belt, filter], terms);
    expect(offer!.bill.netMinor).toBe(300);
    expect(withoutUndone(offer!, [], [belt, filter, way], new Set(['filter-clogged']), terms).bill.grossMinor).toBe(0);
  });

  test('whatever is left out, nothing costs more than was agreed, and what is all done costs as much', () => {
    const faults = ['a', 'b', 'c', null];
    const lines = fc.array(
      fc
        .record({ fault: fc.constantFrom(...faults), eachMinor: fc.integer({ min: 0, max: 90_000 }) })
        .map((l) => line(l)),
      { minLength: 1, maxLength: 8 },
    );
    fc.assert(
      fc.property(lines, fc.subarray(['a', 'b', 'c']), fc.integer({ min: 0, max: 60_000 }), (own, undone, off100k) => {
        const terms = { ...TERMS, off100k };
        const [offer] = offersOf(own, terms);
        const due = withoutUndone(offer!, [], own, new Set(undone), terms);
        expect(due.bill.grossMinor).toBeLessThanOrEqual(offer!.bill.grossMinor);
        expect(due.lines).toEqual(offer!.lines.filter((l) => !undone.includes(l.fault ?? '')));
        if (undone.length === 0) expect(due.bill).toEqual(offer!.bill);
      }),
    );
  });

  test('costs no more than a smaller offer that held all that was done', () => {
    // 20 and 11 minutes are three begun quarters of which the first has 29.03; by itself it was offered at two.
    const own = [work(20), { ...work(11, 'wait'), fault: 'filter-clogged' }];
    const offers = offersOf(own, TERMS);
    const due = withoutUndone(offers[1]!, offers, own, new Set(['filter-clogged']), TERMS);
    expect(due).toMatchObject({ id: 'all', bill: { netMinor: 2_903 } });
    const begun = [work(15), { ...work(1, 'wait'), fault: 'filter-clogged' }];
    const more = offersOf(begun, TERMS);
    // A quarter was offered; of two begun quarters for 16 minutes its share would be 28.13.
    expect(withoutUndone(more[1]!, [], begun, new Set(['filter-clogged']), TERMS).bill.netMinor).toBe(2_813);
    const least = withoutUndone(more[1]!, more, begun, new Set(['filter-clogged']), TERMS);
    expect(least).toMatchObject({ id: 'all', bill: { netMinor: 1_500 } });
    expect(least.lines.map((l) => l.eachMinor)).toEqual([1_500]);
  });

  test('whatever is offered, taken and left, no offer that held all that was done was cheaper', () => {
    const lines = fc.array(
      fc
        .record({
          fault: fc.constantFrom('a', 'b', 'c', null),
          group: fc.constantFrom(...LINE_GROUPS),
          minutes: fc.option(fc.integer({ min: 1, max: 90 })),
          eachMinor: fc.integer({ min: 0, max: 9_000 }),
        })
        .map((l) => line({ ...l, sort: l.minutes === null ? 'part' : 'labour' })),
      { minLength: 1, maxLength: 8 },
    );
    const terms = fc.record({ off100k: fc.integer({ min: 0, max: 60_000 }), leastMinor: fc.constantFrom(0, 5_000) });
    fc.assert(
      fc.property(lines, fc.subarray(['a', 'b', 'c']), terms, (own, undone, more) => {
        const all = { ...TERMS, ...more };
        const offers = offersOf(own, all);
        for (const taken of offers) {
          const due = withoutUndone(taken, offers, own, new Set(undone), all);
          const done = due.lines.flatMap((l) => l.line ?? []);
          for (const other of offers)
            if (done.every((d) => other.lines.some((l) => l.line === d)))
              expect(due.bill.grossMinor).toBeLessThanOrEqual(other.bill.grossMinor);
        }
      }),
    );
  });
});
