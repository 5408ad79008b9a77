/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { ScreenLock } from './ScreenLock';

const settle = () => act(async () => {});
beforeEach(() => {
  localStorage.clear();
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

function bench() {
  const { sent, answer } = furnishBrowser();
  answer.with = (_method, url) =>
    url.endsWith('/unlock') && (sent.at(-1)!.body as { passphrase: string }).passphrase !== 'right'
      ? { status: 400, title: 'No.', fields: [{ field: 'passphrase', message: 'This is not your passphrase.' }] }
      : {};
  stand(
    <>
      <input aria-label="Words" defaultValue="" />
      <ScreenLock minutes={2} name="Wren Ostrey" />
    </>,
  );
  const locks = () => sent.filter((s) => s.url.endsWith('/me/lock')).length;
  const isLocked = () => screen.queryByRole('dialog') !== null;
  return { locks, isLocked };
}
const pass = (ms: number) => act(async () => jest.advanceTimersByTime(ms));

test('quiet for so long it locks, once, and the server is told; a touch before that starts the time anew', async () => {
  const { locks, isLocked } = bench();
  await pass(100_000);
  fireEvent.keyDown(document.body, { key: 'a' });
  await pass(100_000);
  expect(isLocked()).toBe(false);
  await pass(30_000);
  expect([isLocked(), locks()]).toEqual([true, 1]);
  await pass(300_000);
  expect(locks()).toBe(1);
});

test('it opens by the passphrase alone, and what was typed stays', async () => {
  const { isLocked } = bench();
  fireEvent.change(screen.getByLabelText('Words'), { target: { value: 'hums and' } });
  await pass(130_000);
  // Whatever is pressed or moved on a locked screen opens nothing.
  fireEvent.keyDown(document.body, { key: 'Escape' });
  fireEvent.pointerMove(document.body);
  expect(isLocked()).toBe(true);
  const give = async (passphrase: string) => {
    fireEvent.change(screen.getByLabelText('Passphrase'), { target: { value: passphrase } });
    fireEvent.click(screen.getByRole('button', { name: 'Unlock' }));
    await settle();
    await pass(1000);
  };
  await give('wrong');
  expect(screen.getByText('This is not your passphrase.')).toBeTruthy();
  await give('right');
  expect(isLocked()).toBe(false);
  expect((screen.getByLabelText('Words') as HTMLInputElement).value).toBe('hums and');
});

test('a tab that slept through it is locked when it wakes; unlocked in another, it opens too', async () => {
  localStorage.setItem('gritkeeper-last-touch', String(Date.now() - 10 * 60_000));
  const { isLocked } = bench();
  await settle();
  expect(isLocked()).toBe(true);
  await act(async () => window.dispatchEvent(new StorageEvent('storage', { key: 'gritkeeper-unlocked' })));
  await pass(1000);
  expect(isLocked()).toBe(false);
});
