'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { Notice } from '../parts/Notice';
import { jobDifferences } from './jobDifferences';
import type { JobDesk } from './useJob';

/** Both versions of a job side by side after somebody else changed it, and the last press again if it still holds. */
export function JobConflict({ desk }: { desk: JobDesk }) {
  const { conflict, job } = desk;
  if (!conflict) return null;
  const differing = jobDifferences(conflict.seen, job);
  const deed = conflict.deed.replaceAll('-', ' ');
  return (
    <Notice live title={`Somebody changed this job meanwhile, so your last press (${deed}) was not done.`}>
      {differing.length === 0 ? (
        <Typography variant="body2">Nothing that you see here differs.</Typography>
      ) : (
        <Box sx={{ overflowX: 'auto', my: 0.5 }} tabIndex={0} role="region" aria-label="Both versions">
          <Table size="small">
            <TableHead>
              <TableRow>
                <TableCell>What</TableCell>
                <TableCell>As you saw it</TableCell>
                <TableCell>As it is now</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {differing.map((d) => (
                <TableRow key={d.what}>
                  <TableCell>{d.what}</TableCell>
                  <TableCell>{d.seen}</TableCell>
                  <TableCell>{d.now}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        {job.stage !== 'closed' && (
          <Button
            size="small"
            variant="contained"
            disabled={desk.busy}
            onClick={() => void desk.act(conflict.deed, conflict.body)}
          >
            It still holds: do it now
          </Button>
        )}
        <Button size="small" onClick={desk.dismiss}>
          Leave it as it is now
        </Button>
      </Box>
    </Notice>
  );
}
