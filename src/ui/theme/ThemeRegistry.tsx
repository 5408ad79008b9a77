'use client';

import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Asking } from '../asking/Asking';
import { theme } from './theme';

/** The theme; its colours and the ground of the elements stand in theme.css, which no answer need say again. */
export function ThemeRegistry({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme} defaultMode="system" disableStyleSheetGeneration>
      <Asking>{children}</Asking>
    </ThemeProvider>
  );
}
