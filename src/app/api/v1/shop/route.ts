import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { shopOf } from '@/shop/shopBook/shopBook';

export const GET = answer(async () => Response.json(await shopOf()));

export const POST = shopDeedRoute(shopDeeds.shop, 200);
