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
import { useEffect, useState, useTransition } from 'react';
import type { CustomerListView } from '@/shop/customers/dto';
import { EditSheet } from '../parts/EditSheet';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { customerFields, newCustomer } from './customerFields';

interface Props {
  rows: CustomerListView[];
  more: boolean;
  words: string;
  page: number;
  mayAdd: boolean;
}

/** Customers by name, phone, contact, site or address. */
export function CustomerList({ rows, more, words, page, mayAdd }: Props) {
  const router = useRouter();
  const [typed, setTyped] = useState(words);
  const [waiting, start] = useTransition();
  const [adding, setAdding] = useState(false);
  useEffect(() => {
    if (typed === words) return;
    const timer = setTimeout(() => start(() => router.replace(`/customers?q=${encodeURIComponent(typed)}`)), 200);
    return () => clearTimeout(timer);
  }, [typed, words, router]);
  const at = (p: number) => `/customers?q=${encodeURIComponent(words)}&page=${p}`;
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          Customers
        </Typography>
        <InputBase
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
          placeholder="Name, phone, contact, site or address"
          inputProps={{ 'aria-label': 'Search customers' }}
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
        {mayAdd && (
          <Button size="small" variant="contained" onClick={() => setAdding(true)} sx={{ ml: { md: 'auto' } }}>
            Add a customer
          </Button>
        )}
      </Box>
      {rows.length === 0 ? (
        <Empty>
          {words ? `Nobody answers to “${words}”. Try the beginning of the name, or the phone.` : 'No customer yet.'}
        </Empty>
      ) : (
        <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Customers found">
          <Table size="small">
            <TableHead>
              <TableRow>
                {['Name', 'Phone', 'Address', 'Machines'].map((h) => (
                  <TableCell key={h}>{h}</TableCell>
                ))}
              </TableRow>
            </TableHead>
            <TableBody>
              {rows.map((c) => (
                <TableRow key={c.id} hover>
                  <TableCell>
                    <Link component={NextLink} href={`/customers/${c.id}`}>
                      {c.name}
                    </Link>
                    {c.kind === 'business' && ', business'}
                  </TableCell>
                  <TableCell>
                    <Reading>{c.phone}</Reading>
                  </TableCell>
                  <TableCell>{c.address}</TableCell>
                  <TableCell>
                    <Reading>{c.machines}</Reading>
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
      {adding && (
        <EditSheet<{ id: number }>
          title="A new customer"
          fields={customerFields}
          values={newCustomer}
          url="/api/v1/customers"
          draft="new-customer"
          saveLabel="Add them"
          onDone={({ id }) => router.push(`/customers/${id}`)}
          onClose={() => setAdding(false)}
        />
      )}
    </Box>
  );
}
