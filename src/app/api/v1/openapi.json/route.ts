import { answer } from '@/app/answer';
import { openapi } from '@/shop/openapi/openapi';

export const GET = answer(async () => Response.json(openapi()));
