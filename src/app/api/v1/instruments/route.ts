import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { instruments } from '@/shop/instruments/instruments';

export const GET = answer(async () => Response.json({ rows: await instruments() }));

export const POST = shopDeedRoute(shopDeeds.instruments, 201);
