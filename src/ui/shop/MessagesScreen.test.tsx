/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { MessagesScreen } from './MessagesScreen';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => {} }) }));
// Letters and languages have screens of their own.
jest.mock('./DueLetters', () => ({ DueLetters: () => null }));
jest.mock('./OwnersLanguages', () => ({ OwnersLanguages: () => null }));

type Props = Parameters<typeof MessagesScreen>[0];
const message = {
  to: 'owner@shop.example',
  body: '',
  tries: 1,
  lastError: '',
  at: '2030-03-04T08:00:00Z',
  sentAt: null,
};
const outbox: Props['outbox'] = {
  messages: [
    { ...message, id: 1, job: 31, subject: 'Your upright', state: 'sent' },
    { ...message, id: 2, job: null, subject: 'Falls due', state: 'failed', tries: 5, lastError: 'no such mailbox' },
  ],
  before: null,
  standIn: [{ id: 1, to: ['owner@shop.example'], subject: 'Your upright', text: 'It is ready.\n', at: message.at }],
  isSetUp: true,
};
const mail: Props['mail'] = {
  version: 4,
  host: 'mail.shop.example',
  port: 587,
  tls: false,
  user: 'desk',
  from: 'Shop <desk@shop.example>',
  publicUrl: '',
  hasSecret: true,
};

function show(more: Partial<Props> = {}) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? {} : { content: null, at: null });
  const rest = { terms: {} as Props['terms'], letters: {} as Props['letters'], zone: 'UTC', mayAmend: true };
  stand(<MessagesScreen {...rest} mail={mail} outbox={outbox} {...more} />);
  return (path: string) => sent.filter((s) => s.method === 'POST' && s.url.endsWith(path)).map((s) => s.body);
}
const type = async (label: string, value: string) =>
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });

beforeEach(() => window.localStorage.clear());

test('what went out, what did not and why; what failed can be tried again', async () => {
  const posts = show();
  const list = within(screen.getByRole('region', { name: 'Sent' }));
  expect(list.getByText(/tried 5 times: no such mailbox/).textContent).toMatch(/^not delivered/);
  expect(list.getByRole('link', { name: 'job 31' }).getAttribute('href')).toBe('/jobs/31/agree');
  expect(list.getAllByRole('button', { name: 'Try again' })).toHaveLength(1);
  fireEvent.click(list.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(posts('/messages/2/send-again')).toHaveLength(1));
});

test('without a mail server it is said that nothing goes out; the simulated mailbox is there only where there is one', () => {
  show({ outbox: { ...outbox, messages: [], standIn: null, isSetUp: false }, mail: { ...mail, host: '' } });
  expect(screen.getByText('No mail server is set up: nothing goes out.')).toBeTruthy();
  expect(screen.getByText(/Nothing was written yet/)).toBeTruthy();
  expect(screen.queryByRole('region', { name: 'Simulated mailbox' })).toBeNull();
});

test('a secret that is not typed anew is not sent, and a port that is none is told at its field', async () => {
  const posts = show();
  fireEvent.click(screen.getByRole('button', { name: 'Change' }));
  await type('Port', '58x');
  fireEvent.click(await screen.findByRole('button', { name: /^Save/ }));
  await waitFor(() => expect(screen.getByLabelText('Port').getAttribute('aria-invalid')).toBe('true'));
  expect(posts('/shop/mail')).toEqual([]);
  await type('Port', '465');
  fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
  await waitFor(() => expect(posts('/shop/mail')).toHaveLength(1));
  expect(posts('/shop/mail')[0]).toMatchObject({ version: 4, host: 'mail.shop.example', port: 465 });
  expect(posts('/shop/mail')[0]).not.toHaveProperty('secret');
});
