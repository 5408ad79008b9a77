import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** What a room of the shop is called, and what stands in it. */
export function ShopHead({ title, about, children }: { title: string; about: string; children?: ReactNode }) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
      <Typography component="h1" variant="h2">
        {title}
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {about}
      </Typography>
      {children}
    </Box>
  );
}
