'use client';

import Button from '@mui/material/Button';
import { useState } from 'react';
import type { CustomerListView } from '@/shop/customers/dto';
import { writeListQuery, type ListQuery, type Page } from '@/shop/lists/dto';
import { EditSheet } from '../sheet/EditSheet';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { SearchList } from '../parts/SearchList';
import { TextLink } from '../parts/TextLink';
import type { ListColumn } from '../table/listColumn';
import { ListTable } from '../table/ListTable';
import { useGo } from '../theme/useGo';
import { customerFields, newCustomer } from './customerFields';

interface Props {
  found: Page<CustomerListView>;
  asked: ListQuery;
  mayAdd: boolean;
}

const COLUMNS: ListColumn<CustomerListView>[] = [
  {
    id: 'name',
    label: 'Name',
    sorts: true,
    text: (c) => c.name,
    cell: (c) => (
      <>
        <TextLink href={`/customers/${c.id}`}>{c.name}</TextLink>
        {c.kind === 'business' && ', business'}
      </>
    ),
  },
  { id: 'phone', label: 'Phone', sorts: true, text: (c) => c.phone, cell: (c) => <Reading>{c.phone}</Reading> },
  { id: 'address', label: 'Address', sorts: true, text: (c) => c.address, cell: (c) => c.address },
  {
    id: 'machines',
    label: 'Machines',
    text: (c) => String(c.machines),
    cell: (c) => <Reading>{c.machines}</Reading>,
  },
];

/** Customers by name, phone, contact, site or address. */
export function CustomerList({ found, asked, mayAdd }: Props) {
  const router = useGo();
  const { words } = asked;
  const [adding, setAdding] = useState(false);
  return (
    <SearchList
      title="Customers"
      path="/customers"
      placeholder="Name, phone, contact, site or address"
      label="Search customers"
      asked={asked}
      found={found}
      noun={['customer', 'customers']}
      actions={
        mayAdd && (
          <Button size="small" variant="contained" onClick={() => setAdding(true)} sx={{ ml: { md: 'auto' } }}>
            Add a customer
          </Button>
        )
      }
    >
      {found.rows.length === 0 ? (
        <Empty>
          {words ? `Nobody answers to “${words}”. Try the beginning of the name, or the phone.` : 'No customer yet.'}
        </Empty>
      ) : (
        <ListTable
          name="customers"
          label="Customers found"
          columns={COLUMNS}
          rows={found.rows}
          keyOf={(c) => c.id}
          sort={asked.sort}
          onSort={(sort) => router.replace(`/customers?${writeListQuery({ words, page: 0, sort })}`)}
        />
      )}
      {adding && (
        <EditSheet<{ id: number }>
          title="A new customer"
          fields={customerFields}
          values={newCustomer}
          dto={async () => (await import('@/shop/customers/dto')).AddCustomerDto}
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
