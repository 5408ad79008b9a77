import type { AnyDeedOn, AnyShopDeed } from '@/shop/deed/deed';
import { notFound } from '@/shop/problem';
import { answer, jsonBody } from './answer';
import { currentPerson } from './person';

/** The route of all deeds on one sort of thing: `POST …/<id>/<deed>`, each as the table of deeds has it. */
export function deedRoute<Id, Name extends string>(
  deeds: readonly AnyDeedOn<Id>[],
  name: Name,
  readId: (text: string) => Id,
) {
  const byName = new Map(deeds.map((d) => [d.spec.name, d]));
  return answer<{ params: Promise<Record<Name | 'deed', string>> }>(async (request, { params }) => {
    const given = await params;
    const deed = byName.get(given.deed);
    if (!deed) throw notFound(`The deed ${given.deed.slice(0, 60)}`);
    return Response.json(await deed.from(await currentPerson(), readId(given[name]), await jsonBody(request)));
  });
}

/** The route of a deed on the shop; what makes something new answers 201. */
export function shopDeedRoute(deed: AnyShopDeed, status: 200 | 201) {
  return answer(async (request) =>
    Response.json(await deed.from(await currentPerson(), await jsonBody(request)), { status }),
  );
}

/** @throws ProblemError 404 for what is no number of a thing */
export function idNumber(what: string) {
  return (text: string): number => {
    if (!/^[1-9]\d{0,8}$/.test(text)) throw notFound(what);
    return Number(text);
  };
}
