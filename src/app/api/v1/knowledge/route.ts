import { answer } from '@/app/answer';
import { shippedKnowledge } from '@/shop/finding/shippedKnowledge';

export const GET = answer(async () => Response.json(shippedKnowledge()));
