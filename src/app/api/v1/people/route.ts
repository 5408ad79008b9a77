import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { AddPersonDto } from '@/shop/people/dto';
import { addPerson, peopleOf } from '@/shop/people/people';
import { readDto } from '@/shop/readDto';

export const GET = answer(async () => Response.json({ rows: await peopleOf(await currentPerson()) }));

export const POST = answer(async (request) => {
  const dto = await readDto(AddPersonDto, await jsonBody(request));
  return Response.json(await addPerson(await currentPerson(), dto), { status: 201 });
});
