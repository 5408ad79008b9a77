import type { ReactNode } from 'react';
import { ShopPlaces } from '@/ui/shop/ShopPlaces';

export default function ShopPlacesLayout({ children }: { children: ReactNode }) {
  return (
    <>
      <ShopPlaces />
      {children}
    </>
  );
}
