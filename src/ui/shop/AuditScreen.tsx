'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { AuditEntry } from '@/shop/audit/dto';
import { instantAt } from '../parts/instants';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { ShopHead } from './ShopHead';

interface Props {
  rows: AuditEntry[];
  more: boolean;
  zone: string;
  /** What it is narrowed to, such as `machine 12`. */
  of: string;
  /** The query that narrows it, to page on. */
  query: string;
}

/** Every change, what stood there before and after, and who did it. Nothing here can be changed. */
export function AuditScreen({ rows, more, zone, of, query }: Props) {
  const last = rows.at(-1);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <ShopHead title="Audit" about={`${of ? `of ${of}` : 'of everything'}, newest first`}>
        <Box component="form" action="/shop/audit" sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
          <label htmlFor="audit-job">
            <Typography component="span" variant="body2">
              Only job
            </Typography>
          </label>
          <Box
            component="input"
            id="audit-job"
            name="job"
            inputMode="numeric"
            pattern="[0-9]+"
            sx={{
              width: 90,
              font: 'inherit',
              color: 'inherit',
              bgcolor: 'background.paper',
              border: '1px solid',
              borderColor: 'bench.soft',
              borderRadius: '3px',
              px: 1,
              py: 0.5,
            }}
          />
          <Button size="small" type="submit">
            Show
          </Button>
        </Box>
        {of && (
          <Link component={NextLink} href="/shop/audit" variant="body2">
            of everything
          </Link>
        )}
      </ShopHead>
      {rows.length === 0 && <Empty>Nothing was changed.</Empty>}
      <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Changes">
        <Table size="small" sx={{ '& td': { verticalAlign: 'top' } }}>
          <TableHead>
            <TableRow>
              {['When', 'Who', 'Deed', 'What', 'Before', 'After'].map((h) => (
                <TableCell key={h}>{h}</TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {rows.map((r) => (
              <TableRow key={r.id}>
                <TableCell>
                  <Reading>{instantAt(r.at, zone)}</Reading>
                </TableCell>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{r.by ?? 'the shop itself'}</TableCell>
                <TableCell>{r.words || 'before the book was opened'}</TableCell>
                <TableCell>
                  {r.rowOf.replaceAll('_', ' ')} {r.rowId}
                  {r.job && r.rowOf !== 'job' && (
                    <>
                      {', '}
                      <Link component={NextLink} href={`/jobs/${r.job}/take-in`}>
                        job {r.job}
                      </Link>
                    </>
                  )}
                </TableCell>
                <TableCell>
                  <Side changes={r.changes} side="before" />
                </TableCell>
                <TableCell>
                  <Side changes={r.changes} side="after" />
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
      {more && last && (
        <Box>
          <Button size="small" component={NextLink} href={`/shop/audit?${query ? `${query}&` : ''}before=${last.id}`}>
            Earlier
          </Button>
        </Box>
      )}
    </Box>
  );
}

const SHORT = 120;
/** Told by the other columns. */
const TOLD = new Set(['id', 'at', 'job_id', 'machine_id', 'person_id', 'customer_id', 'created_at']);

function Side({ changes, side }: { changes: AuditEntry['changes']; side: 'before' | 'after' }) {
  const inserted = changes.every((c) => c.before === null);
  const told = changes.filter((c) => c[side] !== null && c[side] !== '' && !(inserted && TOLD.has(c.field)));
  return (
    <Box sx={{ fontSize: '0.88rem', overflowWrap: 'anywhere', maxWidth: 420 }}>
      {told.slice(0, 10).map((c, i) => {
        const text = typeof c[side] === 'string' ? (c[side] as string) : JSON.stringify(c[side]);
        return (
          <span key={c.field}>
            {i > 0 && '; '}
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {c.field.replaceAll('_', ' ')}
            </Box>{' '}
            {text.length > SHORT ? `${text.slice(0, SHORT)} …` : text}
          </span>
        );
      })}
      {told.length > 10 && `; and ${told.length - 10} more`}
    </Box>
  );
}
