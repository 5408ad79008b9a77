/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import type { LearningView } from '@/shop/learning/dto';
import { furnishBrowser, stand } from '../testBench.fixture';
import { LentShops } from './LentShops';

const refreshed = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {}, refresh: () => refreshed() }) }));

const lent: LearningView['lent'] = [
  { id: 3, version: 2, shop: 'Quay bench', jobs: 120, weight: 0.3, at: '2030-03-04T08:00:00Z' },
];

function show(answered: unknown = {}) {
  const { sent, answer } = furnishBrowser();
  answer.with = (method) => (method === 'POST' ? answered : { content: null, at: null });
  stand(<LentShops lent={lent} zone="UTC" />);
  return (path: string) => sent.filter((s) => s.method === 'POST' && s.url.endsWith(path)).map((s) => s.body);
}
const choose = (text: string) => {
  const file = Object.assign(new File([text], 'learning.json'), { text: async () => text });
  fireEvent.change(screen.getByLabelText('Learning of another shop'), { target: { files: [file] } });
};

beforeEach(() => refreshed.mockClear());

test('whose learning counts here and how much, also a weight that is in no list', () => {
  show();
  expect(screen.getByText(/Quay bench/).textContent).toMatch(/120 jobs, taken in 2030-03-04/);
  expect(screen.getByLabelText('A job of theirs counts').textContent).toBe('0.3');
});

test('weighed otherwise by one choice, on the version that was seen', async () => {
  const posts = show();
  fireEvent.mouseDown(screen.getByLabelText('A job of theirs counts'));
  fireEvent.click(screen.getByRole('option', { name: 'not at all' }));
  await waitFor(() => expect(posts('/learning/3/weigh-lent')).toHaveLength(1));
  expect(posts('/learning/3/weigh-lent')[0]).toMatchObject({ version: 2, weight: 0 });
  await waitFor(() => expect(refreshed).toHaveBeenCalled());
});

test('a file that is no JSON is told, and nothing is sent; one that is comes in at half', async () => {
  const posts = show();
  choose('faults;counts');
  expect(await screen.findByText(/This is not a JSON file/)).toBeTruthy();
  expect(posts('/learning')).toEqual([]);
  choose('{"shop":"Quay bench"}');
  await waitFor(() => expect(posts('/learning')).toHaveLength(1));
  expect(posts('/learning')[0]).toMatchObject({ weight: 0.5, book: { shop: 'Quay bench' } });
  await waitFor(() => expect(screen.queryByText(/This is not a JSON file/)).toBeNull());
  await act(async () => {});
});

test('what is wrong with a book is told where it is', async () => {
  const fields = [{ field: 'book.kinds[2]', message: 'This kind is not known here.' }];
  show({ status: 400, title: 'It cannot be taken in.', fields });
  choose('{}');
  expect(await screen.findByText('book.kinds[2]: This kind is not known here.')).toBeTruthy();
});
