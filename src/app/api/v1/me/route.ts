import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { me } from '@/shop/me/me';

export const GET = answer(async () => Response.json(await me(await currentPerson())));
