'use client';

import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { Notice } from '../parts/Notice';
import { jobDifferences } from './jobDifferences';
import type { JobDesk } from './useJob';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './job.module.css';

/** Both versions of a job side by side after somebody else changed it, and the last press again if it still holds. */
export function JobConflict({ desk }: { desk: JobDesk }) {
  const { conflict, job } = desk;
  if (!conflict) return null;
  const differing = jobDifferences(conflict.seen, job);
  const deed = conflict.deed.replaceAll('-', ' ');
  return (
    <Notice live title={`Somebody changed this job meanwhile, so your last press (${deed}) was not done.`}>
      {differing.length === 0 ? (
        <Words>Nothing that you see here differs.</Words>
      ) : (
        <div tabIndex={0} role="region" aria-label="Both versions" className={styles.versions}>
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
        </div>
      )}
      <div className={styles.after}>
        {job.stage !== 'closed' && (
          <Press small tone="strong" disabled={desk.busy} onClick={() => void desk.act(conflict.deed, conflict.body)}>
            It still holds: do it now
          </Press>
        )}
        <Press small onClick={desk.dismiss}>
          Leave it as it is now
        </Press>
      </div>
    </Notice>
  );
}
