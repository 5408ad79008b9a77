import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';

export const POST = shopDeedRoute(shopDeeds.plans, 200);
