import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { listDocuments } from '@/shop/documents/readDocument';
import { takings } from '@/shop/documents/takings';
import { shopToday } from '@/shop/settings/shopToday';
import { amendTerms, termsOf } from '@/shop/terms/terms';
import { MoneyScreen } from '@/ui/shop/MoneyScreen';

export const metadata: Metadata = { title: 'Money' };

export default async function MoneyPage() {
  const [terms, taken, documents, person] = await Promise.all([
    termsOf(),
    shopToday().then(takings),
    listDocuments(),
    currentPerson(),
  ]);
  return (
    <MoneyScreen
      key={terms.version}
      terms={terms}
      takings={taken}
      documents={documents}
      mayAmend={may(person.role, amendTerms.spec)}
    />
  );
}
