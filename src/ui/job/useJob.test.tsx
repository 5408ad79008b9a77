/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import { Around, furnishBrowser } from '../testBench.fixture';
import { jobInFind } from './job.fixture';
import { useJob } from './useJob';

const { facts, odds } = jobInFind();
const settle = () => act(async () => {});

interface Sent {
  key: string;
  version: number;
  text?: string;
}

/** A job on a bench, and a server by its deeds: `fate` is what it says of a key, null while it cannot be asked. */
function bench({ waitsPass = true } = {}) {
  const { sent, answer } = furnishBrowser();
  const { fetch } = globalThis;
  const fate: { of: boolean | null } = { of: null };
  Object.assign(globalThis, {
    fetch: async (url: string, init?: RequestInit) => {
      if (!url.startsWith('/api/v1/deeds/')) return fetch(url, init);
      if (fate.of === null) throw new TypeError('away');
      const body = { done: fate.of };
      return { ok: true, status: 200, json: async () => body, text: async () => JSON.stringify(body) };
    },
  });
  // Waits between one question and the next pass at once.
  if (waitsPass)
    jest.spyOn(globalThis, 'setTimeout').mockImplementation(((f: () => void) => queueMicrotask(f)) as never);
  Object.assign(AbortSignal, { timeout: () => new AbortController().signal });
  const { result } = renderHook(() => useJob(facts, odds), { wrapper: Around });
  const presses = (deed: string) => sent.filter((s) => s.url.endsWith(`/${deed}`)).map((s) => s.body as Sent);
  return { desk: result, answer, fate, presses };
}
afterEach(() => jest.restoreAllMocks());

const lost = () => {
  throw new TypeError('lost');
};

test('a press whose fate nobody knows keeps its key and its version until somebody does', async () => {
  const { desk, answer, fate, presses } = bench();
  answer.with = (_method, url) => (url.endsWith('/write-note') ? lost() : { content: null, at: null });
  const note = { what: 'note', text: 'Rug fringe.' };
  await act(() => desk.current.act('write-note', note));
  expect(desk.current.refusal).toMatchObject({ unknown: true });
  fate.of = false;
  answer.with = (_method, url) => (url.endsWith('/write-note') ? { id: 12, version: 2 } : { content: null, at: null });
  await act(() => desk.current.act('write-note', note));
  expect(new Set(presses('write-note').map((p) => `${p.key} ${p.version}`)).size).toBe(1);
  expect(desk.current.job.version).toBe(2);
});

test.each([true, false])(
  'another press first asks what became of the last (done: %s), and is not stuck behind it',
  async (done) => {
    const { desk, answer, fate, presses } = bench();
    answer.with = (_method, url) => (url.endsWith('/write-note') ? lost() : { content: null, at: null });
    await act(() => desk.current.act('write-note', { what: 'note', text: 'Rug fringe.' }));
    // While nobody can be asked nothing else is sent either.
    await act(() => desk.current.act('tick-rebuild', { step: 'x', done: true }));
    expect(presses('tick-rebuild')).toEqual([]);
    expect(desk.current.refusal).toMatchObject({ unknown: true });
    fate.of = done;
    answer.with = (_method, url) =>
      url.endsWith('/tick-rebuild') ? { id: 12, version: 3 } : { content: null, at: null };
    expect(await act(() => desk.current.act('tick-rebuild', { step: 'x', done: true }))).toBe(true);
    // Judged by what was seen when it was pressed: the server refuses it when the last one moved the job on.
    expect(presses('tick-rebuild').map((p) => p.version)).toEqual([1]);
  },
);

test('what was pressed behind one’s own press goes on its version; behind somebody else’s it stays with what was seen', async () => {
  const { desk, answer, presses } = bench({ waitsPass: false });
  answer.with = (_method, url) =>
    url.endsWith('/write-note')
      ? { id: 12, version: 2 }
      : url.endsWith('/tick-rebuild')
        ? { id: 12, version: 3 }
        : { content: null, at: null };
  act(() => {
    desk.current.press('write-note', { what: 'note', text: 'One.' });
    desk.current.press('tick-rebuild', { step: 'x', done: true });
  });
  await waitFor(() => expect(presses('tick-rebuild')).toHaveLength(1));
  expect(presses('tick-rebuild')[0]!.version).toBe(2);
  await settle();
  // Somebody else moves the job on between the press and its turn.
  let letGo = (_: unknown) => {};
  answer.with = (_method, url) =>
    url.endsWith('/write-note') ? new Promise((done) => (letGo = done)) : { content: null, at: null };
  act(() => {
    desk.current.press('write-note', { what: 'note', text: 'Two.' });
    desk.current.press('tick-rebuild', { step: 'y', done: true });
  });
  await settle();
  await act(async () => {
    letGo({ status: 409, title: 'Somebody changed this job meanwhile.', current: { ...facts, version: 9 } });
  });
  await waitFor(() => expect(desk.current.conflict).not.toBeNull());
  expect(presses('tick-rebuild')).toHaveLength(1);
});
