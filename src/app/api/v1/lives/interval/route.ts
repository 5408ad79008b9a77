import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';

export const POST = shopDeedRoute(shopDeeds['lives/interval'], 200);
