import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { roundsAsked } from '@/app/roundsQuery';
import { lettersPdf } from '@/shop/rounds/letters';

export const GET = answer(async (request) =>
  download(await lettersPdf(roundsAsked(new URL(request.url).searchParams)), 'application/pdf', 'letters.pdf', true),
);
