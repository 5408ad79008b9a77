import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { readDto } from '@/shop/readDto';
import { AmendShopDto } from '@/shop/shopBook/dto';
import { amendShop, shopOf } from '@/shop/shopBook/shopBook';

export const GET = answer(async () => Response.json(await shopOf()));

export const POST = answer(async (request) =>
  Response.json(await amendShop(await currentPerson(), await readDto(AmendShopDto, await jsonBody(request)))),
);
