import { answer } from '@/app/answer';
import { roundsAsked } from '@/app/roundsQuery';
import { rounds } from '@/shop/rounds/rounds';

export const GET = answer(async (request) =>
  Response.json(await rounds(roundsAsked(new URL(request.url).searchParams))),
);
