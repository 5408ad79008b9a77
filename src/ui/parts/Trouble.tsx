'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

/** The server failed while a page was made: what is saved, and what to do. */
export function Trouble({ digest, onRetry }: { digest: string; onRetry: () => void }) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 560 }} role="alert">
      <Typography component="h1" variant="h1">
        This page could not be made
      </Typography>
      <Typography>
        What was saved before is safe; what you typed and did not send is kept in this browser. Try again; if it stays
        so, show the number to whoever keeps the server: {digest || 'none'}.
      </Typography>
      <Box>
        <Button variant="contained" onClick={onRetry}>
          Try again
        </Button>
      </Box>
    </Box>
  );
}
