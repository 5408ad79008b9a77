import { answer, jsonBody } from '@/app/answer';
import { FindingRequestDto } from '@/shop/finding/dto';
import { finding } from '@/shop/odds/finding';
import { readDto } from '@/shop/readDto';

export const POST = answer(async (request) =>
  Response.json(await finding(await readDto(FindingRequestDto, await jsonBody(request)))),
);
