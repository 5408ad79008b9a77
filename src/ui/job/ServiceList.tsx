'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { ServiceLine } from '@/shop/jobView/dto';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import type { JobDesk } from './useJob';

/** What the service of this visit has on its list, and what of it was done. */
export function ServiceList({ desk }: { desk: JobDesk }) {
  const { job, busy, act } = desk;
  const closed = job.stage === 'closed';
  return (
    <Box component="section" aria-label="Service">
      {job.service.length === 0 && <Empty>Nothing is due within a month.</Empty>}
      <Box
        sx={{
          display: 'grid',
          columnGap: 3,
          gridTemplateColumns: { xs: '1fr', md: 'repeat(auto-fit, minmax(300px, 1fr))' },
        }}
      >
        {job.service.map((line) => (
          <FormControlLabel
            key={line.item}
            control={
              <Checkbox
                checked={line.done}
                disabled={busy || closed}
                onChange={(e) => void act('serve-item', { item: line.item, done: e.target.checked })}
              />
            }
            label={
              <>
                {line.label}
                <Box
                  component="span"
                  sx={{
                    display: 'block',
                    fontSize: '0.88em',
                    color: line.state === 'past' && !line.done ? 'bench.brass' : 'text.secondary',
                  }}
                >
                  <When line={line} />
                </Box>
              </>
            }
            sx={{ display: 'flex', borderBottom: '1px solid', borderColor: 'divider', mx: 0, py: 0.25 }}
          />
        ))}
      </Box>
    </Box>
  );
}

function When({ line }: { line: ServiceLine }) {
  if (line.done) return <>done at this visit</>;
  if (line.state === 'unknown') return <>not known when it was done last: look now</>;
  return (
    <>
      {line.state === 'past' ? 'due since ' : 'due '}
      <Reading>{line.dueOn}</Reading>
      {line.lastDoneOn && (
        <>
          , done last <Reading>{line.lastDoneOn}</Reading>
        </>
      )}
    </>
  );
}
