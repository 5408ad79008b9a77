/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { PersonView } from '@/shop/people/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { PeopleScreen } from './PeopleScreen';

const refreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => refreshed() }) }));

const session = (id: number) => ({
  id,
  agent: 'Mozilla/5.0 (X11; Linux x86_64)',
  since: '2030-03-04T08:00:00Z',
  lastSeen: '2030-03-04T09:00:00Z',
});
const tess: PersonView = {
  id: 4,
  version: 2,
  signIn: 'tess',
  name: 'Tess Fennock',
  role: 'technician',
  locked: false,
  sessions: [session(11), session(12)],
};
const jory: PersonView = {
  ...tess,
  id: 5,
  signIn: 'jory',
  name: 'Jory Marsk',
  role: 'counter',
  locked: true,
  sessions: [],
};

function show(refused?: object) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? (refused ?? { id: 9 }) : { content: null, at: null });
  stand(<PeopleScreen people={[tess, jory]} zone="UTC" />);
  return (path: string) => sent.filter((s) => s.method === 'POST' && s.url.endsWith(path)).map((s) => s.body);
}
const of = (name: string) => within(screen.getByRole('region', { name }));
const type = async (label: string, value: string) =>
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });

beforeEach(() => {
  window.localStorage.clear();
  refreshed.mockClear();
});

test('who works here, in what role, signed in where, locked or not', () => {
  show();
  expect(screen.getByRole('region', { name: 'Tess Fennock' }).textContent).toMatch(/technician.*signs in as tess/);
  expect(screen.getByRole('region', { name: 'Jory Marsk' }).textContent).toMatch(/counter, locked.*Signed in nowhere/);
  expect(of('Jory Marsk').queryByRole('button', { name: 'End all' })).toBeNull();
});

test('one session is ended, or all of them', async () => {
  const posts = show();
  fireEvent.click(of('Tess Fennock').getAllByRole('button', { name: 'End it' })[1]!);
  await waitFor(() => expect(posts('/people/4/end-session')).toHaveLength(1));
  fireEvent.click(of('Tess Fennock').getByRole('button', { name: 'End all' }));
  await waitFor(() => expect(posts('/people/4/end-session')).toHaveLength(2));
  const [one, all] = posts('/people/4/end-session');
  expect(one).toMatchObject({ version: 2, session: 12 });
  expect(all).not.toHaveProperty('session');
  expect(refreshed).toHaveBeenCalledTimes(2);
});

test('a session that cannot be ended is told', async () => {
  show({ status: 409, title: 'Somebody changed this person meanwhile.', fields: [] });
  fireEvent.click(of('Tess Fennock').getByRole('button', { name: 'End all' }));
  expect(await screen.findByText('Somebody changed this person meanwhile.')).toBeTruthy();
});

test('a new person needs a name, a way to sign in and a passphrase that is long enough: told where it is not', async () => {
  const posts = show();
  fireEvent.click(screen.getByRole('button', { name: 'Add a person' }));
  await type('Name', 'Wren Dell');
  await type('Signs in as', 'wren');
  await type('Passphrase', 'short');
  fireEvent.click(screen.getByRole('button', { name: /^Add them/ }));
  await waitFor(() => expect(screen.getByLabelText('Passphrase').getAttribute('aria-invalid')).toBe('true'));
  expect(posts('/api/v1/people')).toEqual([]);
  await type('Passphrase', 'a long row of plain words');
  fireEvent.click(screen.getByRole('button', { name: /^Add them/ }));
  await waitFor(() => expect(posts('/api/v1/people')).toHaveLength(1));
  expect(posts('/api/v1/people')[0]).toMatchObject({ name: 'Wren Dell', signIn: 'wren', role: 'technician' });
});

test('locked with a tick, on the version that was seen', async () => {
  const posts = show();
  fireEvent.click(of('Tess Fennock').getByRole('button', { name: 'Change or lock' }));
  fireEvent.click(await screen.findByLabelText(/^Locked:/));
  fireEvent.click(screen.getByRole('button', { name: /^Save/ }));
  await waitFor(() => expect(posts('/people/4/amend-person')).toHaveLength(1));
  expect(posts('/people/4/amend-person')[0]).toMatchObject({ version: 2, name: 'Tess Fennock', locked: true });
  await act(async () => {});
});
