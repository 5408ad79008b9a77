import { answer } from '@/app/answer';
import { jobNumber } from '@/app/jobNumber';
import { readOdds } from '@/shop/odds/readJob';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) =>
  Response.json(await readOdds(jobNumber((await params).id), new URL(request.url).searchParams.get('key'))),
);
