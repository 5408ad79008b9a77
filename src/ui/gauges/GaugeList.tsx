import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { gauges } from '@/core/gauges/catalogue';
import NextLink from '../theme/NextLink';

/** All gauges with what each answers. */
export function GaugeList({ job }: { job: number | undefined }) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 980 }}>
      <Typography component="h1" variant="h1">
        {job ? `Gauges for job ${job}` : 'Gauges'}
      </Typography>
      <Typography variant="body2">
        Usable alone in a hurry. Opened from a job, the result is kept with it and answers the finder, starts a wait or
        finds the part.
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, borderTop: '1px solid', borderColor: 'divider' }}>
        {gauges.map((g) => (
          <Box component="li" key={g.id} sx={{ borderBottom: '1px solid', borderColor: 'divider' }}>
            <Link
              component={NextLink}
              href={`/gauges/${g.id}${job ? `?job=${job}` : ''}`}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr', sm: '210px 1fr' },
                gap: { xs: 0, sm: 2 },
                py: 1,
                minHeight: 46,
                alignItems: 'baseline',
                textDecoration: 'none',
                '&:hover': { bgcolor: 'bench.well' },
              }}
            >
              <Typography component="span" variant="h3">
                {g.label}
              </Typography>
              <Typography component="span" variant="body2" sx={{ color: 'text.primary' }}>
                {g.purpose}
              </Typography>
            </Link>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
