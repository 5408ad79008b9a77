'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState, useTransition } from 'react';
import type { CustomerListView } from '@/shop/customers/dto';
import type { MachineListView } from '@/shop/machines/dto';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
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
  const router = useRouter();
  const [typed, setTyped] = useState(words);
  const [waiting, start] = useTransition();
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    const timer = setTimeout(() => start(() => router.replace(`/machines?q=${encodeURIComponent(typed)}`)), 200);
    return () => clearTimeout(timer);
  }, [typed, router]);
  const at = (p: number) => `/machines?q=${encodeURIComponent(words)}&page=${p}`;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          Machines
        </Typography>
        <InputBase
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          placeholder="Tag, serial, owner, model or the customer’s words"
          inputProps={{ 'aria-label': 'Search machines' }}
          sx={{
            flex: '1 1 260px',
            maxWidth: 520,
            px: 1.25,
            py: 0.6,
            border: '1px solid',
            borderColor: 'bench.soft',
            borderRadius: '3px',
            bgcolor: 'background.paper',
          }}
        />
        <Typography variant="body2" role="status" sx={{ color: 'text.secondary' }}>
          {waiting
            ? 'looking …'
            : rows.length === 0
              ? ''
              : `${page * 50 + 1} to ${page * 50 + rows.length}${more ? ' of more' : ''}`}
        </Typography>
      </Box>
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
      <Box sx={{ display: 'flex', gap: 1 }}>
        {page > 0 && (
          <Button component={NextLink} href={at(page - 1)} size="small">
            Earlier page
          </Button>
        )}
        {more && (
          <Button component={NextLink} href={at(page + 1)} size="small">
            Next page
          </Button>
        )}
      </Box>
    </Box>
  );
}
