/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import { MODE_KEY, SCHEME_ATTRIBUTE } from './firstScheme';
import { followLamp, putOn, turnLamp, useLamp } from './lamp';

let systemIsDark = false;
let systemTurns = () => {};
const shown = () => document.documentElement.getAttribute(SCHEME_ATTRIBUTE);

beforeEach(() => {
  localStorage.clear();
  systemIsDark = false;
  document.documentElement.setAttribute(SCHEME_ATTRIBUTE, 'light');
  window.matchMedia = (() => ({
    get matches() {
      return systemIsDark;
    },
    addEventListener: (_: string, heard: () => void) => (systemTurns = heard),
    removeEventListener: () => (systemTurns = () => {}),
  })) as unknown as typeof matchMedia;
});

test('a lamp that is put on is kept, and its switch turns it', () => {
  turnLamp();
  expect([shown(), localStorage.getItem(MODE_KEY)]).toEqual(['dark', 'dark']);
  turnLamp();
  expect([shown(), localStorage.getItem(MODE_KEY)]).toEqual(['light', 'light']);
});

test('the system is followed until somebody chooses, and another tab always', () => {
  const stop = followLamp();
  systemIsDark = true;
  systemTurns();
  expect(shown()).toBe('dark');
  putOn('light');
  systemTurns();
  expect(shown()).toBe('light');
  localStorage.setItem(MODE_KEY, 'dark');
  window.dispatchEvent(new StorageEvent('storage', { key: MODE_KEY }));
  expect(shown()).toBe('dark');
  stop();
  localStorage.setItem(MODE_KEY, 'light');
  window.dispatchEvent(new StorageEvent('storage', { key: MODE_KEY }));
  expect(shown()).toBe('dark');
});

test('what is drawn without the style sheet is drawn anew when the lamp is turned', async () => {
  const Lamp = () => <p>{useLamp()}</p>;
  render(<Lamp />);
  expect(screen.getByText('light')).toBeTruthy();
  await act(async () => turnLamp());
  expect(screen.getByText('dark')).toBeTruthy();
});

test('a device that keeps nothing still turns its lamp', () => {
  const denied = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new Error('denied');
  });
  putOn('dark');
  expect(shown()).toBe('dark');
  denied.mockRestore();
});
