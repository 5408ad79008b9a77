import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { keepPhotograph, LARGEST_PHOTOGRAPH_BYTES } from '@/shop/photographs/keepPhotograph';
import { refuseIf } from '@/shop/problem';

/** One photograph as the body of the request. */
export const POST = answer(async (request) => {
  const person = await currentPerson();
  const announced = Number(request.headers.get('content-length') ?? 0);
  refuseIf(announced > LARGEST_PHOTOGRAPH_BYTES ? [{ field: 'file', message: 'At most 15 MB.' }] : []);
  const bytes = Buffer.from(await request.arrayBuffer());
  return Response.json(await keepPhotograph(person, bytes), { status: 201 });
});
