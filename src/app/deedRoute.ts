import type { Person } from '@/shop/access/person';
import { notFound } from '@/shop/problem';
import { readDto } from '@/shop/readDto';
import { answer, jsonBody } from './answer';
import { currentPerson } from './person';

type Deed<Id> = (person: Person, id: Id, body: unknown) => Promise<unknown>;

/** A deed with the class that checks its body. */
export function deed<T extends object, Id>(
  type: new () => T,
  work: (person: Person, id: Id, dto: T) => Promise<unknown>,
): Deed<Id> {
  return async (person, id, body) => work(person, id, await readDto(type, body));
}

/** The route of all deeds of one sort of thing: `POST …/<id>/<deed>`. */
export function deedRoute<Id, Name extends string>(
  deeds: Record<string, Deed<Id>>,
  name: Name,
  readId: (text: string) => Id,
) {
  return answer<{ params: Promise<Record<Name | 'deed', string>> }>(async (request, { params }) => {
    const given = await params;
    const work = Object.hasOwn(deeds, given.deed) ? deeds[given.deed] : undefined;
    if (!work) throw notFound(`The deed ${given.deed}`);
    return Response.json(await work(await currentPerson(), readId(given[name]), await jsonBody(request)));
  });
}

/** @throws ProblemError 404 for what is no number of a thing */
export function idNumber(what: string) {
  return (text: string): number => {
    if (!/^[1-9]\d{0,8}$/.test(text)) throw notFound(what);
    return Number(text);
  };
}
