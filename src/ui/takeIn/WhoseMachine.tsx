'use client';

import type { CustomerListView } from '@/shop/customers/dto';
import { Notice } from '../parts/Notice';
import { PlainCheck } from '../parts/PlainCheck';
import { Reading } from '../parts/Reading';
import { Chooser } from '../parts/Chooser';
import { Chosen } from './Chosen';
import { TypedField } from './TypedField';
import { WhichSite } from './WhichSite';
import styles from './takeIn.module.css';
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
      <PlainCheck label="New customer" checked={v.isNewCustomer} onCheck={(isNewCustomer) => set({ isNewCustomer })} />
      {v.isNewCustomer && (
        <>
          <div className={styles.person}>
            <TypedField form={form} name="name" field="newCustomer.name" label="Name" />
            <TypedField form={form} name="phone" field="newCustomer.phone" label="Phone" type="tel" />
            <TypedField form={form} name="address" field="newCustomer.address" label="Address" />
            <TypedField form={form} name="email" field="newCustomer.email" label="E-mail" type="email" />
          </div>
          <TypedField
            form={form}
            name="standing"
            field="newCustomer.standing"
            label="Always, for this customer"
            help="Such as: ring before nine; invoice to the office."
          />
          <PlainCheck label="A business" checked={v.business} onCheck={(business) => set({ business })} />
        </>
      )}
    </>
  );
}
