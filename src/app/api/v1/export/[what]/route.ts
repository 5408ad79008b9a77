import { answer } from '@/app/answer';
import { addressOf } from '@/app/addressOf';
import { download, streamOf } from '@/app/download';
import { currentPerson } from '@/app/person';
import { customersCsv } from '@/shop/exchange/customersCsv';
import { machinesCsv } from '@/shop/exchange/machinesCsv';
import { documentsCsv, paymentsCsv } from '@/shop/exchange/moneyCsv';
import { customersVcards } from '@/shop/exchange/vcard';
import { exportLearning } from '@/shop/learning/learning';
import { tellDoor } from '@/shop/access/tellDoor';
import type { Person } from '@/shop/access/person';
import { notFound } from '@/shop/problem';

const CSV = 'text/csv; charset=utf-8; header=present';
const files = {
  'customers.csv': { write: customersCsv, type: CSV },
  'machines.csv': { write: machinesCsv, type: CSV },
  'documents.csv': { write: documentsCsv, type: CSV },
  'payments.csv': { write: paymentsCsv, type: CSV },
  'finder-learning.json': {
    write: async (person: Person) => [`${JSON.stringify(await exportLearning(person), null, 1)}\n`],
    type: 'application/json',
  },
  'customers.vcf': { write: customersVcards, type: 'text/vcard; charset=utf-8' },
};

export const GET = answer<{ params: Promise<{ what: string }> }>(async (request, { params }) => {
  const { what } = await params;
  if (!Object.hasOwn(files, what)) throw notFound(`The file ${what}`);
  const { write, type } = files[what as keyof typeof files];
  const person = await currentPerson();
  const pieces = await write(person);
  await tellDoor({ what: 'exported', personId: person.id, address: addressOf(request), detail: what });
  return download(streamOf(pieces), type, what);
});
