import { answer } from '@/app/answer';
import { jobNumber } from '@/app/jobNumber';
import { readJob } from '@/shop/odds/readJob';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) =>
  Response.json(await readJob(jobNumber((await params).id))),
);
