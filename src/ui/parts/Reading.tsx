import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { fonts } from '../theme/palette';

/** A measured or computed number, in the instrument's typeface. */
export function Reading({ children, strong = false }: { children: ReactNode; strong?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        fontFamily: fonts.reading,
        fontSize: '0.92em',
        fontWeight: strong ? 700 : 400,
        whiteSpace: 'nowrap',
        fontVariantNumeric: 'tabular-nums',
      }}
    >
      {children}
    </Box>
  );
}

/** A probability in words for the bench: whole per cent, never a false certainty. */
export function percent(p: number): string {
  if (p > 0.995) return '>99 %';
  if (p < 0.005) return '<1 %';
  return `${Math.round(p * 100)} %`;
}
