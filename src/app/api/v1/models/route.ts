import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { modelList } from '@/shop/models/models';

export const GET = answer(async () => Response.json({ rows: await modelList() }));

export const POST = shopDeedRoute(shopDeeds.models, 201);
