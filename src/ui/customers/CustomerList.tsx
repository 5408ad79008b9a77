'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CustomerListView } from '@/shop/customers/dto';
import { EditSheet } from '../parts/EditSheet';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { SearchList } from '../parts/SearchList';
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
  const [adding, setAdding] = useState(false);
  return (
    <SearchList
      title="Customers"
      path="/customers"
      placeholder="Name, phone, contact, site or address"
      label="Search customers"
      words={words}
      page={page}
      count={rows.length}
      more={more}
      actions={
        mayAdd && (
          <Button size="small" variant="contained" onClick={() => setAdding(true)} sx={{ ml: { md: 'auto' } }}>
            Add a customer
          </Button>
        )
      }
    >
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
    </SearchList>
  );
}
