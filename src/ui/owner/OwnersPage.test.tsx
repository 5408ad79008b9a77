/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { OWNERS_PHRASES } from '@/knowledge/ownersPhrases';
import type { LinkView } from '@/shop/links/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { OwnersPage } from './OwnersPage';

const view = (more: Partial<LinkView> = {}): LinkView => ({
  shop: { name: 'Test bench', phone: '555 0100', address: '' },
  customer: 'Jory Marsk',
  machine: 'Hollin Gannet',
  said: [{ title: 'We found', texts: ['Belt broken.'] }],
  photographs: [],
  estimate: {
    id: 4,
    number: 1,
    columns: [
      { id: 'minimum', title: 'The least we stand behind', minor: 1950, unsafe: [] },
      { id: 'recommended', title: 'What we recommend', minor: 3270, unsafe: [] },
    ],
    groups: [{ title: 'Must be done', rows: [{ label: 'New belt', detail: '6 min', minor: [600, 600] }] }],
    totals: [],
    terms: ['Ready on 2199-01-01.'],
  },
  answered: null,
  isClosed: false,
  currency: 'USD',
  locale: 'en-US',
  language: 'en',
  words: OWNERS_PHRASES,
  ...more,
});
const settle = () => act(async () => {});

test('each offer is one press with its price; the answer carries the estimate that was seen', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => view({ answered: { says: 'yes', who: 'Jory Marsk', at: '2030-01-01T00:00:00Z' } });
  stand(<OwnersPage initial={view()} token="abc" />);
  fireEvent.change(screen.getByLabelText('Anything to say'), { target: { value: 'Please.' } });
  fireEvent.click(screen.getByRole('button', { name: /what we recommend.*\$32\.70/ }));
  await settle();
  expect(sent[0]!.url).toBe('/api/o/abc');
  expect(sent[0]!.body).toMatchObject({
    estimate: 4,
    says: 'yes',
    offer: 'recommended',
    who: 'Jory Marsk',
    words: 'Please.',
  });
  expect(screen.getByText(/^Thank you\. We go ahead\. \(Jory Marsk\)$/)).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});

test('the same press again is the same deed', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({ status: 503, title: 'Away.' });
  stand(<OwnersPage initial={view()} token="abc" />);
  const yes = () => screen.getByRole('button', { name: /least/ });
  for (let n = 0; n < 2; n++) {
    fireEvent.click(yes());
    await settle();
  }
  const keys = sent.map((s) => (s.body as { key: string }).key);
  expect(keys).toHaveLength(2);
  expect(new Set(keys).size).toBe(1);
  expect(screen.getByText('Away.')).toBeTruthy();
});

test('what can hurt somebody is warned of, and the name under it goes with the answer', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => ({
    status: 400,
    title: 'Some of it cannot be used as typed.',
    fields: [{ field: 'signed', message: 'Who signed the warning.' }],
  });
  const unsafe = view();
  unsafe.estimate!.columns[0]!.unsafe = ['New cord'];
  stand(<OwnersPage initial={unsafe} token="abc" />);
  expect(screen.getByText(/can hurt somebody.*New cord/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /least/ }));
  await settle();
  expect(screen.getByText('Who signed the warning.')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Name under this warning'), { target: { value: 'J. Marsk' } });
  fireEvent.click(screen.getByRole('button', { name: /least/ }));
  await settle();
  expect(sent.at(-1)!.body).toMatchObject({ signed: 'J. Marsk' });
});

test('in the owner’s language, with the titles of the paper too', () => {
  furnishBrowser();
  const words = { ...OWNERS_PHRASES, found: 'Vi fant', must: 'Må gjøres', question: 'Hva skal vi gjøre?' };
  stand(<OwnersPage initial={view({ language: 'nb', words })} token="abc" />);
  for (const text of ['Vi fant', 'Må gjøres', 'Hva skal vi gjøre?']) expect(screen.getByText(text)).toBeTruthy();
  expect(screen.getByRole('main').lang).toBe('nb');
});

test('with nothing to answer it says so, and asks nothing', () => {
  furnishBrowser();
  stand(<OwnersPage initial={view({ estimate: null, said: [] })} token="abc" />);
  expect(screen.getByText('There is nothing to answer yet.')).toBeTruthy();
  expect(screen.queryByRole('button')).toBeNull();
});
