import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { PutModelDto } from '@/shop/models/dto';
import { addModel, modelList } from '@/shop/models/models';
import { readDto } from '@/shop/readDto';

export const GET = answer(async () => Response.json({ rows: await modelList() }));

export const POST = answer(async (request) => {
  const dto = await readDto(PutModelDto, await jsonBody(request));
  return Response.json(await addModel(await currentPerson(), dto), { status: 201 });
});
