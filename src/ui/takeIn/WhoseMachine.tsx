'use client';

import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { CustomerListView } from '@/shop/customers/dto';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { Chooser } from '../parts/Chooser';
import { Chosen } from './Chosen';
import { TypedField } from './TypedField';
import { WhichSite } from './WhichSite';
import type { TakeInForm } from './useTakeIn';

/** The owner of a new machine: found, or added here. */
export function WhoseMachine({ form }: { form: TakeInForm }) {
  const { values: v, set, fieldProblem: problem } = form;
  if (v.customer)
    return (
      <>
        <Chosen title={v.customer.name} text={v.customer.phone} onDrop={() => set({ customer: null, siteId: '' })} />
        <WhichSite form={form} customer={v.customer.id} />
        {v.customer.standing && <Notice title={`Always, for ${v.customer.name}: ${v.customer.standing}`} />}
      </>
    );
  return (
    <>
      {!v.isNewCustomer && (
        <Chooser<CustomerListView>
          label="Name or phone"
          url={(q) => `/api/v1/customers?q=${encodeURIComponent(q)}`}
          problem={problem('customerId')}
          keyOf={(c) => c.id}
          onChoose={(c) => set({ siteId: '', customer: { id: c.id, name: c.name, phone: c.phone, standing: '' } })}
          nothing="No such customer: add them as new."
          row={(c) => (
            <>
              {c.name} <Reading>{c.phone}</Reading>, {c.machines} machine{c.machines === 1 ? '' : 's'}
            </>
          )}
        />
      )}
      <FormControlLabel
        control={<Checkbox checked={v.isNewCustomer} onChange={(e) => set({ isNewCustomer: e.target.checked })} />}
        label="New customer"
      />
      {v.isNewCustomer && (
        <>
          <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '3fr 2fr' } }}>
            <TypedField form={form} name="name" field="newCustomer.name" label="Name" />
            <TypedField form={form} name="phone" field="newCustomer.phone" label="Phone" type="tel" />
            <TypedField form={form} name="address" field="newCustomer.address" label="Address" />
            <TypedField form={form} name="email" field="newCustomer.email" label="E-mail" type="email" />
          </Box>
          <TypedField
            form={form}
            name="standing"
            field="newCustomer.standing"
            label="Always, for this customer"
            help="Such as: ring before nine; invoice to the office."
          />
          <FormControlLabel
            control={<Checkbox checked={v.business} onChange={(e) => set({ business: e.target.checked })} />}
            label="A business"
          />
        </>
      )}
    </>
  );
}
