/** @jest-environment jsdom */
import Button from '@mui/material/Button';
import { ThemeProvider, useTheme } from '@mui/material/styles';
import { render } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import type { ReactElement } from 'react';
import { atFirstUse } from './atFirstUse';
import { benchInks } from './palette';
import { makeTheme } from './theme';
import { ThemeRegistry } from './ThemeRegistry';

beforeEach(() => {
  window.matchMedia = (() => ({
    matches: false,
    addEventListener() {},
    removeEventListener() {},
    addListener() {},
    removeListener() {},
  })) as never;
});

test('it is made when somebody looks into it, once, and reads as the thing itself', () => {
  const make = jest.fn(() => ({ a: 1, b: { c: 2 } }));
  const later = atFirstUse(make);
  expect(make).not.toHaveBeenCalled();
  expect(later.b.c).toBe(2);
  expect([Object.keys(later), 'a' in later, { ...later }]).toEqual([['a', 'b'], true, { a: 1, b: { c: 2 } }]);
  expect(make).toHaveBeenCalledTimes(1);
});

test('a component of the library looks the same under it as under the library’s own provider', () => {
  const button = <Button size="small">Keep</Button>;
  const looks = (place: ReactElement) => {
    const { container, unmount } = render(place);
    const name = /css-[a-z0-9]+/.exec(container.innerHTML)![0];
    const rules = [...document.styleSheets].flatMap((s) => [...s.cssRules].map((r) => r.cssText));
    unmount();
    // What is declared, whatever the order in which it is said.
    return rules
      .filter((r) => r.includes(name))
      .map((r) =>
        r
          .replaceAll(name, '')
          .split(/[{;}]\s*/)
          .sort(),
      );
  };
  const ours = looks(<ThemeRegistry>{button}</ThemeRegistry>);
  expect(ours).toEqual(looks(<ThemeProvider theme={makeTheme()}>{button}</ThemeProvider>));
  expect(ours.flat().join()).toContain('var(--mui-palette-bench-soft)');
});

test('what looks into the theme finds the names of its colours', () => {
  let found: unknown;
  const Look = () => {
    found = useTheme().vars!.palette.bench.hazard;
    return null;
  };
  render(
    <ThemeRegistry>
      <Look />
    </ThemeRegistry>,
  );
  expect(String(found)).toBe('var(--mui-palette-bench-hazard)');
});

test('every ink of a drawing is a colour of the style sheet', () => {
  const sheet = readFileSync('src/ui/theme/theme.css', 'utf8');
  const names = (inks: object): string[] =>
    Object.values(inks).flatMap((i) => (typeof i === 'string' ? [i] : names(i as object)));
  expect(names(benchInks).length).toBeGreaterThan(15);
  for (const ink of names(benchInks)) expect(sheet).toContain(`${/^var\((.*)\)$/.exec(ink)![1]}:`);
});
