import { answer } from '@/app/answer';
import { bench } from '@/shop/bench/bench';

export const GET = answer(async () => Response.json(await bench()));
