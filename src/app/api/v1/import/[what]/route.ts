import { answer } from '@/app/answer';
import { currentPerson } from '@/app/person';
import { LARGEST_CSV_BYTES } from '@/shop/exchange/csv';
import { importCustomersCsv } from '@/shop/exchange/customersCsv';
import { importMachinesCsv } from '@/shop/exchange/machinesCsv';
import { importCards } from '@/shop/exchange/vcard';
import { notFound, refuseIf } from '@/shop/problem';

const files = {
  'customers.csv': importCustomersCsv,
  'machines.csv': importMachinesCsv,
  'customers.vcf': importCards,
};

/** A file of rows as the body; `?write` writes it, else it is only looked at. */
export const POST = answer<{ params: Promise<{ what: string }> }>(async (request, { params }) => {
  const { what } = await params;
  if (!Object.hasOwn(files, what)) throw notFound(`The file ${what}`);
  const bytes = await request.arrayBuffer();
  refuseIf(bytes.byteLength > LARGEST_CSV_BYTES ? [{ field: 'file', message: 'At most 20 MB.' }] : []);
  let text = '';
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    refuseIf([{ field: 'file', message: 'The file is not in UTF-8: save it so.' }]);
  }
  const dryRun = !new URL(request.url).searchParams.has('write');
  return Response.json(await files[what as keyof typeof files](await currentPerson(), text, dryRun));
});
