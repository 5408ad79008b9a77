/** @jest-environment jsdom */
import { firstScheme, MODE_KEY, SCHEME_ATTRIBUTE } from './firstScheme';

/** What the page is marked with, as its script leaves it. */
function marked(chosen: string | null, systemIsDark: boolean): string | null {
  localStorage.clear();
  document.documentElement.removeAttribute(SCHEME_ATTRIBUTE);
  if (chosen !== null) localStorage.setItem(MODE_KEY, chosen);
  window.matchMedia = ((query: string) => ({ matches: systemIsDark && query.includes('dark') })) as typeof matchMedia;
  window.eval(firstScheme);
  return document.documentElement.getAttribute(SCHEME_ATTRIBUTE);
}

test.each([
  [null, false, 'light'],
  [null, true, 'dark'],
  ['system', true, 'dark'],
  ['light', true, 'light'],
  ['dark', false, 'dark'],
])('chosen %s, system dark %s: %s', (chosen, dark, scheme) => expect(marked(chosen, dark)).toBe(scheme));

test('without a store the page is drawn all the same', () => {
  const get = jest.spyOn(Storage.prototype, 'getItem').mockImplementation(() => {
    throw new Error('denied');
  });
  expect(() => window.eval(firstScheme)).not.toThrow();
  get.mockRestore();
});
