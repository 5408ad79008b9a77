'use client';

import Box from '@mui/material/Box';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';

/** Shown while a page is fetched. */
export function Loading() {
  return (
    <Box role="status" sx={{ py: 2, maxWidth: 320 }}>
      <Typography component="h1" variant="h3" sx={{ mb: 1 }}>
        Fetching …
      </Typography>
      <LinearProgress aria-label="Fetching" />
    </Box>
  );
}
