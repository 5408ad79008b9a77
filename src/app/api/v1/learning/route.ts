import { answer } from '@/app/answer';
import { shopDeedRoute } from '@/app/deedRoute';
import { shopDeeds } from '@/shop/deeds';
import { currentPerson } from '@/app/person';
import { learning } from '@/shop/learning/learning';

export const GET = answer(async () => Response.json(await learning(await currentPerson())));

export const POST = shopDeedRoute(shopDeeds.learning, 201);
