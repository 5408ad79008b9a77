import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** Something to know or to decide, in brass; never a hazard. */
export function Notice({ title, children, live = false }: { title: string; children?: ReactNode; live?: boolean }) {
  return (
    <Box
      role={live ? 'alert' : 'note'}
      sx={{ borderLeft: '6px solid', borderColor: 'bench.brassFill', bgcolor: 'bench.well', px: 1.5, py: 1 }}
    >
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

/** A place with nothing in it yet: says so, and what to do. */
export function Empty({ children }: { children: ReactNode }) {
  return (
    <Typography variant="body2" sx={{ color: 'text.secondary', py: 1.5 }}>
      {children}
    </Typography>
  );
}
