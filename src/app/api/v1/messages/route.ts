import { answer } from '@/app/answer';
import { beforeOf } from '@/app/beforeOf';
import { outbox } from '@/shop/mail/outbox';

export const GET = answer(async (request) => Response.json(await outbox(beforeOf(request))));
