import { jobInFind } from '../job/job.fixture';
import { whatMatters } from './whatMatters';

const answer = (check: string, outcome: string) => ({ check_id: check, outcome_id: outcome });

test('one line for a phone: the two likeliest, until something is proved', () => {
  const { facts, odds } = jobInFind();
  const [first, second] = whatMatters(facts, odds.assessment, []).split(', ');
  expect(first).toMatch(/^\d+ % [a-z]/);
  expect(second).toMatch(/^\d+ % [a-z]/);
  expect(parseInt(first!, 10)).toBeGreaterThanOrEqual(parseInt(second!, 10));
});

test('what lies open is told with it, and what is proved before what is only likely', () => {
  const { facts, odds } = jobInFind([answer('plate-off-look', 'belt-broken')]);
  const proved = { ...facts, proved: ['belt-broken'] };
  expect(whatMatters(proved, odds.assessment, ['sole plate'])).toBe('Proved: Belt broken; open: sole plate');
});

test('before anything is known it says what it is', () => {
  expect(whatMatters(jobInFind().facts, null, [])).toBe('The line board of this machine');
});
