/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { JobState } from '@/data/jobState';
import type { PlanRow } from '@/data/plans';
import type { JobFacts } from '@/shop/jobView/dto';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { dayField, furnishBrowser, stand } from '../testBench.fixture';
import { VisitWork } from './VisitWork';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }) }));

const plan = (item: string, more: Partial<PlanRow> = {}): PlanRow => ({
  item,
  last_done_on: '2019-12-01',
  due_on: '2020-01-01',
  due_early: '2020-01-01',
  due_late: '2020-01-01',
  due_by: 'days',
  times: 0,
  times_on: null,
  look_again_on: null,
  wear_on: null,
  by_its_people: false,
  ...more,
});
/** A visit of a walk-behind scrubber. */
const visit = (more: Partial<JobState> = {}): JobFacts => {
  const { state } = jobInFind();
  return jobInFind([], {
    complaints: [],
    job: { ...state.job, visit: 'service' },
    model: { ...state.model, kind: 'scrubber-walk-behind', mains_v: 24 },
    ...more,
  }).facts;
};
const done: string[] = [];
function Screen({ job }: { job: JobFacts }) {
  const desk = useJob(job, null);
  return <VisitWork desk={desk} onDone={() => done.push('on')} />;
}
const settle = () => act(async () => {});
async function show(job: JobFacts, posted: unknown = { id: job.id, version: 2 }) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? posted : { content: null, at: null });
  stand(<Screen job={job} />);
  await settle();
  return () => sent.filter((s) => s.method === 'POST');
}
const list = () => screen.getByRole('region', { name: 'Service' });
const item = (name: string) => within(list()).getByRole('region', { name });
const press = async (name: string | RegExp, where: HTMLElement = document.body) => {
  fireEvent.click(within(where).getByRole('button', { name }));
  await settle();
};
beforeEach(() => window.localStorage.clear());

test('one list: what lays an item open stands before it, turned once, with how long it takes', async () => {
  await show(visit());
  const text = list().textContent!;
  for (const [before, after] of [
    ['Lid up: float housing off', 'Float out, ball and cage rinsed'],
    ['Vacuum screen out', 'Vacuum screen brushed dry'],
    ['Four blades out', 'Turn or renew the squeegee blades'],
    ['Plug and both hoses off', 'Suction hoses washed'],
  ] as const)
    expect([before, text.indexOf(before) >= 0 && text.indexOf(before) < text.indexOf(after)]).toEqual([before, true]);
  expect(text.match(/Machine on its side/g)).toHaveLength(1);
  // No water over the motor: said at the step at which it bites.
  expect(within(list()).getAllByText(/motor/i).length).toBeGreaterThan(0);
  expect(document.body.textContent).toMatch(/about \d+ min in this order, the machine turned once/);
});

test('an item that makes its part new asks which part went in, this model’s own first, and takes it with one press', async () => {
  const of = (code: string, more: Partial<JobFacts['parts'][number]> = {}) => ({
    code,
    label: `Belt ${code}`,
    group: 'belt',
    priceMinor: 450,
    stock: 2,
    station: 'flat-belt',
    own: false,
    ...more,
  });
  const upright = {
    ...visit({ model: { ...jobInFind().state.model, kind: 'upright-shaft-belt' }, plans: [plan('flat-belt')] }),
    parts: [
      of('B-1', { stock: 0 }),
      of('B-2', { own: true }),
      of('R-1', { group: 'roll' }),
      of('F-1', { station: 'pre-filter', group: 'filter' }),
    ],
  };
  const posts = await show(upright);
  await press('Done: New flat belt');
  expect(posts()).toEqual([]);
  const which = within(screen.getByRole('group', { name: 'Which went in: New flat belt' }));
  expect(which.getAllByRole('button').map((b) => b.textContent!.replace(/\u00a0/g, ' '))).toEqual([
    'Belt B-2 B-2, $4.50, this model’s own',
    'Belt B-1 B-1, $4.50, none in stock',
    'New, from no list',
  ]);
  // Enter takes the model’s own; without one nothing is put forward.
  expect(document.activeElement!.textContent).toContain('B-2');
  await press(/^Belt B-2/);
  expect(posts()[0]).toMatchObject({
    url: '/api/v1/jobs/12/serve-item',
    body: { item: 'flat-belt', state: 'done', part: 'B-2' },
  });
});

test('without a part of the list it is done with one press, and so where one was fitted already', async () => {
  const model = { ...jobInFind().state.model, kind: 'upright-shaft-belt' };
  const posts = await show(visit({ model, plans: [plan('flat-belt')] }));
  await press('Done: New flat belt');
  expect(posts()[0]!.body).toMatchObject({ item: 'flat-belt', state: 'done' });
  expect(posts()[0]!.body).not.toHaveProperty('part');
});

test('done is one press; what is read is asked for place by place, and goes as it is typed', async () => {
  const posts = await show(visit());
  await press('Done: Float out, ball and cage rinsed');
  expect(posts()[0]).toMatchObject({ url: '/api/v1/jobs/12/serve-item', body: { item: 'float-clean', state: 'done' } });
  await press('Done: Turn or renew the squeegee blades');
  const blades = item('Turn or renew the squeegee blades');
  fireEvent.change(within(blades).getByLabelText('Edge in use, of four, front'), { target: { value: 'two' } });
  fireEvent.change(within(blades).getByLabelText('Edge in use, of four, rear'), { target: { value: '3' } });
  await press('Done', blades);
  // Told where it was typed, and never sent as nothing.
  const told = await within(blades).findByText('A number, such as 12 or 12.5.');
  expect(told.id).toBe(within(blades).getByLabelText('Edge in use, of four, front').getAttribute('aria-describedby'));
  expect(posts()).toHaveLength(1);
  fireEvent.change(within(blades).getByLabelText('Edge in use, of four, front'), { target: { value: '2' } });
  fireEvent.change(within(blades).getByLabelText('Edge in use, of four, rear'), { target: { value: '' } });
  await press('Done', blades);
  await settle();
  expect(posts()[1]!.body).toMatchObject({
    item: 'squeegee-turn',
    state: 'done',
    readings: [{ place: 'front', value: 2 }],
  });
});

test('left without a reason is refused at its field, and what was typed stays', async () => {
  const refusal = {
    status: 400,
    title: 'Not like this.',
    fields: [{ field: 'words', message: 'Say why it is left.' }],
  };
  const posts = await show(visit(), refusal);
  await press('Leave it: Suction hoses washed, looked at');
  const hoses = item('Suction hoses washed, looked at');
  dayField('Look again by', hoses).type('2031-01-01');
  await press('Leave it', hoses);
  await settle();
  expect(posts()[0]!.body).toMatchObject({ state: 'left', lookAgainOn: '2031-01-01' });
  expect(within(hoses).getByText('Say why it is left.')).toBeTruthy();
  expect(dayField('Look again by', hoses).value).toBe('2031-01-01');
});

test('what is wrong with a reading stands at its place, though the places that were not read are left out of what is sent', async () => {
  const refusal = {
    status: 400,
    title: 'Not like this.',
    fields: [{ field: 'readings[0].value', message: '1 to 4.' }],
  };
  await show(visit(), refusal);
  await press('Done: Turn or renew the squeegee blades');
  const blades = item('Turn or renew the squeegee blades');
  fireEvent.change(within(blades).getByLabelText('Edge in use, of four, rear'), { target: { value: '9' } });
  await press('Done', blades);
  const told = await within(blades).findByText('1 to 4.');
  expect(told.id).toBe(within(blades).getByLabelText('Edge in use, of four, rear').getAttribute('aria-describedby'));
});

test('what was found is one of the outcomes of the finder’s own check, never that all is well', async () => {
  const posts = await show(visit());
  await press('Worn: Turn or renew the squeegee blades');
  const blades = item('Turn or renew the squeegee blades');
  fireEvent.mouseDown(within(blades).getByRole('combobox', { name: 'What was found' }));
  const offered = screen.getAllByRole('option').map((o) => o.textContent);
  expect(offered[0]).toBe('in words only');
  expect(offered).toHaveLength(3);
  fireEvent.click(screen.getAllByRole('option')[1]!);
  await press('Found worn', blades);
  expect(posts()[0]!.body).toMatchObject({ state: 'worn', found: 'edges-worn' });
});

test('when it falls due is said with its interval and why; what was said can be taken back', async () => {
  const posts = await show(
    visit({
      plans: [
        plan('float-clean', { due_on: '2199-03-15', due_early: '2020-03-09', due_late: '2199-03-21', due_by: 'hours' }),
        plan('hose-wash'),
        plan('deck-belts-look', { due_on: '2199-01-01', due_early: '2199-01-01', due_late: null }),
      ],
      service: [
        {
          item: 'squeegee-turn',
          state: 'left',
          words: 'No blades',
          look_again_on: '2199-01-01',
          minutes: 4,
          at: '2030-03-04T09:10:00Z',
        },
      ],
      serviceReadings: [{ item: 'squeegee-turn', reading: 'blade-edge', place: 'rear', value: 4 }],
    }),
  );
  expect(item('Float out, ball and cage rinsed').textContent).toContain('due 2020-03-09 to 2199-03-21, by its hours');
  expect(item('Suction hoses washed, looked at').textContent).toContain('due since 2020-01-01');
  const later = screen.getByText('Not due yet').closest('details')!;
  expect(later.textContent).toContain('due from 2199-01-01 on');
  const said = screen.getByRole('region', { name: 'Said at this visit' });
  expect(said.textContent).toMatch(/left, rear 4; No blades; look again by 2199-01-01, 4 min/);
  await press('Take back: Turn or renew the squeegee blades');
  expect(posts()[0]!.body).toMatchObject({ item: 'squeegee-turn', state: '' });
});

test('what was read last stands at its field, and the last edge is said before it is turned', async () => {
  await show(
    visit({
      readBefore: [
        { item: 'squeegee-turn', place: 'front', value: 4, at: '2019-12-01T08:00:00Z' },
        { item: 'squeegee-turn', place: 'rear', value: 2, at: '2019-12-01T08:00:00Z' },
      ],
    }),
  );
  expect(item('Turn or renew the squeegee blades').textContent).toContain('front the last edge: new blades next');
  await press('Done: Turn or renew the squeegee blades');
  expect(item('Turn or renew the squeegee blades').textContent).toContain('4 on 2019-12-01');
});

test('what earlier visits left open is mended here, what the owner did not want is put to them again', async () => {
  const posts = await show(
    visit({
      openFaults: [{ fault: 'lid-gasket-off', job: 8, at: '2029-06-01T09:00:00Z' }],
      declinedBefore: [
        {
          job: 8,
          at: '2029-06-01T09:00:00Z',
          line: { label: 'New skirts', fault: 'skirts-worn', id: 'x', kind: 'part' },
        },
      ],
    }),
  );
  const before = screen.getByRole('region', { name: 'Left at earlier visits' });
  expect(before.textContent).toContain('New skirts: not wanted on 2029-06-01');
  await press(/^Mended now/);
  expect(posts()[0]).toMatchObject({
    url: '/api/v1/jobs/12/mark-repaired',
    body: { fault: 'lid-gasket-off', done: true },
  });
});

test('the operator’s days are taken down together; more than there were are not sent', async () => {
  const posts = await show(visit({ care: [{ item: 'lids-open', done_days: 18, of_days: 20 }] }));
  const deck = screen.getByLabelText('Clear the deck while it is wet');
  fireEvent.change(deck, { target: { value: '31' } });
  await press('Take it down');
  expect(await screen.findByText('Days, at most 20')).toBeTruthy();
  expect(posts()).toEqual([]);
  fireEvent.change(deck, { target: { value: '3' } });
  await press('Take it down');
  await waitFor(() => expect(posts()).toHaveLength(1));
  expect(posts()[0]!.body).toMatchObject({
    care: expect.arrayContaining([
      { item: 'lids-open', doneDays: 18, ofDays: 20 },
      { item: 'deck-cleared', doneDays: 3, ofDays: 20 },
    ]),
  });
  fireEvent.change(screen.getByLabelText('Working days since'), { target: { value: 'a month' } });
  await press('Take it down');
  expect(await screen.findByText('A whole number of days.')).toBeTruthy();
  expect(posts()).toHaveLength(1);
});
