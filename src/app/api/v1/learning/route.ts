import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { LendInDto } from '@/shop/learning/dto';
import { learning, lendIn } from '@/shop/learning/learning';
import { readDto } from '@/shop/readDto';

export const GET = answer(async () => Response.json(await learning(await currentPerson())));

export const POST = answer(async (request) =>
  Response.json(await lendIn(await currentPerson(), await readDto(LendInDto, await jsonBody(request))), {
    status: 201,
  }),
);
