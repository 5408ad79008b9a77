import { answer } from '@/app/answer';
import { findCustomers } from '@/shop/machines/machines';

export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  return Response.json({ rows: await findCustomers((searchParams.get('q') ?? '').slice(0, 200)) });
});
