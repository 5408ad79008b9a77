import { amendShop } from '@/shop/shopBook/shopBook';
import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { shopOf } from '@/shop/shopBook/shopBook';
import { ShopCard } from '@/ui/shop/ShopCard';

export const metadata: Metadata = { title: 'Settings' };

export default async function ShopPage() {
  const [shop, person] = await Promise.all([shopOf(), currentPerson()]);
  return <ShopCard shop={shop} mayAmend={may(person.role, amendShop.spec)} />;
}
