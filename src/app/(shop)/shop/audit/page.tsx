import type { Metadata } from 'next';
import { orForbidden } from '@/app/orForbidden';
import { currentPerson } from '@/app/person';
import { readAudit } from '@/shop/audit/audit';
import { shopOf } from '@/shop/shopBook/shopBook';
import { AuditScreen } from '@/ui/shop/AuditScreen';

export const metadata: Metadata = { title: 'Audit' };

const SUBJECTS = ['machine', 'job', 'person', 'customer'] as const;
type Query = Promise<Record<string, string | string[] | undefined>>;

export default async function AuditPage({ searchParams }: { searchParams: Query }) {
  const query = await searchParams;
  const person = await currentPerson();
  const number = (name: string) => {
    const value = Number(query[name]);
    return Number.isInteger(value) && value > 0 ? value : undefined;
  };
  const of = SUBJECTS.flatMap((s) => (number(s) ? [[s, number(s)!] as const] : []));
  return orForbidden(async () => {
    const [found, shop] = await Promise.all([readAudit(person, Object.fromEntries(of), number('before')), shopOf()]);
    return (
      <AuditScreen
        {...found}
        zone={shop.zone}
        of={of.map(([s, n]) => `${s} ${n}`).join(', ')}
        query={of.map(([s, n]) => `${s}=${n}`).join('&')}
      />
    );
  });
}
