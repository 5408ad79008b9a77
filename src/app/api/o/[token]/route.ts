import { addressOf } from '@/app/addressOf';
import { answer, jsonBody } from '@/app/answer';
import { AnswerByLinkDto } from '@/shop/links/dto';
import { answerByLink } from '@/shop/links/links';
import { readDto } from '@/shop/readDto';

/** The owner’s answer, from the page of a link: no sign-in, the token is the key. */
export const POST = answer<{ params: Promise<{ token: string }> }>(async (request, { params }) => {
  const dto = await readDto(AnswerByLinkDto, await jsonBody(request));
  return Response.json(await answerByLink((await params).token, addressOf(request), dto));
});
