/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { JobState } from '@/data/jobState';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { Losses } from './Losses';
import { Remember } from './Remember';

const LOOKED = [{ check_id: 'sole-plate-look', outcome: 'belt-missing' }];
const lossOf = (what: JobState['losses'][number]['what'], settled: JobState['losses'][number]['settled'] = '') => ({
  id: 1,
  step: 'plate-locks',
  what,
  count: 1,
  settled,
});
const jobWith = (more: Partial<JobState> = {}) => jobInFind(LOOKED, more).facts;

function Shown({ job, atTheEnd = false }: { job: ReturnType<typeof jobWith>; atTheEnd?: boolean }) {
  return <Losses desk={useJob(job, null)} atTheEnd={atTheEnd} />;
}
function Step({ job, id }: { job: ReturnType<typeof jobWith>; id: string }) {
  const desk = useJob(job, null);
  return <Remember desk={desk} step={desk.job.strip.done.find((s) => s.id === id)!} />;
}
const settle = () => act(async () => {});
const names = () => screen.getAllByRole('button').map((b) => b.textContent);

test.each<[JobState['losses'][number]['what'], string[]]>([
  ['missing', ['Replaced', 'Left so, owner told']],
  ['rusted', ['It came free', 'Replaced']],
  ['over', ['Found where it belongs', 'Left so, owner told']],
])('what is %s ends in its own ways', (what, ends) => {
  furnishBrowser();
  stand(<Shown job={jobWith({ losses: [lossOf(what)] })} />);
  expect(names()).toEqual(ends);
});

test('what is settled says how, and asks nothing more; with nothing lost there is nothing to see', () => {
  furnishBrowser();
  const { unmount } = stand(<Shown job={jobWith({ losses: [lossOf('missing', 'told')] })} />);
  expect(screen.getByText(/left so, the owner is told/)).toBeTruthy();
  expect(screen.queryAllByRole('button')).toEqual([]);
  unmount();
  stand(<Shown job={jobWith()} />);
  expect(screen.queryByRole('region')).toBeNull();
});

test('at the end a piece that is left over is told; before anything was opened there can be none', async () => {
  const { sent } = furnishBrowser();
  const { unmount } = stand(<Shown job={jobInFind().facts} atTheEnd />);
  expect(screen.queryAllByRole('button')).toEqual([]);
  unmount();
  stand(<Shown job={jobWith()} atTheEnd />);
  fireEvent.click(screen.getByRole('button', { name: 'A piece is left over' }));
  await settle();
  expect(sent.find((s) => s.url.endsWith('/note-loss'))!.body).toMatchObject({ what: 'over', count: 1 });
});

test('a model is remembered by what differs only: no empty note, no number that is the same', async () => {
  const { sent } = furnishBrowser();
  stand(<Step job={jobWith()} id="plate-locks" />);
  const press = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name, hidden: true });
  expect([press('Remember it').disabled, press('Remember the screws').disabled]).toEqual([true, true]);
  const count = screen.getByLabelText(/^(?!Length).*coin slot/);
  fireEvent.change(count, { target: { value: 'four' } });
  expect(press('Remember the screws').disabled).toBe(true);
  fireEvent.change(count, { target: { value: '4' } });
  fireEvent.click(press('Remember the screws'));
  await settle();
  expect(sent.find((s) => s.url.endsWith('/remember-step'))!.body).toMatchObject({
    step: 'plate-locks',
    sort: 'count',
    counts: [4],
  });
});

test('a step more, another place and a photograph are remembered for the model from the step at hand', async () => {
  const { sent } = furnishBrowser();
  const at = '2030-03-04T09:00:00+00:00';
  const seen = { id: 41, at, caption: 'two lengths', shows: 'step:plate-locks', width: 4, height: 3, person: null };
  stand(<Step job={jobWith({ photographs: [seen] })} id="plate-locks" />);
  const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name, hidden: true });
  const last = () => sent.findLast((s) => s.url.endsWith('/remember-step'))!.body as Record<string, unknown>;
  fireEvent.click(button('Show the photograph at every one'));
  await settle();
  expect(last()).toMatchObject({ step: 'plate-locks', sort: 'photograph', photograph: 41 });
  const added = () => sent.filter((s) => (s.body as { sort?: string } | undefined)?.sort === 'add');
  fireEvent.click(button('Remember the step'));
  expect(await screen.findByText('What is done: 3 to 200 characters.')).toBeTruthy();
  const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
  type('A step more after it', 'Badge pried off');
  type('On the way back', 'Badge on');
  type('Minutes', '0');
  fireEvent.click(button('Remember the step'));
  expect(await screen.findByText('More than nought, 240 at most.')).toBeTruthy();
  expect(added()).toEqual([]);
  type('Minutes', '0,5');
  fireEvent.click(button('Remember the step'));
  await waitFor(() => expect(added()).toHaveLength(1));
  expect(last()).toMatchObject({ sort: 'add', label: 'Badge pried off', back: 'Badge on', minutes: 0.5 });
});
