import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { currentPerson } from '@/app/person';
import { peopleOf } from '@/shop/people/people';

export const GET = answer(async () => Response.json({ rows: await peopleOf(await currentPerson()) }));

export const POST = shopDeedRoute(shopDeeds.people, 201);
