import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';

/** In the place of the proposed check, as large as one, while the next step is worked out. */
export function Reckoning() {
  return (
    <Box
      component="section"
      aria-label="Check on the bench"
      aria-busy
      sx={{
        border: '1px solid',
        borderColor: 'divider',
        borderTop: '5px solid',
        borderTopColor: 'bench.rule',
        bgcolor: 'background.paper',
        p: 1.75,
        minHeight: 216,
      }}
    >
      <Typography component="h2" variant="h2" sx={{ color: 'text.secondary' }}>
        Reckoning the next step
      </Typography>
    </Box>
  );
}

/** In the place of the odds before they come. */
export function OddsToCome() {
  return (
    <Box component="section" aria-label="Odds of the faults" aria-busy>
      <Typography component="h2" variant="h3">
        Likely faults
      </Typography>
      {[82, 64, 70, 48, 56].map((width) => (
        <Skeleton key={width} variant="text" width={`${width}%`} sx={{ fontSize: '1.6rem' }} />
      ))}
    </Box>
  );
}
