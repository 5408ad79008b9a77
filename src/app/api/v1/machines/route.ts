import { answer } from '@/app/answer';
import { findMachines } from '@/shop/machines/machines';

export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  const page = Math.max(0, Math.min(10_000, Number.parseInt(searchParams.get('page') ?? '0', 10) || 0));
  return Response.json(await findMachines((searchParams.get('q') ?? '').slice(0, 200), page));
});
