import type { Metadata } from 'next';
import { shopAtAGlance } from '@/shop/glance/glance';
import { shopOf } from '@/shop/shopBook/shopBook';
import { ShopAtAGlance } from '@/ui/shop/ShopAtAGlance';

export const metadata: Metadata = { title: 'Shop' };

export default async function ShopPage() {
  const [figures, shop] = await Promise.all([shopAtAGlance(), shopOf()]);
  return <ShopAtAGlance figures={figures} name={shop.name} />;
}
