import { answer } from '@/app/answer';
import { machineTimeline } from '@/shop/machines/machines';

export const GET = answer<{ params: Promise<{ tag: string }> }>(async (request, { params }) => {
  const { searchParams } = new URL(request.url);
  const before = Number(searchParams.get('before'));
  return Response.json(
    await machineTimeline((await params).tag.slice(0, 20), {
      what: searchParams.getAll('what').slice(0, 20),
      words: (searchParams.get('q') ?? '').slice(0, 200),
      ...(Number.isInteger(before) && before > 0 ? { before } : {}),
    }),
  );
});
