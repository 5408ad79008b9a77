import { answer } from '@/app/answer';
import { roundsAsked } from '@/app/roundsQuery';
import { partsWanted } from '@/shop/rounds/partsWanted';

export const GET = answer(async (request) =>
  Response.json(await partsWanted(roundsAsked(new URL(request.url).searchParams).ahead)),
);
