'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { CustomerListView } from '@/shop/customers/dto';
import type { MachineListView } from '@/shop/machines/dto';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { SearchList } from '../parts/SearchList';
import NextLink from '../theme/NextLink';

interface Props {
  rows: MachineListView[];
  more: boolean;
  words: string;
  page: number;
  today: string;
  /** Customers that answer to the same words. */
  customers: CustomerListView[];
}

/** All machines, by tag, serial, owner, model or words. */
export function MachineList({ rows, more, words, page, today, customers }: Props) {
  return (
    <SearchList
      title="Machines"
      path="/machines"
      placeholder="Tag, serial, owner, model or the customer’s words"
      label="Search machines"
      words={words}
      page={page}
      count={rows.length}
      more={more}
    >
      {customers.length > 0 && (
        <Typography variant="body2" component="section" aria-label="Customers found">
          Customers:{' '}
          {customers.map((c, i) => (
            <span key={c.id}>
              {i > 0 && '; '}
              <Link component={NextLink} href={`/customers/${c.id}`}>
                {c.name}
              </Link>{' '}
              <Reading>{c.phone}</Reading>
            </span>
          ))}
        </Typography>
      )}
      {rows.length === 0 ? (
        <Empty>
          {words
            ? `No machine answers to “${words}”. Try fewer words, or the tag.`
            : 'No machine yet. Take the first one in.'}
        </Empty>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Machines found">
          <Table size="small">
            <TableHead>
              <TableRow>
                {['Tag', 'Machine', 'Owner', 'Serial', 'Last here', 'Next due', 'Now'].map((h) => (
                  <TableCell key={h}>{h}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map((m) => (
                <TableRow key={m.id} hover>
                  <TableCell>
                    <Link component={NextLink} href={`/machines/${m.tag}`}>
                      <Reading strong>{m.tag}</Reading>
                    </Link>
                  </TableCell>
                  <TableCell>
                    {m.maker} {m.model}
                    {m.madeYear && <span> ({m.madeYear})</span>}
                  </TableCell>
                  <TableCell>{m.owner}</TableCell>
                  <TableCell>
                    <Reading>{m.serial}</Reading>
                  </TableCell>
                  <TableCell>
                    <Reading>{m.lastJobAt?.slice(0, 10) ?? ''}</Reading>
                  </TableCell>
                  <TableCell
                    sx={{
                      color: m.nextDueOn && m.nextDueOn < today ? 'bench.brass' : undefined,
                      fontWeight: m.nextDueOn && m.nextDueOn < today ? 700 : 400,
                    }}
                  >
                    <Reading>{m.nextDueOn ?? ''}</Reading>
                    {m.nextDueOn && m.nextDueOn < today && ' past'}
                  </TableCell>
                  <TableCell>
                    {m.openJob && (
                      <Link component={NextLink} href={`/jobs/${m.openJob}`}>
                        here, job {m.openJob}
                      </Link>
                    )}
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </Box>
      )}
    </SearchList>
  );
}
