import type { Metadata } from 'next';
import { bench } from '@/shop/bench/bench';
import { BenchScreen } from '@/ui/bench/BenchScreen';

export const metadata: Metadata = { title: 'Bench' };

export default async function BenchPage() {
  return <BenchScreen view={await bench()} />;
}
