import { answer } from '@/app/answer';
import { jobNumber } from '@/app/jobNumber';
import { readProposal } from '@/shop/agree/readProposal';
import { refuseIf } from '@/shop/problem';

export const GET = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const budget = new URL(request.url).searchParams.get('budget');
  refuseIf(
    budget === null || /^\d{1,9}$/.test(budget)
      ? []
      : [{ field: 'budget', message: 'Whole smallest units, nought or more.' }],
  );
  return Response.json(await readProposal(jobNumber((await params).id), budget === null ? undefined : Number(budget)));
});
