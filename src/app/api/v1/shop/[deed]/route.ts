import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { shopDeeds } from '@/shop/deeds';
import { notFound } from '@/shop/problem';
import { termsOf } from '@/shop/terms/terms';

type Which = { params: Promise<{ deed: string }> };

export const GET = answer<Which>(async (_request, { params }) => {
  const { deed } = await params;
  if (deed !== 'terms') throw notFound(`shop/${deed.slice(0, 60)}`);
  return Response.json(await termsOf());
});

export const POST = answer<Which>(async (request, { params }) => {
  const name = `shop/${(await params).deed}`;
  if (!Object.hasOwn(shopDeeds, name)) throw notFound(`The deed ${name.slice(0, 60)}`);
  const deed = shopDeeds[name as keyof typeof shopDeeds];
  return Response.json(await deed.from(await currentPerson(), await jsonBody(request)));
});
