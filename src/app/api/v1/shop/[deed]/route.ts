import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { shopDeeds } from '@/shop/deeds';
import { takings } from '@/shop/documents/takings';
import { mailView } from '@/shop/mail/mailSettings';
import { notFound, refuseIf } from '@/shop/problem';
import { letters } from '@/shop/rounds/letters';
import { isCalendarDate } from '@/shop/settings/day';
import { shopToday } from '@/shop/settings/shopToday';
import { termsOf } from '@/shop/terms/terms';

type Which = { params: Promise<{ deed: string }> };

export const GET = answer<Which>(async (request, { params }) => {
  const { deed } = await params;
  if (deed === 'terms') return Response.json(await termsOf());
  if (deed === 'letters') return Response.json(await letters());
  if (deed === 'mail') return Response.json(await mailView());
  if (deed !== 'takings') throw notFound(`shop/${deed.slice(0, 60)}`);
  const day = new URL(request.url).searchParams.get('day') ?? (await shopToday());
  refuseIf(isCalendarDate(day) ? [] : [{ field: 'day', message: 'A date.' }]);
  return Response.json(await takings(day));
});

export const POST = answer<Which>(async (request, { params }) => {
  const name = `shop/${(await params).deed}`;
  if (!Object.hasOwn(shopDeeds, name)) throw notFound(`The deed ${name.slice(0, 60)}`);
  const deed = shopDeeds[name as keyof typeof shopDeeds];
  return Response.json(await deed.from(await currentPerson(), await jsonBody(request)));
});
