/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import type { OddsView } from '@/shop/finding/dto';
import { Around, furnishBrowser } from '../testBench.fixture';
import { jobInFind } from './job.fixture';
import { useOdds } from './useOdds';

const { odds } = jobInFind();
const oddsOf = (key: string): OddsView => ({ ...(odds as OddsView), key });
const stand = (told: OddsView | Promise<OddsView> | null, oddsKey: string) =>
  renderHook(({ key }) => useOdds({ id: 4, oddsKey: key }, told), { wrapper: Around, initialProps: { key: oddsKey } });

test('what comes with the page is shown at once and asked for by nobody', async () => {
  const { sent } = furnishBrowser();
  const { result } = stand(oddsOf('a'), 'a');
  expect(result.current).toMatchObject({ fresh: true, odds: oddsOf('a').assessment });
  await act(async () => {});
  expect(sent).toEqual([]);
});

test('after an answer the old odds stay, not as fresh ones, until the new are there; taken back, they are there at once', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = () => oddsOf('b');
  const { result, rerender } = stand(oddsOf('a'), 'a');
  rerender({ key: 'b' });
  expect(result.current.fresh).toBe(false);
  expect(result.current.odds).not.toBeNull();
  await waitFor(() => expect(result.current.fresh).toBe(true));
  rerender({ key: 'a' });
  expect(result.current.fresh).toBe(true);
  expect(sent).toHaveLength(1);
});

test('odds of another moment are never called fresh: they are asked for again', async () => {
  jest.useFakeTimers();
  const { sent, answer } = furnishBrowser();
  answer.with = () => oddsOf('b');
  const { result } = stand(oddsOf('a'), 'c');
  await act(() => jest.advanceTimersByTimeAsync(100));
  expect(sent).toHaveLength(1);
  expect(result.current.fresh).toBe(false);
  answer.with = () => oddsOf('c');
  await act(() => jest.advanceTimersByTimeAsync(2000));
  expect(result.current.fresh).toBe(true);
  jest.useRealTimers();
});

test('odds that come in a moment are waited for; a server that fails is asked until it answers', async () => {
  jest.useFakeTimers();
  const { sent, answer } = furnishBrowser();
  let tell = (_: OddsView) => {};
  const { result, unmount } = stand(new Promise<OddsView>((r) => (tell = r)), 'a');
  await act(() => jest.advanceTimersByTimeAsync(400));
  expect([sent.length, result.current.fresh]).toEqual([0, false]);
  tell(oddsOf('a'));
  await act(() => jest.advanceTimersByTimeAsync(10));
  expect(result.current.fresh).toBe(true);
  unmount();
  answer.with = () => ({ status: 500 });
  const { result: second } = stand(Promise.reject(new Error('lost')), 'z');
  await act(async () => {});
  await act(() => jest.advanceTimersByTimeAsync(3500));
  expect(sent.length).toBeGreaterThanOrEqual(2);
  answer.with = () => oddsOf('z');
  await act(() => jest.advanceTimersByTimeAsync(2000));
  expect(second.current.fresh).toBe(true);
  jest.useRealTimers();
});

test('where nobody wants odds nobody asks for them', async () => {
  const { sent } = furnishBrowser();
  const { result } = stand(null, 'a');
  await act(async () => {});
  expect(sent).toEqual([]);
  expect(result.current).toEqual({ odds: null, fresh: false, problem: null });
});

test('what the framework passes as a promise gives nothing back when it is waited for', async () => {
  const { sent } = furnishBrowser();
  const told = Object.create(Promise.prototype) as Promise<OddsView>;
  let tell = (_: OddsView) => {};
  Object.assign(told, { then: (take: typeof tell) => void (tell = take) });
  const { result } = stand(told, 'a');
  await act(async () => tell(oddsOf('a')));
  expect(result.current.fresh).toBe(true);
  expect(sent).toEqual([]);
});
