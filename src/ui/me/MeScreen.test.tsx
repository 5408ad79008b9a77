/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { MeView } from '@/shop/me/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { MeScreen } from './MeScreen';

const refreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => refreshed() }) }));

const at = '2030-03-04T08:00:00Z';
const session = (id: number, isThis = false) => ({ id, agent: 'A browser', since: at, lastSeen: at, isThis });
const me: MeView = {
  id: 4,
  name: 'Tess Fennock',
  signIn: 'tess',
  role: 'owner',
  sessions: [session(1, true), session(2)],
  factor: null,
  tokens: [{ id: 6, label: 'The counter display', scope: 'read', since: at, lastUsed: null, until: null }],
};

function show(answered: unknown = {}, more: Partial<MeView> = {}) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method, url) =>
    method === 'POST' ? (typeof answered === 'function' ? answered(url) : answered) : { content: null, at: null };
  stand(<MeScreen me={{ ...me, ...more }} zone="UTC" />);
  return (deed: string) => sent.filter((s) => s.url.endsWith(`/me/${deed}`)).map((s) => s.body);
}
const region = (name: string) => within(screen.getByRole('region', { name }));
const press = async (name: string | RegExp) => fireEvent.click(await screen.findByRole('button', { name }));
const type = async (label: string, value: string) =>
  fireEvent.change(await screen.findByLabelText(label), { target: { value } });

beforeEach(() => {
  window.localStorage.clear();
  refreshed.mockClear();
});

test('one’s own passphrase: too short is told at its field, then it is changed and all else has ended', async () => {
  const posts = show({ ended: 1 });
  fireEvent.click(region('Passphrase').getByRole('button', { name: 'Change it' }));
  await type('Passphrase, as it is now', 'the old one of mine');
  await type('New passphrase', 'short');
  await press(/^Change it, end all/);
  expect(await screen.findByText('A passphrase has 12 characters or more.')).toBeTruthy();
  expect(posts('passphrase')).toEqual([]);
  await type('New passphrase', 'a long row of plain words');
  await press(/^Change it, end all/);
  expect(await screen.findByText('It is changed. Other sessions ended: 1.')).toBeTruthy();
  expect(posts('passphrase')[0]).toMatchObject({ now: 'the old one of mine', passphrase: 'a long row of plain words' });
});

test('no word of a passphrase is kept in the browser', async () => {
  show({ status: 400, title: 'No.', fields: [{ field: 'now', message: 'This is not your passphrase.' }] });
  fireEvent.click(region('Passphrase').getByRole('button', { name: 'Change it' }));
  await type('Passphrase, as it is now', 'the old one of mine');
  await type('New passphrase', 'a long row of plain words');
  await press(/^Change it, end all/);
  expect(await screen.findByText('This is not your passphrase.')).toBeTruthy();
  expect(JSON.stringify({ ...window.localStorage })).not.toMatch(/old one|plain words/);
});

test('the session that one sits at cannot be ended here; another can, and all others at once', async () => {
  const posts = show();
  const ends = region('Signed in').getAllByRole('button', { name: 'End it' });
  expect(ends).toHaveLength(1);
  fireEvent.click(ends[0]!);
  expect(await screen.findByText('It has ended.')).toBeTruthy();
  fireEvent.click(region('Signed in').getByRole('button', { name: 'End all others' }));
  expect(await screen.findByText('All others have ended.')).toBeTruthy();
  expect(posts('end-session')).toMatchObject([{ session: 2 }, {}]);
});

test.each([
  ['90', 90],
  ['', null],
])('a token good for “%s” days is made, shown once', async (days, sent) => {
  const posts = show({ token: 'gk_abcdefgh' });
  await press('Make a token');
  await type('What it is for', 'The rack display');
  await type('Good for, days', days);
  await press(/^Make it/);
  expect(await screen.findByText('gk_abcdefgh')).toBeTruthy();
  expect(posts('make-token')[0]).toMatchObject({ label: 'The rack display', scope: 'read', days: sent });
});

test.each(['two', '0', '1.5', '9999'])(
  'a token for “%s” days is none: told at the field, none is made',
  async (days) => {
    const posts = show({ token: 'gk_abcdefgh' });
    await press('Make a token');
    await type('What it is for', 'The rack display');
    await type('Good for, days', days);
    await press(/^Make it/);
    await waitFor(() => expect(screen.getByLabelText('Good for, days').getAttribute('aria-invalid')).toBe('true'));
    expect(posts('make-token')).toEqual([]);
  },
);

test('a token is revoked; a refusal is told', async () => {
  const posts = show({ status: 404, title: 'This token is not there.', fields: [] });
  await press('Revoke it');
  expect(await screen.findByText('This token is not there.')).toBeTruthy();
  expect(posts('revoke-token')[0]).toMatchObject({ token: 6 });
});

test('a second factor: passphrase, square, first code, then the recovery codes once', async () => {
  const posts = show((url: string) =>
    url.endsWith('/begin-factor')
      ? { square: '<svg xmlns="http://www.w3.org/2000/svg"/>', letters: 'ABCDEFGHIJKL' }
      : { codes: ['aaaa-bbbb', 'cccc-dddd'] },
  );
  expect(region('Second factor').getByText(/An owner can take all data out/)).toBeTruthy();
  await press('Set one');
  await type('Passphrase, as it is now', 'the old one of mine');
  await press(/^Show the code/);
  expect(await screen.findByText('ABCD EFGH IJKL')).toBeTruthy();
  expect(screen.getByRole('img', { name: 'Square code for an authenticator' })).toBeTruthy();
  await press('I have read it: type its code');
  await type('Six digits', '12345');
  await press(/^Confirm/);
  await waitFor(() => expect(screen.getByLabelText('Six digits').getAttribute('aria-invalid')).toBe('true'));
  await type('Six digits', '123456');
  await press(/^Confirm/);
  const codes = await screen.findByRole('list', { name: 'Recovery codes' });
  expect(
    within(codes)
      .getAllByRole('listitem')
      .map((c) => c.textContent),
  ).toEqual(['aaaa-bbbb', 'cccc-dddd']);
  expect(posts('confirm-factor')).toMatchObject([{ code: '123456' }]);
  await act(async () => {});
});
