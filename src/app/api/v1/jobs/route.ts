import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { readDto } from '@/shop/readDto';
import { TakeInDto } from '@/shop/takeIn/dto';
import { takeIn } from '@/shop/takeIn/takeIn';

export const POST = answer(async (request) => {
  const dto = await readDto(TakeInDto, await jsonBody(request));
  return Response.json(await takeIn(await currentPerson(), dto), { status: 201 });
});
