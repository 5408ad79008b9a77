import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { gauges } from '@/core/gauges/catalogue';
import type { AnyGauge } from '@/core/gauges/reckon';
import { GAUGE_GROUPS, type GaugeGroup } from '@/core/gauges/gauge';
import NextLink from '../theme/NextLink';
import { GaugeMark } from './GaugeMark';

/** The colour in which what is measured is drawn: that of the line of the board it belongs to. */
const LINES: Record<GaugeGroup, string> = {
  drive: 'drive',
  air: 'air',
  power: 'power',
  motor: 'power',
  battery: 'power',
  floor: 'water',
  waiting: 'water',
};

/** All gauges in groups, each with what it measures as a small drawing and what it answers. */
export function GaugeList({ job }: { job: number | undefined }) {
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 1120 }}>
      <Typography component="h1" variant="h1">
        {job ? `Gauges for job ${job}` : 'Gauges'}
      </Typography>
      <Typography variant="body2">
        Usable alone in a hurry. Opened from a job, the result is kept with it and answers the finder, starts a wait or
        finds the part.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, gap: 1.5 }}>
        {(Object.keys(GAUGE_GROUPS) as GaugeGroup[]).map((group) => (
          <GaugeGroupOf key={group} group={group} job={job} />
        ))}
      </Box>
    </Box>
  );
}

/** A group of one stands beside another of one. */
function GaugeGroupOf({ group, job }: { group: GaugeGroup; job: number | undefined }) {
  const members = gauges.filter((g) => g.group === group);
  const isAlone = members.length === 1;
  return (
    <Box
      component="section"
      aria-labelledby={`gauges-${group}`}
      sx={{
        gridColumn: { xs: 'auto', md: isAlone ? 'auto' : '1 / -1' },
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '92px 1fr' },
        columnGap: 2,
        borderTop: '1px solid',
        borderColor: 'divider',
        pt: 0.5,
      }}
    >
      <Typography component="h2" variant="h3" id={`gauges-${group}`} sx={{ pt: 1, color: 'text.secondary' }}>
        {GAUGE_GROUPS[group]}
      </Typography>
      <Box
        component="ul"
        sx={{
          listStyle: 'none',
          m: 0,
          p: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: isAlone ? '1fr' : '1fr 1fr' },
          columnGap: 2,
        }}
      >
        {members.map((g) => (
          <GaugeEntry key={g.id} gauge={g} job={job} />
        ))}
      </Box>
    </Box>
  );
}

function GaugeEntry({ gauge, job }: { gauge: AnyGauge; job: number | undefined }) {
  return (
    <Box component="li">
      <Link
        component={NextLink}
        href={`/gauges/${gauge.id}${job ? `?job=${job}` : ''}`}
        sx={{
          display: 'flex',
          gap: 2,
          p: 1,
          minHeight: 64,
          alignItems: 'center',
          textDecoration: 'none',
          '&:hover': { bgcolor: 'bench.well' },
        }}
      >
        <GaugeMark gauge={gauge.id} line={LINES[gauge.group]} />
        <Box component="span" sx={{ display: 'grid' }}>
          <Typography component="span" variant="h3">
            {gauge.label}
          </Typography>
          <Typography component="span" variant="body2" sx={{ color: 'text.primary' }}>
            {gauge.purpose}
          </Typography>
        </Box>
      </Link>
    </Box>
  );
}
