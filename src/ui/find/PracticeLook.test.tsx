/** @jest-environment jsdom */
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import '../job/everyKind';
import { jobInFind } from '../job/job.fixture';
import { doingOf } from '../job/labels';
import { furnishBrowser } from '../testBench.fixture';
import { PracticeLook } from './PracticeLook';

const { facts } = jobInFind();

test('what would be seen is told in the words of the outcomes, and nothing is answered by it', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({
    seen: [
      { aspect: 'belt', outcome: 'belt-missing' },
      { aspect: 'hair', outcome: 'hair-none' },
    ],
  });
  render(<PracticeLook job={facts} doing={doingOf(facts.machine.kind, 'sole-plate-look')!} disabled={false} />);
  fireEvent.click(screen.getByRole('button', { name: 'Look' }));
  await waitFor(() => expect(screen.getByRole('status').textContent).toContain('missing or in pieces; Hair: none'));
  expect(sent.map((s) => [s.url.split('/').pop(), s.body])).toEqual([['look', { check: 'sole-plate-look' }]]);
});

test('a repair that was tried is run', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ seen: [{ aspect: 'run', outcome: 'gone' }] });
  render(<PracticeLook job={facts} doing={doingOf(facts.machine.kind, 'repair:belt-broken')!} disabled={false} />);
  fireEvent.click(screen.getByRole('button', { name: 'Run it' }));
  await waitFor(() => expect(screen.getByRole('status').textContent).toBe('You see: complaint gone.'));
});
