/** @jest-environment jsdom */
import { act, fireEvent, screen, within } from '@testing-library/react';
import type { DueLine, RoundGroup, RoundsAsked, RoundsView } from '@/shop/rounds/dto';
import { dayField, furnishBrowser, stand } from '../testBench.fixture';
import { RoundsScreen } from './RoundsScreen';

const pushed: string[] = [];
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: (to: string) => pushed.push(to) }) }));

const line = (more: Partial<DueLine> = {}): DueLine => ({
  machine: 1,
  tag: 'GK-0001',
  model: 'Hollin Gannet',
  kind: 'upright-shaft-belt',
  site: null,
  item: 'flat-belt',
  label: 'Flat belt',
  dueOn: '2030-01-01',
  early: '2030-01-01',
  late: '2030-01-01',
  by: 'days',
  lastDoneOn: '2029-01-01',
  pastDays: 12,
  weekMinor: 413,
  openJob: null,
  ...more,
});
const group = (id: number, name: string, lines: DueLine[], noLetters = false): RoundGroup => ({
  customer: {
    id,
    name,
    phone: '555 0101',
    email: 'a@house.example',
    business: false,
    noLetters,
    visitOn: null,
    visitWords: '',
  },
  lines,
  weekMinor: 413,
});
const view = (groups: RoundGroup[], after: string | null = null): RoundsView => ({
  today: '2030-01-13',
  until: '2030-02-12',
  groups,
  after,
  currency: 'USD',
  locale: 'en-US',
  letter: {
    subject: 'Your machines fall due',
    words: 'Dear {owner}:\n{machines}\nCall {shop}, {phone}.',
    shop: 'Test bench',
    phone: '555 0100',
  },
});
const settle = () => act(async () => {});
const show = (
  first: RoundsView,
  asked: Partial<RoundsAsked> = {},
  only: { id: number; name: string; sites: { id: number; label: string }[] } | null = null,
) => stand(<RoundsScreen first={first} asked={{ ahead: 30, order: 'day', ...asked }} only={only} />);

test('each customer with their machines, how late, and what another week costs', () => {
  furnishBrowser();
  show(
    view([
      group(1, 'Jory Marsk', [
        line(),
        line({ item: 'roll-hair', label: 'Hair off the roll', pastDays: -3, lastDoneOn: null, weekMinor: null }),
      ]),
    ]),
  );
  const round = screen.getByRole('region', { name: 'Jory Marsk' });
  expect(round.textContent).toMatch(/one machine; to wait another week costs about \$4\.13/);
  expect(round.textContent).toMatch(/Flat belt, 12 days past/);
  expect(round.textContent).toMatch(/Hair off the roll, never known to be done/);
  expect(round.textContent).not.toMatch(/-3 days/);
});

test('nothing is due: it says until when', () => {
  furnishBrowser();
  show(view([]));
  expect(screen.getByText('Nothing falls due by 2030-02-12.')).toBeTruthy();
});

test('the next page is laid behind the first', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = () => view([group(2, 'Ulla Fennock', [line({ machine: 2 })])]);
  show(view([group(1, 'Jory Marsk', [line()])], '2030-01-01~1'));
  fireEvent.click(screen.getByRole('button', { name: 'More' }));
  await settle();
  expect(sent[0]!.url).toBe('/api/v1/rounds?ahead=30&order=day&after=2030-01-01~1');
  expect(screen.getByRole('region', { name: 'Jory Marsk' })).toBeTruthy();
  expect(screen.getByRole('region', { name: 'Ulla Fennock' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'More' })).toBeNull();
});

test('one customer alone, and one of their places; every way on keeps what is asked', async () => {
  const { answer, sent } = furnishBrowser();
  const only = { id: 4, name: 'Staithe Bakery', sites: [{ id: 9, label: 'Mill Lane' }] };
  answer.with = () => view([group(2, 'Ulla Fennock', [line({ machine: 2 })])]);
  show(view([group(4, 'Staithe Bakery', [line()])], '2030-01-01~1'), { kind: 'robot', customer: 4, site: 9 }, only);
  fireEvent.click(screen.getByRole('button', { name: 'More' }));
  await settle();
  expect(sent[0]!.url).toBe('/api/v1/rounds?ahead=30&kind=robot&customer=4&site=9&order=day&after=2030-01-01~1');
  fireEvent.mouseDown(screen.getByRole('combobox', { name: 'Where' }));
  fireEvent.click(screen.getByRole('option', { name: 'every place' }));
  expect(pushed.at(-1)).toBe('/rounds?ahead=30&kind=robot&customer=4&order=day');
  fireEvent.click(screen.getByTestId('CancelIcon'));
  expect(pushed.at(-1)).toBe('/rounds?ahead=30&kind=robot&order=day');
});

test('a letter names every machine, goes by the card’s version, and is not offered to who wants none', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = (method) => (method === 'GET' ? { version: 7 } : { id: 1, version: 8 });
  const lines = [line(), line({ machine: 2, tag: 'GK-0002', model: 'Tussock Rake' })];
  show(view([group(1, 'Jory Marsk', lines), group(2, 'Ulla Fennock', [line({ machine: 3 })], true)]));
  expect(
    within(screen.getByRole('region', { name: 'Ulla Fennock' })).queryByRole('button', { name: 'write to them' }),
  ).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'write to them' }));
  fireEvent.click(screen.getByRole('button', { name: 'Send' }));
  await settle();
  await settle();
  const letter = sent.find((s) => s.method === 'POST')!;
  expect(letter.url).toBe('/api/v1/customers/1/send-due');
  expect(letter.body).toMatchObject({ version: 7, subject: 'Your machines fall due' });
  expect((letter.body as { words: string }).words).toMatch(/Hollin Gannet \(GK-0001\)[\s\S]*Tussock Rake \(GK-0002\)/);
});

test('what a customer answered becomes a day, sent with the card’s version; a day that is past is said at its field', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = (method) =>
    method === 'GET'
      ? { version: 7 }
      : { status: 400, title: 'Not like this.', fields: [{ field: 'day', message: 'A day to come.' }] };
  show(view([group(1, 'Jory Marsk', [line()])]));
  fireEvent.click(screen.getByRole('button', { name: 'They answered: Jory Marsk' }));
  dayField('Somebody comes on').type('2029-12-01');
  fireEvent.change(screen.getByLabelText('In their words'), { target: { value: 'Before ten.' } });
  fireEvent.click(screen.getByRole('button', { name: 'Agree it' }));
  await settle();
  await settle();
  const post = sent.find((s) => s.method === 'POST')!;
  expect([post.url, post.body]).toEqual([
    '/api/v1/customers/1/agree-visit',
    expect.objectContaining({ version: 7, day: '2029-12-01', words: 'Before ten.' }),
  ]);
  expect(screen.getByText('A day to come.')).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('In their words').value).toBe('Before ten.');
});
