'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import NextLink from '../theme/NextLink';

/** An address that leads nowhere: says so, and where to go on. */
export function NotHere() {
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography component="h1" variant="h1">
        Not here
      </Typography>
      <Typography>
        No machine, job or page answers to this address.{' '}
        <Link component={NextLink} href="/machines">
          Search the machines
        </Link>{' '}
        or go to the{' '}
        <Link component={NextLink} href="/">
          bench
        </Link>
        .
      </Typography>
    </Box>
  );
}
