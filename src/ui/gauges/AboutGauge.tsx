import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { AnyGauge } from '@/core/gauges/catalogue';

/** What is computed, by which formula and from which source; folded away. */
export function AboutGauge({ gauge }: { gauge: AnyGauge }) {
  return (
    <Box component="details" sx={{ '& summary': { cursor: 'pointer', minHeight: 36, fontWeight: 600 } }}>
      <Box component="summary">How it is reckoned, and from which source</Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5, display: 'grid', gap: 0.75 }}>
        {gauge.formulas.map((f) => (
          <li key={f.text}>
            <Typography variant="body2">
              {f.text}{' '}
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {f.source}
              </Box>
            </Typography>
          </li>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }}>
        Method {gauge.version}.
      </Typography>
    </Box>
  );
}
