import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { shopDeeds } from '@/shop/deeds';
import { notFound } from '@/shop/problem';

/** What everybody does to their own keys: `POST …/me/<deed>`, each as the table of deeds has it. */
export const POST = answer<{ params: Promise<{ deed: string }> }>(async (request, { params }) => {
  const name = `me/${(await params).deed}`;
  if (!Object.hasOwn(shopDeeds, name)) throw notFound(`The deed ${name.slice(0, 60)}`);
  const deed = shopDeeds[name as keyof typeof shopDeeds];
  return Response.json(await deed.from(await currentPerson(), await jsonBody(request)));
});
