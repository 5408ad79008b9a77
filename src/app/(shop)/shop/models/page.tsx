import { addModel } from '@/shop/models/models';
import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { modelList } from '@/shop/models/models';
import { ModelsScreen } from '@/ui/shop/ModelsScreen';

export const metadata: Metadata = { title: 'Models' };

export default async function ModelsPage() {
  const [models, person] = await Promise.all([modelList(), currentPerson()]);
  return <ModelsScreen models={models} mayPut={may(person.role, addModel.spec)} />;
}
