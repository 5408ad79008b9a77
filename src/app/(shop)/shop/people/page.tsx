import type { Metadata } from 'next';
import { orForbidden } from '@/app/orForbidden';
import { currentPerson } from '@/app/person';
import { peopleOf } from '@/shop/people/people';
import { shopOf } from '@/shop/shopBook/shopBook';
import { PeopleScreen } from '@/ui/shop/PeopleScreen';

export const metadata: Metadata = { title: 'People' };

export default async function PeoplePage() {
  const person = await currentPerson();
  return orForbidden(async () => {
    const [people, shop] = await Promise.all([peopleOf(person), shopOf()]);
    return <PeopleScreen people={people} zone={shop.zone} />;
  });
}
