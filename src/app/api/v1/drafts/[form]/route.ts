import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { DraftDto } from '@/shop/drafts/dto';
import { dropDraft, keepDraft, readDraft } from '@/shop/drafts/drafts';
import { readDto } from '@/shop/readDto';

type Context = { params: Promise<{ form: string }> };
const formOf = async ({ params }: Context) => (await params).form.slice(0, 80);

export const GET = answer<Context>(async (_request, context) =>
  Response.json(await readDraft(await currentPerson(), await formOf(context))),
);

export const PUT = answer<Context>(async (request, context) => {
  const dto = await readDto(DraftDto, await jsonBody(request));
  return Response.json(await keepDraft(await currentPerson(), await formOf(context), dto));
});

export const DELETE = answer<Context>(async (_request, context) => {
  await dropDraft(await currentPerson(), await formOf(context));
  return new Response(null, { status: 204 });
});
