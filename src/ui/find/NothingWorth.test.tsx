/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { jobInFind } from '../job/job.fixture';
import { NothingWorth } from './NothingWorth';

const { facts, odds } = jobInFind();
const of = (probability: number) => ({
  ...odds.assessment,
  faults: odds.assessment.faults.map((f) =>
    f.id === 'tilt-switch-failed' ? { ...f, probability, suspect: true } : { ...f, probability: 0.01 },
  ),
});
const said = () => document.body.textContent!;

test('the likeliest repair is one press away', () => {
  const onPick = jest.fn();
  const faults = [...of(0.3).faults].sort((a, b) => b.probability - a.probability);
  render(<NothingWorth job={facts} odds={{ ...of(0.3), faults }} held="" onPick={onPick} />);
  expect(said()).toContain('Likeliest is “Tilt switch failed”, 30 %');
  fireEvent.click(screen.getByRole('button'));
  expect(onPick).toHaveBeenCalledWith('repair:tilt-switch-failed');
});

test('with nothing likely it says what else can be done', () => {
  render(<NothingWorth job={facts} odds={of(0.01)} held="" onPick={() => {}} />);
  expect(said()).toContain('run it that long');
  expect(said()).toContain('strike the complaint');
  expect(screen.queryByRole('button')).toBeNull();
});

test('while power is held back nothing is to be run', () => {
  render(<NothingWorth job={facts} odds={of(0.3)} held="signs of water" onPick={() => {}} />);
  expect(said()).toContain('Make it safe first: signs of water');
  expect(said()).not.toContain('run it');
});
