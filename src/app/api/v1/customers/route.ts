import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { CUSTOMER_COLUMNS } from '@/shop/customers/dto';
import { readListQuery } from '@/shop/lists/dto';
import { findCustomers } from '@/shop/customers/customers';

export const GET = answer(async (request) => {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  return Response.json(await findCustomers(readListQuery(query, CUSTOMER_COLUMNS)));
});

export const POST = shopDeedRoute(shopDeeds.customers, 201);
