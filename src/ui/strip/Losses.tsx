'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { procedures } from '@/knowledge/kinds';
import type { JobDesk } from '../job/useJob';

const SAYS = {
  missing: 'missing on arrival: owed to the owner',
  broken: 'broken',
  lost: 'lost here',
  rusted: 'rusted fast: not forced',
} as const;
const ENDS = { replaced: 'replaced', told: 'left so, the owner is told', freed: 'freed' } as const;

/** What is not as it should be in the tray, each to be settled before the machine may leave. */
export function Losses({ desk }: { desk: JobDesk }) {
  const { job, busy } = desk;
  const { losses } = job.strip;
  if (losses.length === 0) return null;
  const label = (id: string) => procedures[job.machine.kind]!.steps.find((s) => s.id === id)?.label ?? id;
  return (
    <Box component="section" aria-label="Missing and broken pieces">
      <Typography component="h3" variant="h3">
        To be settled
      </Typography>
      {losses.map((l) => (
        <Box key={l.id} sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <Typography variant="body2">
            {l.count} {SAYS[l.what]}
            {l.settled && `; ${ENDS[l.settled]}`}
            <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9em' }}>
              {label(l.step)}
            </Box>
          </Typography>
          {l.settled === '' && job.stage !== 'closed' && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
              {(l.what === 'rusted' ? (['freed', 'replaced'] as const) : (['replaced', 'told'] as const)).map((how) => (
                <Button
                  key={how}
                  size="small"
                  disabled={busy}
                  onClick={() => void desk.act('settle-loss', { loss: l.id, how })}
                >
                  {how === 'freed' ? 'It came free' : how === 'replaced' ? 'Replaced' : 'Left so, owner told'}
                </Button>
              ))}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
