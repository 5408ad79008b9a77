/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { JobState } from '@/data/jobState';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { StripWork } from './StripWork';
import { wayIn } from './wayIn';

let to: string | null = null;
jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(to ? { to } : {}) }));

const at = '2030-03-04T09:00:00+00:00';
const BELT_GONE = [{ check_id: 'sole-plate-look', outcome: 'belt-missing' }];
const pressed = (...steps: string[]): Partial<JobState> => ({
  stripped: steps.map((step) => ({ step, state: 'done' as const, at })),
});
const inStrip = (more: Partial<JobState> = {}) => {
  const { state } = jobInFind();
  return jobInFind(BELT_GONE, { ...more, job: { ...state.job, stage: 'strip', version: 2 } }).facts;
};

function Screen({
  job,
  onDone,
  onBack,
}: {
  job: ReturnType<typeof inStrip>;
  onDone?: () => void;
  onBack?: () => void;
}) {
  const desk = useJob(job, null);
  return <StripWork desk={desk} onDone={onDone ?? (() => {})} onBack={onBack ?? (() => {})} />;
}
const card = () => screen.getByRole('region', { name: 'Step on the bench' });
const shown = () => within(card()).getByRole('heading').textContent;
const settle = () => act(async () => {});
const key = async (name: string, code = name) => {
  fireEvent.keyDown(document.body, { key: name, code });
  await settle();
};

beforeEach(() => {
  to = null;
  window.localStorage.clear();
});

test('the step is there with how it lies, what drives it and into which cup; the next one stands below', async () => {
  furnishBrowser();
  to = 'head';
  stand(<Screen job={inStrip()} />);
  await settle();
  expect(shown()).toBe('Front wheels popped off');
  expect(card().textContent).toContain('upside down');
  // Safe first: it is said at every step, not only at the first.
  expect(screen.getByText(/Plug out first/)).toBeTruthy();
  expect(screen.queryByText(/Battery out first/)).toBeNull();
  expect(card().textContent).toMatch(/Into cup \d+2 wheels, at the front/);
  expect(screen.getByText('Then:').parentElement!.textContent).toMatch(/All screws but those of the axle out/);
});

test('Enter, Space and a foot switch go on, and the card is ahead of the line to the server', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => new Promise(() => {});
  stand(<Screen job={inStrip()} />);
  await settle();
  const first = shown();
  await key('Enter');
  const second = shown();
  await key('PageDown');
  expect(new Set([first, second, shown()]).size).toBe(3);
  await key(' ', 'Space');
  expect(screen.queryByRole('region', { name: 'Step on the bench' })).toBeNull();
  // One after the other: the second waits for the answer to the first.
  expect(sent.filter((s) => s.url.endsWith('/strip-step')).map((s) => (s.body as { step: string }).step)).toEqual([
    'roll-lift',
  ]);
});

test('a held key presses once, and Enter on a button is that button alone', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => new Promise(() => {});
  stand(<Screen job={inStrip()} />);
  await settle();
  const first = shown();
  fireEvent.keyDown(document.body, { key: 'Enter', code: 'Enter', repeat: true });
  await settle();
  expect(shown()).toBe(first);
  fireEvent.keyDown(screen.getByRole('button', { name: /^One is wrong|^Photograph/ }), { key: 'Enter', code: 'Enter' });
  await settle();
  expect(shown()).toBe(first);
  expect(sent.filter((s) => s.method === 'POST')).toHaveLength(0);
});

test('Backspace takes back the last that was pressed, never what a check opened', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => new Promise(() => {});
  const { unmount } = stand(<Screen job={inStrip()} />);
  await settle();
  await key('Backspace');
  expect(sent.filter((s) => s.method === 'POST')).toHaveLength(0);
  unmount();
  stand(<Screen job={inStrip(pressed('roll-lift', 'belt-off-sprocket'))} />);
  await settle();
  await key('Backspace');
  expect(sent.filter((s) => s.method === 'POST').map((s) => s.body)).toMatchObject([
    { step: 'belt-off-sprocket', state: 'undone' },
  ]);
});

test('what lies open is not mended while the owner has not agreed', async () => {
  furnishBrowser();
  const job = inStrip(pressed('roll-lift', 'belt-off-sprocket', 'caps-off'));
  for (const mayOpen of [true, false]) {
    const { unmount } = stand(<Screen job={{ ...job, agree: { ...job.agree, mayOpen } }} />);
    await settle();
    expect(screen.queryByText(/^Now mend it/) !== null).toBe(mayOpen);
    expect(screen.queryByText('It is mended when the owner has agreed.') !== null).toBe(!mayOpen);
    unmount();
  }
});

test('when nothing is ahead, Enter goes to Fit; when nothing was found yet, back to the look', async () => {
  furnishBrowser();
  const [done, back] = [jest.fn(), jest.fn()];
  const all = pressed('roll-lift', 'belt-off-sprocket', 'caps-off');
  const { unmount } = stand(<Screen job={inStrip(all)} onDone={done} onBack={back} />);
  await settle();
  expect(screen.getByText('What the repair needs lies open.')).toBeTruthy();
  await key('Enter');
  expect([done.mock.calls.length, back.mock.calls.length]).toEqual([1, 0]);
  unmount();
  const { state } = jobInFind();
  const looking = jobInFind([], {
    ...pressed('plate-locks', 'plate-lift', 'neck-hose-look'),
    job: { ...state.job, stage: 'strip' },
  });
  stand(<Screen job={looking.facts} onDone={done} onBack={back} />);
  await settle();
  await key('Enter');
  expect([done.mock.calls.length, back.mock.calls.length]).toEqual([1, 1]);
});

test('no more can be wrong than belong to the step, and the number stays as it was typed', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({
    status: 400,
    title: 'Some of it cannot be used as typed.',
    fields: [{ field: 'count', message: 'Only 2.' }],
  });
  to = 'head';
  stand(<Screen job={inStrip()} />);
  await settle();
  fireEvent.click(screen.getByRole('button', { name: /^One is wrong/ }));
  const form = screen.getByRole('region', { name: 'What is wrong with it' });
  fireEvent.change(within(form).getByLabelText('How many'), { target: { value: '3' } });
  fireEvent.click(within(form).getByRole('button', { name: 'Broken' }));
  expect(await within(form).findByText('From 1 to 2.')).toBeTruthy();
  expect(sent.some((s) => s.url.endsWith('/note-loss'))).toBe(false);
  fireEvent.change(within(form).getByLabelText('How many'), { target: { value: '2' } });
  fireEvent.click(within(form).getByRole('button', { name: 'Rusted: oil it and wait' }));
  // Refused by the server: told at the field, with what was typed.
  expect(await within(form).findByText('Only 2.')).toBeTruthy();
  expect(sent.find((s) => s.url.endsWith('/note-loss'))!.body).toMatchObject({
    what: 'rusted',
    count: 2,
    soakHours: 4,
  });
  expect(within(form).getByLabelText<HTMLInputElement>('How many').value).toBe('2');
});

test('the way to an access that nobody asked for is told from what is open now', () => {
  const job = inStrip();
  expect(wayIn(job, 'head').ahead.map((s) => s.id)).not.toContain('plate-lift');
  expect(wayIn(job, 'head').ahead.at(0)!.id).toBe('front-wheels');
  expect(wayIn(job, 'sole-plate').ahead).toEqual([]);
  expect(wayIn(job, 'outside').ahead).toEqual([]);
  expect(wayIn(job, 'no-such-access').ahead).toEqual([]);
});

test('Backspace right after a press takes back that press, although it is not saved yet', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => new Promise(() => {});
  stand(<Screen job={inStrip()} />);
  await settle();
  const first = shown();
  await key('Enter');
  expect(shown()).not.toBe(first);
  await key('Backspace');
  expect(shown()).toBe(first);
  await key('Enter');
  await key('Enter');
  await key('Backspace');
  expect(sent.filter((s) => s.url.endsWith('/strip-step'))).toHaveLength(1);
});

test('with nothing ahead, everything that is shut can be opened to look', async () => {
  furnishBrowser();
  const { state } = jobInFind();
  stand(<Screen job={jobInFind([], { job: { ...state.job, stage: 'strip' } }).facts} />);
  await settle();
  const links = within(screen.getByRole('navigation', { name: 'Open something else' })).getAllByRole('link');
  expect(links.map((l) => l.getAttribute('href'))).toContain('/jobs/12/strip?to=head');
});

test('Enter after the last step, before it is saved, goes on as soon as it is', async () => {
  const { answer } = furnishBrowser();
  let save!: (changes: unknown) => void;
  answer.with = (_method, url) =>
    url.endsWith('/strip-step') ? new Promise((done) => (save = done)) : { content: null, at: null };
  const done = jest.fn();
  stand(<Screen job={inStrip(pressed('roll-lift', 'belt-off-sprocket'))} onDone={done} />);
  await settle();
  await key('Enter');
  await key('Enter');
  expect(done).not.toHaveBeenCalled();
  const all = inStrip(pressed('roll-lift', 'belt-off-sprocket', 'caps-off'));
  await act(async () => save({ id: 12, version: 3, strip: all.strip }));
  await settle();
  expect(done).toHaveBeenCalledTimes(1);
});
