import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { lifeOfFault } from '@/shop/lives/lives';

export const GET = answer(async (request) => {
  const query = new URL(request.url).searchParams;
  return Response.json(await lifeOfFault(query.get('kind') ?? '', query.get('fault') ?? ''));
});

export const POST = shopDeedRoute(shopDeeds['lives/life'], 200);
