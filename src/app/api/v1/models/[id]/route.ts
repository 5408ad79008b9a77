import { answer, jsonBody } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { currentPerson } from '@/app/person';
import { PutModelDto } from '@/shop/models/dto';
import { amendModel } from '@/shop/models/models';
import { readDto } from '@/shop/readDto';

export const POST = answer<{ params: Promise<{ id: string }> }>(async (request, { params }) => {
  const id = idNumber('This model')((await params).id);
  const dto = await readDto(PutModelDto, await jsonBody(request));
  return Response.json(await amendModel(await currentPerson(), id, dto));
});
