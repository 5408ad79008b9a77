import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { JobFacts } from '@/shop/jobView/dto';
import { instantAt } from '../parts/instants';
import { photographUrl } from '../parts/photographUrl';

/** The photographs of a job, each leading to its large picture. */
export function JobPhotographs({ job }: { job: Pick<JobFacts, 'photographs' | 'zone'> }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {job.photographs.map((p) => (
        <Box component="figure" key={p.id} sx={{ m: 0 }}>
          <a href={photographUrl(p.id)} target="_blank" rel="noreferrer">
            {/* eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in */}
            <img
              src={photographUrl(p.id, true)}
              alt={p.caption || `Photograph of ${instantAt(p.at, job.zone)}`}
              height={84}
              width={Math.round((84 * p.width) / p.height)}
              loading="lazy"
            />
          </a>
          {p.caption && (
            <Typography component="figcaption" variant="caption" sx={{ display: 'block', maxWidth: 140 }}>
              {p.caption}
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}
