import { answer } from '@/app/answer';
import { MACHINE_COLUMNS } from '@/shop/machines/dto';
import { readListQuery } from '@/shop/lists/dto';
import { findMachines } from '@/shop/machines/machines';

export const GET = answer(async (request) => {
  const query = Object.fromEntries(new URL(request.url).searchParams);
  return Response.json(await findMachines(readListQuery(query, MACHINE_COLUMNS)));
});
