'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { gaugeById } from '@/core/gauges/catalogue';
import { instantAt } from '../parts/instants';
import NextLink from '../theme/NextLink';
import type { JobDesk } from '../job/useJob';

/** What was measured and reckoned in this job; each can be opened again and reckoned anew. */
export function JobGauges({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const closed = job.stage === 'closed';
  return (
    <Box component="section" aria-label="Gauges" sx={{ display: 'grid', gap: 0.75, pl: { lg: 2 } }}>
      <Typography component="h2" variant="h3">
        Measured
      </Typography>
      {job.gauges.map((g) => {
        const gauge = gaugeById(g.gauge);
        return (
          <Box key={g.id} sx={{ borderBottom: '1px solid', borderColor: 'divider', pb: 0.5 }}>
            <Typography variant="body2">
              <Link component={NextLink} href={`/gauges/${g.gauge}?job=${job.id}&kept=${g.id}`}>
                {gauge?.label ?? g.gauge}
              </Link>
              : {g.says}
            </Typography>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Typography variant="caption" sx={{ color: 'text.secondary', flex: 1 }}>
                {instantAt(g.at, job.zone)}
                {g.by ? `, ${g.by}` : ''}
                {gauge && gauge.version !== g.version ? `, by method ${g.version}; now it is ${gauge.version}` : ''}
              </Typography>
              {!closed && (
                <Button
                  size="small"
                  variant="text"
                  color="inherit"
                  className="no-print"
                  disabled={busy}
                  aria-label={`Take back ${gauge?.label ?? g.gauge}`}
                  onClick={() => void act('take-back-gauge', { result: g.id })}
                >
                  take back
                </Button>
              )}
            </Box>
          </Box>
        );
      })}
      {!closed && (
        <Link component={NextLink} href={`/gauges?job=${job.id}`} className="no-print">
          {job.gauges.length === 0 ? 'Measure something with a gauge' : 'Another gauge'}
        </Link>
      )}
    </Box>
  );
}
