import { answer } from '@/app/answer';
import { wayFor } from '@/shop/procedures/procedures';

export const GET = answer<{ params: Promise<{ kind: string }> }>(async (request, { params }) => {
  const faults = new URL(request.url).searchParams.get('faults') ?? '';
  return Response.json(wayFor((await params).kind, faults.split(',').filter(Boolean).slice(0, 40)));
});
