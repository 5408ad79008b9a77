'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { triedInVain } from '@/core/diagnosis/triedInVain';
import { gauges } from '@/core/gauges/catalogue';
import { doorOf } from '@/core/gauges/door';
import type { JobFacts } from '@/shop/jobView/dto';
import { gaugeAddress } from '../job/gaugeAddress';
import { faultOf, repairLabel } from '../job/labels';
import type { JobDesk } from '../job/useJob';
import { mendsWhat } from '../job/toMend';
import { Empty } from '../parts/Notice';
import NextLink from '../theme/NextLink';

/** What was found and must be mended; what is not ticked stays open on the machine and is told to its owner. */
export function Repairs({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const closed = job.stage === 'closed';
  const earlier = new Map(job.openFaults.map((f) => [f.fault, f.job]));
  const vain = triedInVain(job);
  const faults = [...new Set([...job.toMend, ...job.repaired, ...earlier.keys()])];
  return (
    <Box component="section" aria-label="Repairs">
      <Typography component="h2" variant="h3">
        Repairs
      </Typography>
      {faults.length === 0 && (
        <Empty>
          {job.agree.notWanted.length > 0
            ? 'Nothing is to be mended: the owner did not want it.'
            : job.complaints.length === 0
              ? 'Nothing to mend was found at this visit.'
              : 'Nothing is proved yet.'}
        </Empty>
      )}
      {faults.map((id) => (
        <Box key={id} sx={{ borderBottom: '1px solid', borderColor: 'divider' }}>
          <FormControlLabel
            control={
              <Checkbox
                checked={job.repaired.includes(id)}
                disabled={busy || closed}
                onChange={(e) => void act('mark-repaired', { fault: id, done: e.target.checked })}
              />
            }
            label={
              <>
                {repairLabel(id)}
                <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.88em' }}>
                  {mendsWhat(job, id)}
                  {earlier.has(id) && `, open since job ${earlier.get(id)}`}
                  {vain.includes(id) && '; done on suspicion, and it was not it'}
                  {!job.repaired.includes(id) &&
                    (job.proved.includes(id) || earlier.has(id)
                      ? '; not ticked, it stays open on the machine'
                      : '; not ticked, it was not done')}
                </Box>
              </>
            }
            sx={{ display: 'flex', mx: 0, py: 0.25 }}
          />
          {!closed && <Measured fault={id} job={job} />}
        </Box>
      ))}
    </Box>
  );
}

/** The gauges that measure what this repair takes. */
function Measured({ fault, job }: { fault: string; job: JobFacts }) {
  const groups = faultOf(fault)?.repair.parts ?? [];
  const offered = gauges.flatMap((g) => {
    const group = groups.find((one) => g.measures?.includes(one));
    return group === undefined ? [] : [{ g, group }];
  });
  if (offered.length === 0) return null;
  return (
    <Box className="no-print" sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', pl: 5.25, pb: 0.75 }}>
      {offered.map(({ g, group }) => (
        <Link
          key={g.id}
          component={NextLink}
          href={gaugeAddress(doorOf(g), job, `part/${group}`)}
          sx={{ minHeight: 28 }}
        >
          Measure it: {g.label}
        </Link>
      ))}
    </Box>
  );
}
