/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { jobInFind } from '../job/job.fixture';
import { faultLabel } from '../job/labels';
import { furnishBrowser, stand } from '../testBench.fixture';
import { FaultList } from './FaultList';

beforeEach(() => furnishBrowser());

const list = ({ facts, odds } = jobInFind(), station: string | null = null) => {
  const onStation = jest.fn();
  stand(<FaultList job={facts} odds={odds.assessment} fresh station={station} onStation={onStation} />);
  return onStation;
};
const dayBefore = '2029-12-04T09:00:00+00:00';
const belt = (before: string | null) => ({
  station: 'toothed-belt',
  group: 'belt',
  at: '2030-03-04T10:00:00+00:00',
  before,
});

test('what this shop made new lately is named beside the odds that it moved; what went in today is not', () => {
  const fresh = jobInFind([], { partAges: [belt(dayBefore)] });
  list(fresh);
  expect(screen.getByText(/weighed as new: toothed belt\./)).toBeTruthy();
  const odds = (found: ReturnType<typeof jobInFind>) =>
    found.odds.assessment.faults.find((f) => f.id === 'belt-teeth-worn')!.prior;
  expect(odds(fresh)).toBeLessThan(0.5 * odds(jobInFind()));

  // What cannot have to do with the complaint is not named, however new it is.
  document.body.innerHTML = '';
  const filter = { ...belt(dayBefore), station: 'pre-foam', group: 'filter' };
  const both = jobInFind([], { partAges: [belt(dayBefore), filter] });
  expect(both.facts.madeNew).toContain('pre-filter-disintegrated');
  list(both);
  expect(screen.getByText(/weighed as new: toothed belt\./)).toBeTruthy();

  document.body.innerHTML = '';
  list(jobInFind([], { partAges: [belt(null)] }));
  expect(screen.queryByText(/weighed as new/)).toBeNull();
});

test('of a machine that was opened lately, here or elsewhere, it is said what weighs more', () => {
  const prior = (found: ReturnType<typeof jobInFind>, fault: string) =>
    found.odds.assessment.faults.find((f) => f.id === fault)!.prior;
  const never = jobInFind();
  list(never);
  expect(screen.queryByText(/opened lately/)).toBeNull();
  document.body.innerHTML = '';
  const here = jobInFind([], { partAges: [belt('2030-02-04T09:00:00+00:00')] });
  list(here);
  expect(screen.getByText(/opened lately: what goes wrong when a machine is put together weighs more/)).toBeTruthy();
  expect(prior(here, 'handle-not-home')).toBeGreaterThan(2 * prior(never, 'handle-not-home'));
});

test('suspects stand by their odds, and why opens what speaks for and against', () => {
  const found = jobInFind([{ check_id: 'finger-turn', outcome: 'free-no-drag' }]);
  list(found);
  const shown = [...document.querySelectorAll('li')].map((li) => Number(/(\d+) %/.exec(li.textContent!)?.[1]));
  expect(shown.length).toBeGreaterThan(2);
  expect(shown).toEqual([...shown].sort((a, b) => b - a));
  fireEvent.click(screen.getAllByRole('button', { name: /why/i })[0]!);
  expect(document.body.textContent).toMatch(/no resistance at all/);
});

test('what is proved does not push out what is still open, and is not said again in every explanation', () => {
  const found = jobInFind();
  list(found);
  expect(screen.getByText(/^Best explanations:/)).toBeTruthy();
  const names = () => [...document.querySelectorAll('li')].map((li) => li.textContent!);
  const before = names();
  expect(before).toHaveLength(7);

  // The last of a long list are proved.
  document.body.innerHTML = '';
  const suspects = found.odds.assessment.faults.filter((f) => f.suspect);
  const proved = suspects.slice(-6).map((f) => f.id);
  const faults = found.odds.assessment.faults
    .map((f) => (proved.includes(f.id) ? { ...f, proved: true, probability: 1 } : f))
    .sort((a, b) => b.probability - a.probability);
  const explanations = [
    { faults: [...proved, suspects[0]!.id], probability: 0.4 },
    { faults: proved, probability: 0.3 },
  ];
  list({
    ...found,
    facts: { ...found.facts, proved },
    odds: { ...found.odds, assessment: { ...found.odds.assessment, faults, explanations } },
  });
  expect(names()).toHaveLength(7);
  expect(names().filter((n) => n.includes('proved'))).toHaveLength(3);
  expect(names().slice(3)).toEqual(before.slice(0, 4));
  expect(screen.getByText(/^Besides what is proved:/).textContent).toBe(
    `Besides what is proved: ${faultLabel(suspects[0]!.id).toLowerCase()} 40 %; nothing more 30 %`,
  );
});
