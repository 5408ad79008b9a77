import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { readDoorBook } from '@/shop/doorBook/doorBook';

/** What happened at the door, of all or of one `person`; `before` pages through. */
export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  const number = (name: string) => {
    const value = Number(searchParams.get(name));
    return Number.isSafeInteger(value) && value > 0 ? value : undefined;
  };
  const [before, personId] = [number('before'), number('person')];
  return Response.json(
    await readDoorBook(await currentPerson(), { ...(before ? { before } : {}), ...(personId ? { personId } : {}) }),
  );
});
