import { answer, jsonBody } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { addCustomer, findCustomers } from '@/shop/customers/customers';
import { AddCustomerDto } from '@/shop/customers/dto';
import { readDto } from '@/shop/readDto';

export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  const page = Math.max(0, Math.min(10_000, Number.parseInt(searchParams.get('page') ?? '0', 10) || 0));
  return Response.json(await findCustomers((searchParams.get('q') ?? '').slice(0, 200), page));
});

export const POST = answer(async (request) => {
  const dto = await readDto(AddCustomerDto, await jsonBody(request));
  return Response.json(await addCustomer(await currentPerson(), dto), { status: 201 });
});
