import type { Metadata } from 'next';
import { orForbidden } from '@/app/orForbidden';
import { currentPerson } from '@/app/person';
import { learning } from '@/shop/learning/learning';
import { shopOf } from '@/shop/shopBook/shopBook';
import { LearningScreen } from '@/ui/shop/LearningScreen';

export const metadata: Metadata = { title: 'What the finder has learned' };

export default async function LearningPage() {
  const person = await currentPerson();
  return orForbidden(async () => <LearningScreen learning={await learning(person)} zone={(await shopOf()).zone} />);
}
