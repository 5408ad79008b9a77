import { answer, jsonBody } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { currentPerson } from '@/app/person';
import { amendModel } from '@/shop/models/models';

export const POST = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const id = idNumber('This model')((await params).id);
  return Response.json(await amendModel.from(await currentPerson(), id, await jsonBody(request)));
});
