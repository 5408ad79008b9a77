import type { Metadata } from 'next';
import { idNumber } from '@/app/deedRoute';
import { orNotFound } from '@/app/orNotFound';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { modelProcedure, putProcedure } from '@/shop/procedures/procedures';
import { shopOf } from '@/shop/shopBook/shopBook';
import { ModelProcedure } from '@/ui/shop/ModelProcedure';

export const metadata: Metadata = { title: 'Procedure of a model' };

export default async function ModelPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const [book, person, shop] = await Promise.all([
    orNotFound((async () => modelProcedure(idNumber('This model')(id)))()),
    currentPerson(),
    shopOf(),
  ]);
  return <ModelProcedure initial={book} mayPut={may(person.role, putProcedure.spec)} zone={shop.zone} />;
}
