import { answer } from '@/app/answer';
import { jobNumber } from '@/app/jobNumber';
import { jobFacts } from '@/shop/jobView/jobFacts';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_request, { params }) =>
  Response.json(await jobFacts(jobNumber((await params).id))),
);
