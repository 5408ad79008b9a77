/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import { useHearing } from './useHearing';
import '../testBench.fixture';

const known = [
  { id: 'roll-not-turning', label: 'Roll does not turn' },
  { id: 'bad-smell', label: 'Smells of pet or mould' },
];
const listen = (words: string, more: Partial<Parameters<typeof useHearing>[0]> = {}) =>
  renderHook((said: Parameters<typeof useHearing>[0]) => useHearing(said, known), {
    initialProps: { words, complaints: [], visit: '', ...more },
  });
const labels = (result: { current: ReturnType<typeof useHearing> }) => result.current.proposed.map((p) => p.label);

afterEach(() => jest.resetModules());

test('what is heard and this kind can have is proposed, with the piece it was heard in', async () => {
  const { result, rerender } = listen('The brush does not turn, and it stinks of dog, and the battery is flat');
  await waitFor(() => expect(labels(result).sort()).toEqual(['Roll does not turn', 'Smells of pet or mould']));
  for (const p of result.current.proposed) expect(p.because.length).toBeGreaterThan(10);
  // What is chosen already is not proposed again.
  rerender({ words: 'The brush does not turn, and it stinks of dog', complaints: ['roll-not-turning'], visit: '' });
  expect(labels(result)).toEqual(['Smells of pet or mould']);
});

test('a reason for the visit is proposed to who has no complaint', async () => {
  const { result, rerender } = listen('Nothing is wrong, it is here for its yearly service');
  await waitFor(() => expect(result.current.proposed[0]).toMatchObject({ visit: 'service', label: 'Service' }));
  rerender({ words: 'Nothing is wrong, it is here for its yearly service', complaints: ['bad-smell'], visit: '' });
  expect(result.current.proposed.filter((p) => p.visit)).toEqual([]);
});

test('no words, nothing proposed', async () => {
  const { result } = listen('  ');
  await act(async () => {});
  expect(result.current).toEqual({ proposed: [], deaf: false });
});

test('when the hearing does not come, that is said and nothing is lost', async () => {
  jest.doMock('@/knowledge/hearing', () => {
    throw new Error('no network');
  });
  const { result } = listen('The brush does not turn');
  await waitFor(() => expect(result.current.deaf).toBe(true));
  expect(result.current.proposed).toEqual([]);
  jest.dontMock('@/knowledge/hearing');
});
