import { NotHere } from '@/ui/parts/NotHere';

export default function ShopNotFound() {
  return <NotHere />;
}
