import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { readAudit } from '@/shop/audit/audit';

/** Changes, of all or of one `machine`, `job`, `person` or `customer` (their numbers); `before` pages through. */
export const GET = answer(async (request) => {
  const { searchParams } = new URL(request.url);
  const number = (name: string) => {
    const value = Number(searchParams.get(name));
    return Number.isInteger(value) && value > 0 ? { [name]: value } : {};
  };
  const of = { ...number('machine'), ...number('job'), ...number('person'), ...number('customer') };
  return Response.json(await readAudit(await currentPerson(), of, number('before').before));
});
