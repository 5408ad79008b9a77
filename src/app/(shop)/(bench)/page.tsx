import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { bench } from '@/shop/bench/bench';
import { BenchScreen } from '@/ui/bench/BenchScreen';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage() {
  const [view, person] = await Promise.all([bench(), currentPerson()]);
  return <BenchScreen view={view} me={person.id} />;
}
