'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

/** Nothing but one heading and one button of the component library. */
export function Blank() {
  return (
    <Box component="main">
      <Typography component="h1" variant="h1">
        Empty
      </Typography>
      <Button>Nothing</Button>
    </Box>
  );
}
