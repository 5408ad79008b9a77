import { answer, jsonBody } from '@/app/answer';
import { reckonGauge } from '@/shop/gauges/gauges';

export const POST = answer<{ params: Promise<{ name: string }> }>(async (request, { params }) =>
  Response.json(await reckonGauge((await params).name, await jsonBody(request))),
);
