import { errorFunction } from 'simple-statistics';
import { kindById, knowledge } from '@/knowledge';
import { classifyReading, ImpossibleReadingError, normalCdf, referencesOf } from './classifyReading';
import { checksOf, type Aspect } from './knowledge';
import { OVER_RANGE_OHM } from '@/core/units/units';

const kind = kindById('upright-brush-motor');
const aspect = (check: string, id: string): Aspect =>
  checksOf(knowledge, kind.id)
    .find((c) => c.id === check)!
    .aspects.find((a) => a.id === id)!;

/** Share of each outcome when all were equally likely before. */
function shares(a: Aspect, value: number, mainsV = 120): Record<string, number> {
  const likelihood = classifyReading(a, value, referencesOf(kind, mainsV));
  const sum = likelihood.reduce((x, y) => x + y, 0);
  return Object.fromEntries(a.outcomes.map((o, k) => [o.id, likelihood[k]! / sum]));
}

describe('volts at the head', () => {
  const volts = aspect('head-socket-volts', 'roll-on');
  test('116 V on 120 V mains is a supply', () => expect(shares(volts, 116).supply).toBeGreaterThan(0.97));
  test('5 V is a ghost', () => expect(shares(volts, 5).ghost).toBeGreaterThan(0.97));
  test('0 V is none', () => expect(shares(volts, 0).none).toBeGreaterThan(0.9));
  test('60 V is a low supply', () => expect(shares(volts, 60).low).toBeGreaterThan(0.97));
  test('what 96 V is, is open: low or supply, nothing else', () => {
    const s = shares(volts, 96);
    expect(s.low! + s.supply!).toBeGreaterThan(0.99);
    expect(Math.min(s.low!, s.supply!)).toBeGreaterThan(0.01);
  });
  test('the same on 230 V mains, in proportion', () => {
    expect(shares(volts, 228, 230).supply).toBeGreaterThan(0.97);
    expect(shares(volts, 116, 230).low).toBeGreaterThan(0.97);
    expect(shares(volts, 96 * (230 / 120), 230).low).toBeCloseTo(shares(volts, 96).low!, 3);
  });
  test('400 V on 120 V mains cannot be, nor can what is not a number', () => {
    expect(() => shares(volts, 400)).toThrow(ImpossibleReadingError);
    expect(() => shares(volts, NaN)).toThrow(ImpossibleReadingError);
  });
});

describe('ohms', () => {
  const tilt = aspect('tilt-switch-ohms', 'leaned-back');
  test.each([
    [0.2, 'tilt-closed'],
    [150, 'tilt-poor'],
    [OVER_RANGE_OHM, 'tilt-open'],
  ])('%d Ω is %s', (ohm, outcome) => expect(shares(tilt, ohm)[outcome]).toBeGreaterThan(0.95));
});

test('every reading of every aspect gives one finite likelihood per outcome, the best being 1', () => {
  for (const k of knowledge.kinds)
    for (const check of checksOf(knowledge, k.id))
      for (const a of check.aspects) {
        if (!a.reading) continue;
        const references = referencesOf(k, 120);
        const unit = a.reading.relativeTo ? references[a.reading.relativeTo] : 1;
        for (let step = 0; step <= 20; step++) {
          const value = (a.reading.min + ((a.reading.max - a.reading.min) * step) / 20) * unit;
          const likelihood = classifyReading(a, value, references);
          expect(likelihood).toHaveLength(a.outcomes.length);
          for (const l of likelihood) expect(l).toBeGreaterThan(0);
          expect(Math.max(...likelihood)).toBeLessThanOrEqual(1);
        }
      }
});

// Reference: errorFunction of the simple-statistics package.
test('normal distribution function against a reference library', () => {
  for (let z = -4; z <= 4; z += 0.25) expect(normalCdf(z)).toBeCloseTo(0.5 * (1 + errorFunction(z / Math.SQRT2)), 6);
});
