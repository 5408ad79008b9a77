'use client';

import { ThemeContext } from '@emotion/react';
import DefaultPropsProvider from '@mui/system/DefaultPropsProvider';
import { useEffect, type ReactNode } from 'react';
import { Asking } from '../asking/Asking';
import { atFirstUse } from './atFirstUse';
import { followLamp } from './lamp';
import { makeTheme } from './theme';

// Making it is the longest single piece of a page's waking, and most pages wake without one component that looks into it.
const theme = atFirstUse(() => {
  const made = makeTheme();
  // The bare names of the colours: their figures beside every name would be said in every style.
  return { ...made, vars: made.generateThemeVars() };
});
const usual = atFirstUse(() => theme.components ?? {});

/**
 * The theme, for the components of the library: made when the first of them is drawn. Its colours and the ground of the elements
 * stand in theme.css, by day and by night, so that a lamp put on draws nothing anew.
 */
export function ThemeRegistry({ children }: { children: ReactNode }) {
  useEffect(followLamp, []);
  return (
    <ThemeContext.Provider value={theme}>
      <DefaultPropsProvider value={usual}>
        <Asking>{children}</Asking>
      </DefaultPropsProvider>
    </ThemeContext.Provider>
  );
}
