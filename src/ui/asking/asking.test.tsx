/** @jest-environment jsdom */
import { act, fireEvent, renderHook, screen, waitFor } from '@testing-library/react';
import { Around, furnishBrowser, stand } from '../testBench.fixture';
import { MoreOfIt } from '../parts/MoreOfIt';
import { ask, NoAnswer } from './ask';
import { useMore } from './useMore';

interface Page {
  rows: number[];
  after: number | null;
}

function List({ first }: { first: Page }) {
  const list = useMore(first, (page) => (page.after === null ? null : `/api/v1/numbers?after=${page.after}`));
  return (
    <>
      <p data-testid="rows">{list.pages.flatMap((p) => p.rows).join(' ')}</p>
      <MoreOfIt list={list} label="Older" />
    </>
  );
}

const rows = () => screen.getByTestId('rows').textContent;

test('a list is read on from where it ends, and says when there is no more', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = (_, url) => (url.endsWith('after=2') ? { rows: [3, 4], after: 4 } : { rows: [5], after: null });
  stand(<List first={{ rows: [1, 2], after: 2 }} />);
  expect(rows()).toBe('1 2');
  fireEvent.click(screen.getByRole('button', { name: 'Older' }));
  await waitFor(() => expect(rows()).toBe('1 2 3 4'));
  fireEvent.click(screen.getByRole('button', { name: 'Older' }));
  await waitFor(() => expect(rows()).toBe('1 2 3 4 5'));
  expect(screen.queryByRole('button', { name: 'Older' })).toBeNull();
  expect(sent.map((s) => s.url)).toEqual(['/api/v1/numbers?after=2', '/api/v1/numbers?after=4']);
});

test('what cannot be read is said, nothing that is there is lost, and another press reads it', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ status: 503 });
  stand(<List first={{ rows: [1], after: 1 }} />);
  fireEvent.click(screen.getByRole('button', { name: 'Older' }));
  expect((await screen.findByRole('alert')).textContent).toContain('cannot be read now');
  expect(rows()).toBe('1');
  answer.with = () => ({ rows: [2], after: null });
  fireEvent.click(screen.getByRole('button', { name: 'Older' }));
  await waitFor(() => expect(rows()).toBe('1 2'));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('a page that was made anew begins the list anew: what was agreed meanwhile is seen', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ rows: [2], after: null });
  const { rerender } = stand(<List first={{ rows: [1], after: 1 }} />);
  fireEvent.click(screen.getByRole('button', { name: 'Older' }));
  await waitFor(() => expect(rows()).toBe('1 2'));
  rerender(<List first={{ rows: [7], after: 7 }} />);
  expect(rows()).toBe('7');
});

test('two lists of one screen do not read each other', async () => {
  const { answer } = furnishBrowser();
  answer.with = (_, url) => ({ rows: [url.endsWith('after=1') ? 10 : 20], after: null });
  stand(
    <>
      <section aria-label="one">
        <List first={{ rows: [1], after: 1 }} />
      </section>
      <section aria-label="two">
        <List first={{ rows: [2], after: 2 }} />
      </section>
    </>,
  );
  fireEvent.click(screen.getAllByRole('button', { name: 'Older' })[1]!);
  await waitFor(() => expect(screen.getAllByTestId('rows').map((r) => r.textContent)).toEqual(['1', '2 20']));
});

test.each([503, 404, 400])('an answer of %s is no answer', async (status) => {
  furnishBrowser().answer.with = () => ({ status });
  await expect(ask('/api/v1/bench')).rejects.toMatchObject({ status });
});

test('a server that is away is told from one that refuses; who left asks for nothing any more', async () => {
  Object.assign(globalThis, { fetch: () => Promise.reject(new TypeError('away')) });
  await expect(ask('/api/v1/bench')).rejects.toEqual(new NoAnswer(0));
  const stop = new AbortController();
  stop.abort();
  await expect(ask('/api/v1/bench', stop.signal)).rejects.toBeInstanceOf(TypeError);
});

test('without a network the shop’s own server is asked all the same', async () => {
  const { answer, sent } = furnishBrowser();
  answer.with = () => ({ rows: [2], after: null });
  Object.defineProperty(window.navigator, 'onLine', { configurable: true, value: false });
  const first: Page = { rows: [1], after: 1 };
  const { result } = renderHook(() => useMore(first, () => '/api/v1/numbers'), {
    wrapper: Around,
  });
  act(() => result.current.more());
  await waitFor(() => expect(sent).toHaveLength(1));
  Object.defineProperty(window.navigator, 'onLine', { configurable: true, value: true });
});
