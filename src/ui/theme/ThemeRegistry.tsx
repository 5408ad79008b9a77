'use client';

import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Asking } from '../asking/Asking';
import { MODE_KEY } from './firstScheme';
import { theme } from './theme';

/**
 * The theme. What lamp is on is known to it from the first moment in a browser (`noSsr`): a provider that finds it out later
 * has the whole page drawn twice. Its colours and the ground of the elements stand in theme.css, which no answer
 * need say again.
 */
export function ThemeRegistry({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme} defaultMode="system" modeStorageKey={MODE_KEY} noSsr disableStyleSheetGeneration>
      <Asking>{children}</Asking>
    </ThemeProvider>
  );
}
