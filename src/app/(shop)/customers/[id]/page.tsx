import { amendCustomer } from '@/shop/customers/customers';
import { mayReadAudit } from '@/shop/access/mayReadAudit';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { idNumber } from '@/app/deedRoute';
import { orNotFound } from '@/app/orNotFound';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { customerCard } from '@/shop/customers/customers';
import { CustomerCard } from '@/ui/customers/CustomerCard';

export const metadata: Metadata = { title: 'Customer' };

export default async function CustomerPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const [card, person] = await Promise.all([
    orNotFound((async () => customerCard(idNumber('This customer')(id)))()),
    currentPerson(),
  ]);
  if (card.mergedInto) redirect(`/customers/${card.mergedInto}`);
  return (
    <CustomerCard
      card={card}
      mayAmend={may(person.role, amendCustomer.spec)}
      mayAudit={may(person.role, mayReadAudit)}
    />
  );
}
