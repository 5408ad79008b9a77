import { answer } from '@/app/answer';
import { lives } from '@/shop/lives/lives';

export const GET = answer(async (request) =>
  Response.json(await lives(new URL(request.url).searchParams.get('kind') ?? '')),
);
