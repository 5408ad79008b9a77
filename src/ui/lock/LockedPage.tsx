'use client';

import Box from '@mui/material/Box';
import { UnlockForm } from './UnlockForm';

/** A locked screen that was loaded anew. */
export function LockedPage({ name, next }: { name: string; next: string }) {
  return (
    <Box component="main" sx={{ minHeight: '100vh', display: 'grid', placeItems: 'center', p: 2 }}>
      <UnlockForm name={name} onOpen={() => window.location.assign(next)} />
    </Box>
  );
}
