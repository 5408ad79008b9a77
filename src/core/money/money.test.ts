import { code as isoCurrency, codes } from 'currency-codes';
import Decimal from 'decimal.js';
import fc from 'fast-check';
import { billOf, LINE_SORTS, type BillLine, type Tax, type TaxRules } from './bill';
import { decimalOf, digitsOf, moneyText, MOST_MINOR, readMoney } from './currency';
import { chargedMinutes, labourMinor } from './labour';
import { divided, priceOf, shareOf } from './rounded';
import { splitBy } from './splitBy';

const total = (list: readonly number[]) => list.reduce((sum, n) => sum + n, 0);

describe('currency', () => {
  test('digits of every currency, against the list of the maintenance agency as package currency-codes has it', () => {
    // Gold, bonds and test codes have no smallest unit there.
    const inUse = codes().filter((c) => !c.startsWith('X') || ['XAF', 'XOF', 'XPF', 'XCD'].includes(c));
    expect(inUse.length).toBeGreaterThan(150);
    for (const c of inUse) expect([c, digitsOf(c)]).toEqual([c, isoCurrency(c)!.digits]);
  });

  test('written and read again it is the same, in any currency', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -MOST_MINOR, max: MOST_MINOR }),
        fc.constantFrom('EUR', 'JPY', 'KWD'),
        (minor, currency) => {
          expect(readMoney(decimalOf(minor, currency), currency)).toBe(minor === 0 ? 0 : minor);
          expect(decimalOf(minor, currency)).toBe(
            new Decimal(minor).div(new Decimal(10).pow(digitsOf(currency))).toFixed(digitsOf(currency)),
          );
        },
      ),
    );
  });

  test.each(['1,200', '1.200', '12.345', '0x10', '1e3', '--1', '12,3,4', '99999999999', 'ten', '٣'])(
    '%s euros is asked, never guessed',
    (typed) => expect(readMoney(typed, 'EUR')).toBeUndefined(),
  );

  test('words of the land, with the digits of the currency', () => {
    expect(moneyText(123456, 'EUR', 'de-DE').replace(/\s/g, ' ')).toBe('1.234,56 €');
    expect(moneyText(1500, 'JPY', 'en-US')).toBe('¥1,500');
    expect(moneyText(-5, 'USD', 'en-US')).toBe('-$0.05');
  });
});

describe('rounding', () => {
  // ISO 80000-1:2009, annex B, rules A and B: its examples (from memory).
  test.each([
    ['12.223', '0.1', '12.2', '12.2'],
    ['12.251', '0.1', '12.3', '12.3'],
    ['12.275', '0.1', '12.3', '12.3'],
    ['12.25', '0.1', '12.2', '12.3'],
    ['12.35', '0.1', '12.4', '12.4'],
    ['1222.3', '10', '1220', '1220'],
    ['1225.0', '10', '1220', '1230'],
    ['1235.0', '10', '1240', '1240'],
  ])('%s to %s: rule A %s, rule B %s', (number, range, even, up) => {
    const thousandths = BigInt(new Decimal(number).mul(1000).toFixed(0));
    const step = BigInt(new Decimal(range).mul(1000).toFixed(0));
    const shown = (n: bigint) => new Decimal(n.toString()).mul(range).toString();
    expect(shown(divided(thousandths, step, 'half-even'))).toBe(even);
    expect(shown(divided(thousandths, step, 'half-up'))).toBe(up);
  });

  test('against a decimal library', () => {
    fc.assert(
      fc.property(
        fc.bigInt({ min: -(10n ** 18n), max: 10n ** 18n }),
        fc.bigInt({ min: 1n, max: 10n ** 7n }),
        (n, by) => {
          const exact = new Decimal(n.toString()).div(by.toString());
          const of = (mode: Decimal.Rounding) => exact.toDecimalPlaces(0, mode).toFixed(0).replace('-0', '0');
          Decimal.set({ precision: 60 });
          expect(divided(n, by).toString()).toBe(of(Decimal.ROUND_HALF_EVEN));
          expect(divided(n, by, 'half-up').toString()).toBe(of(Decimal.ROUND_HALF_UP));
        },
      ),
      { numRuns: 2000 },
    );
    expect(() => divided(1n, 0n)).toThrow(RangeError);
  });
});

describe('splitting', () => {
  test('the largest remainders of the first census of the United States, 120 seats', () => {
    // The census of 1790 and Hamilton’s apportionment of 1792, as told in Balinski and Young, Fair Representation (from memory).
    const people = [
      630_560, 475_327, 432_879, 353_523, 331_589, 278_514, 236_841, 206_236, 179_570, 141_822, 85_533, 70_835, 68_705,
      68_446, 55_540,
    ];
    expect(total(people)).toBe(3_615_920);
    expect(splitBy(120, people)).toEqual([21, 16, 14, 12, 11, 9, 8, 7, 6, 5, 3, 2, 2, 2, 2]);
  });

  test('the pieces add up, each is its share rounded down or up, and none is of the other sign', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -1_000_000, max: 1_000_000 }),
        fc.array(fc.integer({ min: 0, max: 100_000 }), { minLength: 1, maxLength: 12 }),
        (minor, weights) => {
          const pieces = splitBy(minor, weights);
          expect(total(pieces)).toBe(minor);
          const all = total(weights);
          pieces.forEach((p, i) => {
            const share = all === 0 ? minor / weights.length : (minor * weights[i]!) / all;
            expect(Math.abs(p - share)).toBeLessThan(1);
            expect(p * minor).toBeGreaterThanOrEqual(0);
          });
        },
      ),
    );
  });

  test('nobody to share, or less than nothing to weigh', () => {
    expect(splitBy(0, [])).toEqual([]);
    expect(() => splitBy(1, [])).toThrow(RangeError);
    expect(() => splitBy(1, [2, -1])).toThrow(RangeError);
  });
});

const sort = fc.constantFrom(...LINE_SORTS);
const line: fc.Arbitrary<BillLine> = fc.record(
  {
    sort,
    thousandths: fc.integer({ min: 1, max: 20_000 }),
    eachMinor: fc.integer({ min: 0, max: 90_000 }),
    off100k: fc.integer({ min: 0, max: 100_000 }),
  },
  { requiredKeys: ['sort', 'thousandths', 'eachMinor'] },
);
const tax = (id: string): fc.Arbitrary<Tax> =>
  fc.record({
    id: fc.constant(id),
    label: fc.constant(id),
    per100k: fc.integer({ min: 0, max: 30_000 }),
    on: fc.uniqueArray(sort, { minLength: 1 }),
  });
const rules: fc.Arbitrary<TaxRules> = fc.record({
  taxes: fc.integer({ min: 0, max: 3 }).chain((n) => fc.tuple(...[...'abc'].slice(0, n).map(tax))),
  included: fc.boolean(),
  perLine: fc.boolean(),
  rounding: fc.constantFrom('half-even', 'half-up'),
});
const terms = fc.record({ off100k: fc.integer({ min: 0, max: 50_000 }), exempt: fc.boolean() });

describe('a bill adds up however it is split', () => {
  test('by line, by tax, by the whole', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 9 }), rules, terms, (lines, how, whole) => {
        const bill = billOf(lines, how, whole);
        expect(total(bill.lines.map((l) => l.netMinor))).toBe(bill.netMinor);
        expect(total(bill.lines.map((l) => l.grossMinor))).toBe(bill.grossMinor);
        expect(total(bill.lines.map((l) => l.offMinor))).toBe(bill.offMinor);
        expect(bill.netMinor + total(bill.taxes.map((t) => t.taxMinor))).toBe(bill.grossMinor);
        for (const t of bill.taxes) expect(total(bill.lines.map((l) => l.taxMinor[t.id] ?? 0))).toBe(t.taxMinor);
        for (const l of bill.lines) {
          expect(l.netMinor + total(Object.values(l.taxMinor))).toBe(l.grossMinor);
          expect(l.netMinor).toBeGreaterThanOrEqual(0);
          // What the customer was told is what he pays, where taxes are in the price.
          if (how.included && !whole.exempt) expect(l.grossMinor).toBe(l.toldMinor - l.offMinor);
          if (!how.included) expect(l.netMinor).toBe(l.toldMinor - l.offMinor);
        }
        if (whole.exempt) expect(bill.grossMinor).toBe(bill.netMinor);
      }),
      { numRuns: 1500 },
    );
  });

  test('each tax is its rate of its base, to half a unit once or to half a unit a line: against a decimal library', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 9 }), rules, (lines, how) => {
        const bill = billOf(lines, { ...how, included: false });
        const half = how.perLine ? 0.5 * lines.length : 0.5;
        for (const t of bill.taxes) {
          const exact = new Decimal(t.baseMinor).mul(t.per100k).div(100_000);
          expect(exact.sub(t.taxMinor).abs().toNumber()).toBeLessThanOrEqual(half);
        }
      }),
    );
  });

  const VAT: Tax = { id: 'vat', label: 'VAT', per100k: 20_000, on: LINE_SORTS };
  const three = [1, 2, 3].map((): BillLine => ({ sort: 'part', thousandths: 1000, eachMinor: 333 }));

  test('three thirds of a ten: rounded once, and line by line', () => {
    const once = billOf(three, { taxes: [VAT], included: false, perLine: false, rounding: 'half-even' });
    expect([once.netMinor, once.taxes[0]!.taxMinor, once.grossMinor]).toEqual([999, 200, 1199]);
    const each = billOf(three, { taxes: [VAT], included: false, perLine: true, rounding: 'half-even' });
    expect([each.netMinor, each.taxes[0]!.taxMinor, each.grossMinor]).toEqual([999, 201, 1200]);
  });

  test('two taxes at once, one of them on parts only, over a discount on the whole', () => {
    const how: TaxRules = {
      taxes: [
        { id: 'state', label: 'State', per100k: 6_250, on: ['part', 'material'] },
        { id: 'city', label: 'City', per100k: 2_625, on: LINE_SORTS },
      ],
      included: false,
      perLine: false,
      rounding: 'half-up',
    };
    const bill = billOf(
      [
        { sort: 'part', thousandths: 2000, eachMinor: 1_995 },
        { sort: 'labour', thousandths: 1000, eachMinor: 4_500 },
      ],
      how,
      { offMinor: 490 },
    );
    // By hand: 39.90 and 45.00 less 4.90 (2.30 and 2.60 by largest remainder): 37.60 and 42.40.
    expect(bill.lines.map((l) => l.netMinor)).toEqual([3_760, 4_240]);
    expect(bill.taxes.map((t) => [t.baseMinor, t.taxMinor])).toEqual([
      [3_760, 235],
      [8_000, 210],
    ]);
    expect(bill.grossMinor).toBe(8_445);
  });

  test('prices with the tax in them: the exempt pay what is left of them', () => {
    const how: TaxRules = { taxes: [VAT], included: true, perLine: false, rounding: 'half-even' };
    const lines: BillLine[] = [{ sort: 'labour', thousandths: 1000, eachMinor: 12_000 }];
    expect(billOf(lines, how)).toMatchObject({ netMinor: 10_000, grossMinor: 12_000 });
    expect(billOf(lines, how, { exempt: true })).toMatchObject({ netMinor: 10_000, grossMinor: 10_000, taxes: [] });
  });

  test('more off than there is to pay is refused', () => {
    const how: TaxRules = { taxes: [], included: false, perLine: false, rounding: 'half-even' };
    expect(() => billOf(three, how, { offMinor: 1_000 })).toThrow(RangeError);
    expect(() => billOf(three, how, { offMinor: -1 })).toThrow(RangeError);
    expect(() => billOf([{ ...three[0]!, eachMinor: -1 }], how)).toThrow(RangeError);
    expect(billOf([], how)).toMatchObject({ grossMinor: 0, lines: [] });
  });
});

describe('labour and quantities', () => {
  test.each([
    [0, 15, 0],
    [0.1, 15, 15],
    [30, 15, 30],
    [30.0000001, 15, 30],
    [31, 1, 31],
    [31.2, 1, 32],
  ])('%d minutes by steps of %d are charged as %d', (minutes, step, charged) =>
    expect(chargedMinutes(minutes, step)).toBe(charged),
  );
  test('an hour and a half at an odd rate, half-even', () => {
    expect(labourMinor(90, { hourMinor: 4_567, stepMinutes: 1, rounding: 'half-even' })).toBe(6_850);
    expect(labourMinor(90, { hourMinor: 4_567, stepMinutes: 1, rounding: 'half-up' })).toBe(6_851);
  });
  test('quantities and rates by thousandths', () => {
    expect(priceOf(2_500, 199)).toBe(498);
    expect(shareOf(10_000, 8_875)).toBe(888);
    expect(shareOf(10_000, 8_875, 'half-up')).toBe(888);
  });
});
