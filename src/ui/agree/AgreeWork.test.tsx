/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { ProposalView } from '@/shop/agree/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import type { AgreeView } from '@/shop/standing/dto';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { dayField, furnishBrowser, stand } from '../testBench.fixture';
import { AgreeWork } from './AgreeWork';
import { proposalFixture } from './proposal.fixture';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }) }));
// Lives are drawn in a worker, which this browser does not have.
jest.mock('./useWorth', () => ({ useWorth: () => ({ told: null, working: null }) }));

const { state, facts } = jobInFind([{ check_id: 'sole-plate-look', outcome: 'belt-missing' }]);
const jobWith = (agree: Partial<AgreeView> = {}): JobFacts => ({
  ...facts,
  id: state.job.id,
  stage: 'agree',
  agree: { ...facts.agree, ...agree },
});
function Screen({ job }: { job: JobFacts }) {
  const desk = useJob(job, null);
  return <AgreeWork desk={desk} onDone={() => {}} onBack={() => {}} />;
}
const settle = () => act(async () => {});

async function show(
  job: JobFacts,
  proposal: ProposalView,
  posted: (url: string) => unknown = () => ({ id: job.id, version: 2 }),
) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method, url) => {
    if (url.endsWith('/agree')) return proposal;
    return method === 'POST' ? posted(url) : { content: null, at: null };
  };
  stand(<Screen job={job} />);
  await settle();
  await settle();
  return sent;
}
const deeds = (sent: Awaited<ReturnType<typeof show>>) => sent.filter((s) => s.method === 'POST');

beforeEach(() => window.localStorage.clear());

test('what is proposed stands in its groups, and each offer says what it comes to and leaves undone', async () => {
  await show(jobWith(), proposalFixture());
  expect(screen.getByRole('heading', { name: /^Must be done/ })).toBeTruthy();
  expect(screen.getByRole('heading', { name: /^Worth it while it is open/ })).toBeTruthy();
  // 15 min at 60 an hour and a belt of 4.50; with the bearing 25 min and 3.20 more.
  const least = screen.getByRole('region', { name: 'The least we stand behind' });
  expect(least.textContent).toMatch(/\$19\.50.*Leaves undone: new bearings\./);
  expect(screen.getByRole('region', { name: 'What we recommend' }).textContent).toMatch(/\$32\.70/);
});

test('nothing is put to the owner while an amount, a price or a number of days that stands there cannot be read', async () => {
  const sent = await show(jobWith(), proposalFixture());
  const made = () => deeds(sent).filter((s) => s.url.endsWith('/make-estimate'));
  const put = async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Put it to the owner' }));
    await settle();
  };
  for (const [label, typed, right] of [
    ['Off the whole', '6o', '6'],
    ['Stood for, days: What we recommend', '20x9', '209'],
    ['Minutes: New bearings', '1,200', '12'],
  ] as const) {
    const field = screen.getByLabelText<HTMLInputElement>(label);
    fireEvent.change(field, { target: { value: typed } });
    fireEvent.blur(field);
    await put();
    expect([label, made().length, document.activeElement === field, field.value]).toEqual([label, 0, true, typed]);
    fireEvent.change(field, { target: { value: right } });
  }
  await put();
  expect(made()[0]!.body).toMatchObject({ offMinor: 600 });
  expect(JSON.stringify(made()[0]!.body)).toMatch(/"warrantyDays":209/);
});

test('put to the owner it goes as it was decided', async () => {
  const sent = await show(jobWith(), proposalFixture());
  fireEvent.change(screen.getByLabelText('Group: New bearings'), { target: { value: 'wait' } });
  fireEvent.click(screen.getByRole('button', { name: 'Put it to the owner' }));
  await settle();
  const [deed] = deeds(sent).filter((s) => s.url.endsWith('/make-estimate'));
  const { lines } = deed!.body as { lines: { id: string; group: string }[] };
  // The part went with the work.
  expect(lines.filter((l) => l.group === 'wait').map((l) => l.id)).toEqual([
    'do-bearing-rough',
    'part-bearing-rough-bearing',
  ]);
});

test('what the server will not take is said at its line', async () => {
  await show(jobWith(), proposalFixture(), () => ({
    status: 400,
    title: 'Some of it cannot be used as typed.',
    fields: [{ field: 'lines[1].eachMinor', message: 'An amount, such as 12.50; nought to a million.' }],
  }));
  fireEvent.click(screen.getByRole('button', { name: 'Put it to the owner' }));
  await settle();
  const line = screen.getByRole('group', { name: 'Flat belt 10 × 300 mm' });
  expect(within(line).getByRole('alert').textContent).toMatch(/^An amount/);
});

test('without a rate it is said that work has no price', async () => {
  await show(jobWith(), proposalFixture({ labourMinor: null }));
  expect(screen.getByText(/What an hour costs is not said yet/)).toBeTruthy();
});

test('the owner’s own idea is answered, and a warranty is named first', async () => {
  await show(
    jobWith(),
    proposalFixture({
      ownersIdea: { label: 'Belt slipping', right: false, found: ['Belt broken'] },
      warrantyInForce: true,
    }),
  );
  expect(
    screen.getByText(/The owner thought of belt slipping: that was not found\. Say what was: belt broken\./),
  ).toBeTruthy();
  expect(screen.getByText(/goes to the authorised shop first/)).toBeTruthy();
});

test('an answer is one press, with who said it and in what words', async () => {
  const sent = await show(jobWith(), proposalFixture());
  fireEvent.change(screen.getByLabelText('In their words'), { target: { value: 'Go on.' } });
  fireEvent.click(screen.getByRole('button', { name: 'Yes, agreed in words' }));
  await settle();
  const [deed] = deeds(sent).filter((s) => s.url.endsWith('/record-answer'));
  expect(deed!.body).toMatchObject({ says: 'yes', offer: null, who: 'Jory Marsk', words: 'Go on.', way: 'phone' });
});

test('before the answer the way on says that nothing is opened, after it nothing of the kind', async () => {
  await show(jobWith(), proposalFixture());
  expect(screen.getByText('It is opened no further before the owner agrees.')).toBeTruthy();
});

test('a server that does not answer is asked again', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = (_method, url) =>
    url.endsWith('/agree') ? { status: 503, title: 'Away.' } : { content: null, at: null };
  stand(<Screen job={jobWith()} />);
  await settle();
  await settle();
  expect(screen.getByText('What would be offered could not be fetched.')).toBeTruthy();
  const before = sent.filter((s) => s.url.endsWith('/agree')).length;
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  await settle();
  expect(sent.filter((s) => s.url.endsWith('/agree')).length).toBe(before + 1);
});

test('each offer is promised on its card; one that says the same as the rest again is no exception any more', async () => {
  const sent = await show(jobWith(), proposalFixture());
  const ready = dayField('Ready on: The least we stand behind');
  const stood = screen.getByLabelText<HTMLInputElement>('Stood for, days: The least we stand behind');
  const usual = [ready.value, stood.value];
  ready.type('2198-12-24');
  fireEvent.change(stood, { target: { value: '30' } });
  // The other card is as it was.
  expect(dayField('Ready on: What we recommend').value).toBe(usual[0]);
  fireEvent.click(screen.getByRole('button', { name: 'Put it to the owner' }));
  await settle();
  const made = () => deeds(sent).findLast((s) => s.url.endsWith('/make-estimate'))!.body as { each: unknown[] };
  expect(made().each).toEqual([{ offer: 'minimum', readyOn: '2198-12-24', warrantyDays: 30 }]);
  ready.type(usual[0]!);
  fireEvent.change(stood, { target: { value: usual[1] } });
  fireEvent.click(screen.getByRole('button', { name: /Put it to the owner|Offer it anew/ }));
  await settle();
  expect(made().each).toEqual([]);
});

test('a day that is past is said on the card of its offer', async () => {
  await show(jobWith(), proposalFixture(), () => ({
    status: 400,
    title: 'Some of it cannot be used as typed.',
    fields: [{ field: 'each[0].readyOn', message: 'That day is past.' }],
  }));
  dayField('Ready on: What we recommend').type('2020-01-01');
  fireEvent.click(screen.getByRole('button', { name: 'Put it to the owner' }));
  await settle();
  expect(screen.getByRole('region', { name: 'What we recommend' }).textContent).toContain('That day is past.');
  expect(screen.getByRole('region', { name: 'The least we stand behind' }).textContent).not.toContain('past');
});
