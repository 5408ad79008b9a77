/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { JobFacts } from '@/shop/jobView/dto';
import type { AgreeView } from '@/shop/standing/dto';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { ToTheOwner } from './ToTheOwner';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));

const { facts } = jobInFind([{ check_id: 'sole-plate-look', outcome: 'belt-missing' }]);
const offer = { id: 'minimum', bill: { grossMinor: 2500 } };
const estimate = { id: 1, offers: [offer] } as unknown as NonNullable<AgreeView['estimate']>;
const jobWith = (agree: Partial<AgreeView>): JobFacts => ({
  ...facts,
  customer: { ...facts.customer, email: 'owner@shop.example' },
  agree: { ...facts.agree, estimate, ...agree },
});
function Screen({ job }: { job: JobFacts }) {
  return <ToTheOwner desk={useJob(job, null)} />;
}
function show(agree: Partial<AgreeView> = {}, answered: unknown = { id: facts.id, version: 2 }) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? answered : { content: null, at: null });
  stand(<Screen job={jobWith(agree)} />);
  return (deed: string) => sent.filter((s) => s.url.endsWith(`/${deed}`)).map((s) => s.body);
}
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

beforeEach(() => window.localStorage.clear());

test('nothing is written to the owner before there is an offer', () => {
  show({ estimate: null });
  expect(screen.queryByRole('button', { name: 'Write to the owner' })).toBeNull();
});

test('words are proposed from what was found and what it comes to, and go with a page to answer on', async () => {
  const posts = show();
  press('Write to the owner');
  const words = screen.getByLabelText<HTMLTextAreaElement>('Words').value;
  expect(words).toMatch(/We have looked at your .*Mending it comes to \$25\.00\. Please tell us/);
  press('Send');
  await waitFor(() => expect(posts('send-message')).toHaveLength(1));
  expect(posts('send-message')[0]).toMatchObject({ to: 'owner@shop.example', words, withLink: true });
  await waitFor(() => expect(screen.queryByLabelText('Words')).toBeNull());
});

test.each([
  ['To', 'nobody', 'An address such as name@shop.example.'],
  ['Words', '', 'Some words, 10,000 characters at most.'],
])('%s as “%s” is told at its field, and nothing goes out', async (label, typed, told) => {
  const posts = show();
  press('Write to the owner');
  type(label, typed);
  press('Send');
  expect(await screen.findByText(told)).toBeTruthy();
  expect(posts('send-message')).toEqual([]);
});

test('the page alone: its address is shown once, and it can be taken back', async () => {
  const link = { id: 7, expiresAt: '2030-04-01T00:00:00Z', seenAt: null, at: '2030-03-01T00:00:00Z' };
  const posts = show({ links: [link] as unknown as AgreeView['links'] }, { path: '/o/abc', id: facts.id, version: 2 });
  press('A page to answer on');
  const field = await screen.findByLabelText<HTMLInputElement>('Open for 30 days, shown once');
  expect(field.value).toMatch(/\/o\/abc$/);
  expect(field.readOnly).toBe(true);
  press('take the page back');
  await waitFor(() => expect(posts('revoke-links')).toHaveLength(1));
});

test('what was sent tells how it went', () => {
  const message = (id: number, state: string, lastError = '') => ({
    id,
    subject: `Letter ${id}`,
    state,
    lastError,
    at: '2030-03-01T09:00:00Z',
  });
  show({
    messages: [
      message(1, 'sent'),
      message(2, 'failed', 'no such mailbox'),
      message(3, 'waiting', 'the server was away'),
      message(4, 'waiting'),
    ] as unknown as AgreeView['messages'],
  });
  const told = (id: number) => screen.getByText(new RegExp(`Letter ${id}:`)).textContent;
  expect(told(1)).toMatch(/sent$/);
  expect(told(2)).toMatch(/not delivered, no such mailbox$/);
  expect(told(3)).toMatch(/tried, the server was away$/);
  expect(told(4)).toMatch(/on its way$/);
});
