import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { allow } from '@/shop/access/roles';
import { keepPhotograph } from '@/shop/photographs/keepPhotograph';
import { addPhotographs } from '@/shop/photographs/photographs';

/** One photograph as the body of the request. */
export const POST = answer(async (request) => {
  const person = await currentPerson();
  allow(person, addPhotographs.spec);
  const bytes = Buffer.from(await request.arrayBuffer());
  return Response.json(await keepPhotograph(person, bytes), { status: 201 });
});
