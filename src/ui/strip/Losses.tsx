'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { mayEnd } from '@/core/strip/tray';
import { bookOf } from '../job/trade';
import type { JobDesk } from '../job/useJob';

const SAYS = {
  missing: 'missing on arrival: owed to the owner',
  broken: 'broken',
  lost: 'lost here',
  rusted: 'rusted fast: not forced',
  over: 'left over: where does it belong?',
} as const;
const ENDS = {
  replaced: 'replaced',
  told: 'left so, the owner is told',
  freed: 'freed',
  placed: 'found its place',
} as const;
const SAY = {
  freed: 'It came free',
  replaced: 'Replaced',
  told: 'Left so, owner told',
  placed: 'Found where it belongs',
} as const;

/** What is not as it should be in the tray, each to be settled before the machine may leave. */
export function Losses({ desk, atTheEnd = false }: { desk: JobDesk; atTheEnd?: boolean }) {
  const { job, busy } = desk;
  const { losses, done } = job.strip;
  // Nobody knows of which step it is: it is told at the last that freed anything.
  const last = done.findLast((s) => s.fasteners.length > 0);
  const mayBeOver = atTheEnd && last !== undefined && job.stage !== 'closed';
  if (losses.length === 0 && !mayBeOver) return null;
  const label = (id: string) => bookOf(job.machine.kind).procedure.steps.find((s) => s.id === id)?.label ?? id;
  return (
    <Box component="section" aria-label="Missing and broken pieces">
      {losses.length > 0 && (
        <Typography component="h3" variant="h3">
          To be settled
        </Typography>
      )}
      {losses.map((l) => (
        <Box key={l.id} sx={{ borderBottom: '1px solid', borderColor: 'divider', py: 0.75 }}>
          <Typography variant="body2">
            {l.count} {SAYS[l.what]}
            {l.settled && `; ${ENDS[l.settled]}`}
            {l.what !== 'over' && (
              <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontSize: '0.9em' }}>
                {label(l.step)}
              </Box>
            )}
          </Typography>
          {l.settled === '' && job.stage !== 'closed' && (
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
              {mayEnd(l.what).map((how) => (
                <Button
                  key={how}
                  size="small"
                  disabled={busy}
                  onClick={() => void desk.act('settle-loss', { loss: l.id, how })}
                >
                  {SAY[how]}
                </Button>
              ))}
            </Box>
          )}
        </Box>
      ))}
      {mayBeOver && (
        <Button
          size="small"
          disabled={busy}
          onClick={() => void desk.act('note-loss', { step: last.id, what: 'over', count: 1 })}
          sx={{ mt: 1 }}
        >
          A piece is left over
        </Button>
      )}
    </Box>
  );
}
