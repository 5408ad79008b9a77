import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { allow } from '@/shop/access/roles';
import { importCustomersCsv, takeCustomersIn } from '@/shop/exchange/customersCsv';
import { importMachinesCsv, takeMachinesIn } from '@/shop/exchange/machinesCsv';
import { importCards } from '@/shop/exchange/vcard';
import { notFound, refuseIf } from '@/shop/problem';
import { LONGEST_FILE_MS } from '@/shop/underWay/underWay';

const files = {
  'customers.csv': { right: takeCustomersIn, take: importCustomersCsv },
  'machines.csv': { right: takeMachinesIn, take: importMachinesCsv },
  'customers.vcf': { right: takeCustomersIn, take: importCards },
};

/** A file of rows as the body; `?write` writes it, else it is only looked at. */
export const POST = answer<{ params: Promise<{ what: string }> }>(async (request, { params }) => {
  const { what } = await params;
  if (!Object.hasOwn(files, what)) throw notFound(`The file ${what.slice(0, 60)}`);
  const { right, take } = files[what as keyof typeof files];
  const person = await currentPerson();
  // Nobody who may not has twenty megabytes read.
  allow(person, right);
  const bytes = await request.arrayBuffer();
  let text = '';
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    refuseIf([{ field: 'file', message: 'The file is not in UTF-8: save it so.' }]);
  }
  const dryRun = !new URL(request.url).searchParams.has('write');
  return Response.json(await take(person, text, dryRun));
}, LONGEST_FILE_MS);
