/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { furnishBrowser } from '../testBench.fixture';
import { EMPTY, useTakeIn } from './useTakeIn';

const start = { ...EMPTY, promisedOn: '2199-01-01' };
const settle = () => act(async () => {});
const stranger = {
  isNew: true,
  modelId: '3',
  isNewCustomer: true,
  name: 'Jory Marsk',
  phone: '555 0303',
  words: 'It hums.',
  complaints: ['squeal'],
};

beforeEach(() => window.localStorage.clear());

async function form() {
  const browser = furnishBrowser();
  const onDone = jest.fn();
  const { result } = renderHook(() => useTakeIn(start, onDone));
  await settle();
  return { ...browser, result, onDone, jobs: () => browser.sent.filter((s) => s.url === '/api/v1/jobs') };
}

test('nothing chosen: what is missing is named at its field, and nothing is sent', async () => {
  const { result, jobs } = await form();
  await act(() => result.current.send());
  expect(result.current.fieldProblem('machineId')).toContain('Which machine?');
  expect(result.current.fieldProblem('complaints')).toBeTruthy();
  expect(jobs()).toEqual([]);
  act(() => result.current.set({ isNew: true }));
  expect(result.current.fieldProblem('machineId')).toBeUndefined();
});

test.each([
  ['madeYear', '20x9', 'newMachine.madeYear'],
  ['hoursPerWeek', 'two', 'newMachine.hoursPerWeek'],
  ['meterHours', '1,2,3', 'meterHours'],
] as const)('%s typed as %s is told at its field, and not sent as empty', async (name, typed, field) => {
  const { result, jobs } = await form();
  act(() => result.current.set({ ...stranger, [name]: typed }));
  await act(() => result.current.send());
  expect(result.current.fieldProblem(field)).toBeTruthy();
  expect(jobs()).toEqual([]);
});

test('a stranger’s machine goes out once, with the numbers as they were meant', async () => {
  const { result, answer, jobs, onDone } = await form();
  answer.with = (_method, url) => (url === '/api/v1/jobs' ? { job: 9, tag: 'GK-0009' } : { content: null, at: null });
  act(() => result.current.set({ ...stranger, madeYear: '2021', hoursPerWeek: '1,5' }));
  await act(() => result.current.send());
  expect(jobs()).toHaveLength(1);
  expect(jobs()[0]!.body).toMatchObject({
    newMachine: { modelId: 3, madeYear: 2021, hoursPerWeek: 1.5 },
    newCustomer: { name: 'Jory Marsk', kind: 'household' },
    complaints: ['squeal'],
    promisedOn: '2199-01-01',
  });
  expect(jobs()[0]!.body).not.toHaveProperty('machineId');
  expect(onDone).toHaveBeenCalledWith(9, 'GK-0009');
});

test('pressed again after a lost answer it carries the same key, after a change another', async () => {
  const { result, answer, jobs } = await form();
  answer.with = (_method, url) => {
    if (url === '/api/v1/jobs') throw new TypeError('lost');
    return { content: null, at: null };
  };
  act(() => result.current.set(stranger));
  await act(() => result.current.send());
  expect(result.current.refusal).toMatchObject({ status: 0 });
  await act(() => result.current.send());
  act(() => result.current.set({ words: 'It hums loudly.' }));
  await act(() => result.current.send());
  const keys = jobs().map((j) => (j.body as { key: string }).key);
  expect(keys[0]).toBe(keys[1]);
  expect(keys[2]).not.toBe(keys[0]);
});

test('a refusal of the server stands at the form’s own field until it is changed', async () => {
  const { result, answer } = await form();
  const fields = [{ field: 'complaints[0]', message: 'This kind has no such complaint.' }];
  answer.with = (_method, url) =>
    url === '/api/v1/jobs' ? { status: 400, title: 'No.', fields } : { content: null, at: null };
  act(() => result.current.set(stranger));
  await act(() => result.current.send());
  expect(result.current.fieldProblem('complaints')).toBe('This kind has no such complaint.');
  act(() => result.current.toggle('complaints', 'rattle'));
  expect(result.current.fieldProblem('complaints')).toBeUndefined();
  expect(result.current.values.complaints).toEqual(['squeal', 'rattle']);
});

test('a kept draft comes back, but does not overtake what is being typed', async () => {
  const browser = furnishBrowser();
  browser.answer.with = (method) =>
    method === 'GET'
      ? { content: { ...EMPTY, words: 'from before' }, at: '2030-01-01T00:00:00.000000Z' }
      : { at: null };
  const { result } = renderHook(() => useTakeIn(start, () => {}));
  await settle();
  expect(result.current.values.words).toBe('from before');
  expect(result.current.restored).toBe(true);
  // The promised day is reckoned from today, not from then.
  expect(result.current.values.promisedOn).toBe('2199-01-01');
  window.localStorage.clear();
  const typing = renderHook(() => useTakeIn(start, () => {}));
  act(() => typing.result.current.set({ words: 'typed at once' }));
  await settle();
  expect(typing.result.current.values.words).toBe('typed at once');
});
