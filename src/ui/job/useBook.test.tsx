/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { startTransition, useState } from 'react';
import { writtenBook } from '@/knowledge/tradeBook';
import { stand } from '../testBench.fixture';
import { NotFetched } from '../parts/NotFetched';
import { isTold, toldKind } from './trade';
import { useBook } from './useBook';

const answers: (() => Promise<Response>)[] = [];
const asked: string[] = [];

function Page({ kind }: { kind: string }) {
  const { failed, again } = useBook(kind, `/book/${kind}`);
  if (failed) return <NotFetched failed what="The book" again={again} />;
  return <p>Supply: {toldKind(kind).supply}</p>;
}

const book = (kind: string) => async () => ({
  ok: true,
  json: async () => JSON.parse(writtenBook(kind).text) as unknown,
});
const away = async () => ({ ok: false });

beforeEach(() => {
  jest.useFakeTimers();
  asked.length = 0;
  globalThis.fetch = (async (address: string) => {
    asked.push(address);
    return answers.shift()!();
  }) as typeof fetch;
});
afterEach(() => jest.useRealTimers());

const show = async (kind: string, ...told: (() => Promise<unknown>)[]) => {
  answers.splice(0, answers.length, ...(told as typeof answers));
  await act(async () => stand(<Page kind={kind} />));
};

test('a page waits for its book, and asks once for all that need it', async () => {
  await show('robot', book('robot'));
  expect(screen.getByText('Supply: pack')).toBeTruthy();
  await show('robot');
  expect(screen.getAllByText('Supply: pack')).toHaveLength(2);
  expect(asked).toEqual(['/book/robot']);
});

test('a machine that is corrected while its page is open has the one other book asked for', async () => {
  function Corrected() {
    const [kind, correct] = useState('canister-power-nozzle');
    return (
      <>
        <button onClick={() => startTransition(() => correct('scrubber-ride-on'))}>correct</button>
        <Page kind={kind} />
      </>
    );
  }
  answers.splice(0, answers.length, ...([book('canister-power-nozzle'), book('scrubber-ride-on')] as typeof answers));
  await act(async () => stand(<Corrected />));
  expect(screen.getByText('Supply: mains')).toBeTruthy();
  await act(async () => fireEvent.click(screen.getByText('correct')));
  expect(screen.getByText('Supply: lead-acid')).toBeTruthy();
  expect(asked).toEqual(['/book/canister-power-nozzle', '/book/scrubber-ride-on']);
});

test('a server that is away for a moment is asked again, and nobody is told', async () => {
  await show('backpack', away, book('backpack'));
  expect(screen.queryByText(/cannot be fetched/)).toBeNull();
  await act(async () => jest.advanceTimersByTimeAsync(1_000));
  expect(screen.getByText('Supply: mains')).toBeTruthy();
  expect(asked).toHaveLength(2);
});

test('one that stays away is told of, and asked when somebody says so', async () => {
  await show('wet-dry-tub', away, away, away, book('wet-dry-tub'));
  await act(async () => jest.advanceTimersByTimeAsync(5_000));
  expect(screen.getByText('The book cannot be fetched now.')).toBeTruthy();
  expect(isTold('wet-dry-tub')).toBe(false);
  await act(async () => {
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  });
  expect(screen.getByText('Supply: mains')).toBeTruthy();
});
