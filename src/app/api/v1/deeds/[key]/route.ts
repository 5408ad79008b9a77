import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { doneDeed } from '@/shop/deed/doneDeed';

/** Whether what was sent under this key was done. */
export const GET = answer<{ params: Promise<{ key: string }> }>(async (_request, { params }) =>
  Response.json(await doneDeed(await currentPerson(), (await params).key)),
);
