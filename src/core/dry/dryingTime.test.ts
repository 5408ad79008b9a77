import { seededRandom } from '../diagnosis/seededRandom';
import fc from 'fast-check';
import { dryingTime } from './dryingTime';

const curve = (dry: number, water: number, tau: number, hours: number[]) =>
  hours.map((h) => ({ hours: h, grams: dry + water * Math.exp(-h / tau) }));

test('finds the exponential again from exact weighings', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 500, noNaN: true }),
      fc.double({ min: 10, max: 300, noNaN: true }),
      fc.double({ min: 1, max: 12, noNaN: true }),
      (dry, water, tau) => {
        const found = dryingTime(curve(dry, water, tau, [0, 1, 2, 3, 5]), 1, 0.01)!;
        expect(found.tauHours / tau).toBeCloseTo(1, 3);
        expect(found.dryG / dry).toBeCloseTo(1, 2);
        expect(found.untilHours / (tau * Math.log(water))).toBeCloseTo(1, 2);
      },
    ),
    { seed: 6, numRuns: 50 },
  );
});

test('with the dry weight known two weighings do', () => {
  const found = dryingTime(curve(120, 60, 3, [0, 1.5]), 1.2, 0.01, 120)!;
  expect(found.tauHours).toBeCloseTo(3, 4);
  expect(found.untilHours).toBeCloseTo(3 * Math.log(50), 3);
});

test('what does not get lighter is not dried', () => {
  expect(
    dryingTime(
      [
        { hours: 0, grams: 100 },
        { hours: 1, grams: 104 },
        { hours: 2, grams: 108 },
      ],
      1,
      0.5,
    ),
  ).toBeNull();
});

test.each([
  { sort: 'dry weight known', known: true, hours: [0, 1, 2, 3], scale: 0.5 },
  { sort: 'dry weight fitted', known: false, hours: [0, 1, 2, 3, 4.5, 6], scale: 0.3 },
])('the interval holds in about 95 of 100 parts: $sort', ({ known, hours, scale }) => {
  const random = seededRandom(13);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let inside = 0;
  const runs = 150;
  for (let i = 0; i < runs; i++) {
    const [dry, water, tau] = [150, 40 + 40 * random(), 1.5 + 2 * random()];
    const weighed = curve(dry, water, tau, hours).map((w) => ({ ...w, grams: w.grams + scale * normal() }));
    const { between } = dryingTime(weighed, 1.5, scale, known ? dry : undefined)!;
    const truth = tau * Math.log(water / 1.5);
    if (truth >= between[0] && truth <= between[1]) inside++;
  }
  expect(inside / runs).toBeGreaterThanOrEqual(0.9);
  expect(inside / runs).toBeLessThanOrEqual(0.99);
});

test('few weighings say less: the interval of three is far wider than that of six', () => {
  const width = (hours: number[]) => {
    const { between } = dryingTime(curve(150, 60, 3, hours), 1.5, 0.3)!;
    return between[1] - between[0];
  };
  expect(width([0, 1, 2])).toBeGreaterThan(5 * width([0, 1, 2, 3, 4.5, 6]));
});
