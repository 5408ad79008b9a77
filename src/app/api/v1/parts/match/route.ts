import { answer, jsonBody } from '@/app/answer';
import { MatchPartsDto } from '@/shop/gauges/dto';
import { matchedParts } from '@/shop/gauges/gauges';
import { readDto } from '@/shop/readDto';

export const POST = answer(async (request) =>
  Response.json(await matchedParts(await readDto(MatchPartsDto, await jsonBody(request)))),
);
