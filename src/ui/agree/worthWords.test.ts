import type { Worth } from '@/core/money/worth';
import '../job/everyKind';
import { worthWords } from './worthWords';

const worth = (id: string, perYearMinor: number): Worth => ({
  id,
  label: { minimum: 'The least we stand behind', used: 'Another used one' }[id] ?? id,
  priceMinor: 0,
  perYearMinor,
  errorMinor: 10,
  years: { mean: 1.5, low: 0.4, high: 3.2 },
  course: [],
});
const money = (minor: number) => (minor / 100).toFixed(2);
const none = { doubtFault: null, doubtMonths: null };
const say = (list: Worth[], turnsAtYears: number | null = null, doubt: Parameters<typeof worthWords>[1] = none) =>
  worthWords({ worth: list, turnsAtYears }, doubt, money);

test('who costs less is said with by how much; what is nearly alike is not decided', () => {
  expect(say([worth('minimum', 3000), worth('used', 5000)])[0]).toMatch(/^Repair pays: .* 20\.00 a year less/);
  expect(say([worth('minimum', 5000), worth('used', 3000)])[0]).toMatch(
    /^Repair hardly pays: another used one costs 20\.00/,
  );
  expect(say([worth('minimum', 5000), worth('used', 5100)])[0]).toMatch(/about the same/);
});

test('nothing to weigh against is weighed against nothing', () => {
  expect(say([worth('minimum', 3000)])).toEqual([
    'The least we stand behind: 30.00 a year, for 18 months; eight in ten last 5 months to 3 years.',
  ]);
});

test('what it turns on is said beside what is believed', () => {
  const lines = say([worth('minimum', 3000), worth('used', 5000)], 14 / 12, {
    doubtFault: 'suction-motor-worn',
    doubtMonths: 9,
  });
  expect(lines[1]).toMatch(/lasts 14 months; 9 months are believed\.$/);
});
