import { Loading } from '@/ui/parts/Loading';

export default function ShopLoading() {
  return <Loading />;
}
