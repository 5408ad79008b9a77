import { seededRandom } from '../diagnosis/seededRandom';
import { gaugeById } from './catalogue';
import { reckon } from './reckon';
import type { RawValues } from './fields';

/** Seeded Monte Carlo of every figure with a ±: what is stated as 95 % holds in 90 to 98 of 100 readings of the same thing. */
const RUNS = 600;
const around = { mainsV: 230, today: '2026-12-01' };

const random = seededRandom(41);
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

function figure(gauge: string, raw: RawValues, label: string) {
  const { answer, problems } = reckon(gaugeById(gauge)!, raw, around);
  if (!answer) throw new Error(JSON.stringify(problems));
  const found = answer.figures.find((f) => f.label === label);
  if (!found || found.value === null || found.plusMinus === undefined) throw new Error(`${label} is not there`);
  return { value: found.value, sigma: found.plusMinus };
}

/** @returns how often the truth lies within what is stated of it */
function coverage(truth: number, read: () => { value: number; sigma: number }): number {
  let inside = 0;
  for (let i = 0; i < RUNS; i++) {
    const { value, sigma } = read();
    if (Math.abs(value - truth) <= 1.96 * sigma) inside++;
  }
  return inside / RUNS;
}

const holds = (share: number) => {
  expect(share).toBeGreaterThanOrEqual(0.9);
  expect(share).toBeLessThanOrEqual(0.98);
};

test('belt: how much longer than new', () => {
  const raw = gaugeById('belt')!.example;
  const read = () =>
    figure(
      'belt',
      { ...raw, newLength: `${355 + normal()} mm`, wornLength: `${364 + normal()} mm` },
      'Longer than new',
    );
  holds(coverage(100 * (364 / 355 - 1), read));
});

test.each(['open', 'crossed'])('belt: the free length wanted, %s', (run) => {
  const raw = { ...gaugeById('belt')!.example, run, newLength: '', wornLength: '' };
  const label = 'Free length wanted';
  const truth = figure('belt', raw, label).value;
  const read = () =>
    figure(
      'belt',
      {
        ...raw,
        centre: `${150 + normal()} mm`,
        drive: `${12 + 0.1 * normal()} mm`,
        driven: `${40 + 0.1 * normal()} mm`,
      },
      label,
    );
  holds(coverage(truth, read));
});

test('belt: the pitch of its teeth', () => {
  const raw = {
    ...gaugeById('belt')!.example,
    sort: 'toothed',
    profile: 'any',
    spanTeeth: '10',
    driveTeeth: '12',
    drivenTeeth: '30',
  };
  const read = () =>
    figure('belt', { ...raw, caliper: '0.05 mm', span: `${50.8 + 0.05 * normal()} mm` }, 'Measured pitch');
  holds(coverage(5.08, read));
});

test.each([8, 12])('roll: wear by %d readings', (n) => {
  const raw = gaugeById('roll')!.example;
  const day = (i: number) => new Date(Date.UTC(2026, 0, 1 + 20 * i)).toISOString().slice(0, 10);
  const read = () =>
    figure(
      'roll',
      {
        ...raw,
        readings: Array.from(
          { length: n },
          (_, i) => `${day(i)} ${(9.5 - 0.008 * 20 * i + 0.15 * normal()).toFixed(4)} mm`,
        ).join('\n'),
      },
      'Wear in 100 days',
    );
  holds(coverage(0.8, read));
});

test('winding: what a twin leads to expect', () => {
  const raw: RawValues = { ...gaugeById('winding')!.example, asks: 'winding', toFrame: '', meter: '1' };
  const { sigma, value } = figure('winding', raw, 'Expected');
  // Twins differ, and the meter errs once on each of the two.
  const part = sigma / value;
  expect(part).toBeGreaterThan(0.01 * Math.SQRT2);
  const ohm = Number(/[\d.]+/.exec(raw.twinOhm as string)![0]);
  const differ = Math.sqrt(part ** 2 - 2 * 0.01 ** 2);
  let inside = 0;
  for (let i = 0; i < RUNS; i++) {
    const read = figure('winding', { ...raw, twinOhm: `${ohm * (1 + 0.01 * normal())} ohm` }, 'Expected');
    const own = value * (1 + differ * normal()) * (1 + 0.01 * normal());
    if (Math.abs(own - read.value) <= 1.96 * read.sigma) inside++;
  }
  holds(inside / RUNS);
});
