import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { roundsAsked } from '@/app/roundsQuery';
import { lettersPdf } from '@/shop/rounds/letters';
import { LONGEST_PAPER_MS } from '@/shop/underWay/underWay';

export const GET = answer(
  async (request) =>
    download(await lettersPdf(roundsAsked(new URL(request.url).searchParams)), 'application/pdf', 'letters.pdf', true),
  LONGEST_PAPER_MS,
);
