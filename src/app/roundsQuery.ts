import { knowledge } from '@/knowledge';
import { refuseIf } from '@/shop/problem';
import type { RoundsAsked } from '@/shop/rounds/dto';

const USUAL_DAYS = 30;
const MOST_DAYS = 400;
const NUMBER = /^[1-9]\d{0,8}$/;

/** What is asked of the rounds. @throws ProblemError 400 that names each field */
export function roundsAsked(query: Pick<URLSearchParams, 'get'>): RoundsAsked {
  const ahead = query.get('ahead') ?? String(USUAL_DAYS);
  const kind = query.get('kind') || undefined;
  const customer = query.get('customer') || undefined;
  const site = query.get('site') || undefined;
  const after = query.get('after') || undefined;
  const order = query.get('order') || 'day';
  refuseIf([
    ...(/^\d{1,3}$/.test(ahead) && Number(ahead) <= MOST_DAYS
      ? []
      : [{ field: 'ahead', message: `Days ahead, ${MOST_DAYS} at most.` }]),
    ...(kind === undefined || knowledge.kinds.some((k) => k.id === kind)
      ? []
      : [{ field: 'kind', message: 'There is no such kind.' }]),
    ...(customer === undefined || NUMBER.test(customer) ? [] : [{ field: 'customer', message: 'A number.' }]),
    ...(site === undefined || NUMBER.test(site) ? [] : [{ field: 'site', message: 'A number.' }]),
    ...(order === 'day' || order === 'cost' ? [] : [{ field: 'order', message: 'By day or by cost.' }]),
    ...(after === undefined ||
    (order === 'cost' ? /^\d{1,9}~[1-9]\d{0,8}$/ : /^\d{4}-\d{2}-\d{2}~[1-9]\d{0,8}$/).test(after)
      ? []
      : [{ field: 'after', message: 'Where the page before ended.' }]),
  ]);
  const [due, machine] = (after ?? '').split('~');
  return {
    ahead: Number(ahead),
    order: order as 'day' | 'cost',
    ...(kind === undefined ? {} : { kind }),
    ...(customer === undefined ? {} : { customer: Number(customer) }),
    ...(site === undefined ? {} : { site: Number(site) }),
    ...(after === undefined ? {} : { after: { due: due!, machine: Number(machine) } }),
  };
}
