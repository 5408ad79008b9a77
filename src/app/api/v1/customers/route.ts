import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { findCustomers } from '@/shop/customers/customers';

export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  const page = Math.max(0, Math.min(10_000, Number.parseInt(searchParams.get('page') ?? '0', 10) || 0));
  return Response.json(await findCustomers((searchParams.get('q') ?? '').slice(0, 200), page));
});

export const POST = shopDeedRoute(shopDeeds.customers, 201);
