import { answer } from '@/app/answer';
import { idNumber } from '@/app/deedRoute';
import { currentPerson } from '@/app/person';
import { customerCard } from '@/shop/customers/customers';

const idOf = idNumber('This customer');

export const GET = answer<{ params: Promise<{ id: string }> }>(async (_, { params }) => {
  await currentPerson();
  return Response.json(await customerCard(idOf((await params).id)));
});
