import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** Whatever the reason: it was taken back, has run out, or never was. */
export default function NoSuchPage() {
  return (
    <Box component="main" id="work" sx={{ maxWidth: 640, mx: 'auto', p: 2 }}>
      <Typography component="h1" variant="h1">
        This page is not open
      </Typography>
      <Typography>
        It may have been answered and closed, or its time is over. Call the shop that sent it to you.
      </Typography>
    </Box>
  );
}
