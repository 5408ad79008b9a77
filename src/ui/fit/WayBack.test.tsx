/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { JobState } from '@/data/jobState';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { WayBack } from './WayBack';

const at = '2030-03-04T09:00:00+00:00';
const OPENED: Partial<JobState> = {
  stripped: ['roll-lift', 'belt-off-sprocket', 'caps-off'].map((step) => ({ step, state: 'done' as const, at })),
  photographs: [
    { id: 9, at, caption: 'Roll out, end caps with it', shows: '', width: 4, height: 3, person: 'Jory Marsk' },
  ],
};
const jobWith = (more: Partial<JobState> = {}) =>
  jobInFind([{ check_id: 'sole-plate-look', outcome: 'belt-missing' }], { ...OPENED, ...more }).facts;

function Screen({ job }: { job: ReturnType<typeof jobWith> }) {
  return <WayBack desk={useJob(job, null)} />;
}
const now = () => screen.getByRole('region', { name: 'Now' });
const settle = () => act(async () => {});

test('one line at a time: the repair first, then from which cup, with the picture of the way in beside it', () => {
  furnishBrowser();
  const { unmount } = stand(<Screen job={jobWith()} />);
  expect(now().textContent).toMatch(/^Old belt against the new/);
  expect(now().textContent).toContain('For: Belt broken');
  unmount();
  const ticks = jobWith()
    .rebuild.filter((l) => l.sort === 'repair')
    .map((l) => l.id);
  const first = stand(<Screen job={jobWith({ ticks })} />);
  expect(now().textContent).toContain('Hair off roll and caps');
  first.unmount();
  const second = stand(<Screen job={jobWith({ ticks: [...ticks, 'roll-clean'] })} />);
  expect(now().textContent).toContain('Caps on, each on its own end');
  expect(now().textContent).toMatch(/From cup \d: 2 caps, on the ends of the roll/);
  second.unmount();
  const before = jobWith().rebuild.slice(
    0,
    jobWith().rebuild.findIndex((l) => l.id === 'close.roll-lift'),
  );
  stand(<Screen job={jobWith({ ticks: before.map((l) => l.id) })} />);
  expect(within(now()).getByAltText('As it was: Roll out, end caps with it')).toBeTruthy();
});

test('Enter goes on and Backspace takes the last back; every line can be ticked by itself', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => new Promise(() => {});
  stand(<Screen job={jobWith({ ticks: ['work.belt-broken.1'] })} />);
  const lines = screen.getAllByRole('checkbox');
  expect(lines[0]!.getAttribute('aria-checked')).toBe('true');
  fireEvent.keyDown(document.body, { key: 'Enter', code: 'Enter' });
  await settle();
  expect(lines[1]!.getAttribute('aria-checked')).toBe('true');
  fireEvent.click(lines.at(-1)!);
  await settle();
  expect(lines.at(-1)!.getAttribute('aria-checked')).toBe('true');
  expect(sent.filter((s) => s.url.endsWith('/tick-rebuild')).map((s) => s.body)).toMatchObject([
    { step: 'work.belt-broken.2', done: true },
  ]);
});

test('a job that is closed shows what was done, and nothing can be pressed', () => {
  furnishBrowser();
  const { state } = jobInFind();
  stand(<Screen job={jobWith({ job: { ...state.job, stage: 'closed', closed_at: at } })} />);
  expect(screen.queryByRole('region', { name: 'Now' })).toBeNull();
  for (const line of screen.getAllByRole<HTMLButtonElement>('checkbox')) expect(line.disabled).toBe(true);
});

test('a trial waits: while power is held back, and while something dries; neither a press nor Enter runs it', async () => {
  const stripped = ['front-wheels', 'head-screws'].map((step) => ({ step, state: 'done' as const, at }));
  const { state } = jobInFind();
  const upToTrial = (more: Partial<JobState>) => {
    const { rebuild } = jobWith({ ...more, stripped });
    const trial = rebuild.findIndex((l) => l.sort === 'trial');
    expect(trial).toBeGreaterThan(0);
    return jobWith({ ...more, stripped, ticks: rebuild.slice(0, trial).map((l) => l.id) });
  };
  const drying = { id: 1, kind: 'drying' as const, what: 'washed filter', started_at: at, ends_at: at, ended_at: null };
  const cases: [Partial<JobState>, RegExp][] = [
    [{ job: { ...state.job, ever_wet: 'yes' } }, /Not run before it is made safe: has been wet/],
    [{ waits: [drying] }, /Not run yet: washed filter is still waiting/],
  ];
  for (const [more, says] of cases) {
    const { sent } = furnishBrowser();
    const { unmount } = stand(<Screen job={upToTrial(more)} />);
    expect(now().textContent).toMatch(says);
    expect(within(now()).getByRole<HTMLButtonElement>('button', { name: /Done/ }).disabled).toBe(true);
    fireEvent.keyDown(document.body, { key: 'Enter', code: 'Enter' });
    await settle();
    expect(sent.filter((s) => s.url.endsWith('/tick-rebuild'))).toEqual([]);
    unmount();
  }
  // Dry and safe it goes on.
  const { sent } = furnishBrowser();
  stand(<Screen job={upToTrial({ waits: [{ ...drying, ended_at: at }] })} />);
  fireEvent.keyDown(document.body, { key: 'Enter', code: 'Enter' });
  await settle();
  expect(sent.filter((s) => s.url.endsWith('/tick-rebuild'))).toHaveLength(1);
});
