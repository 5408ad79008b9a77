import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { KeepUsualDto } from '@/shop/gauges/dto';
import { keepUsual } from '@/shop/gauges/gauges';
import { readDto } from '@/shop/readDto';

export const POST = answer(async (request) =>
  Response.json(await keepUsual(await currentPerson(), await readDto(KeepUsualDto, await jsonBody(request)))),
);
