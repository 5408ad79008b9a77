import type { Metadata } from 'next';
import { bench } from '@/shop/bench/bench';
import { WallScreen } from '@/ui/wall/WallScreen';

export const metadata: Metadata = { title: 'Wall' };

export default async function WallPage() {
  return <WallScreen view={await bench()} />;
}
