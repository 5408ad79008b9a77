import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { orNotFound } from '@/app/orNotFound';
import { roundsAsked } from '@/app/roundsQuery';
import { customerCard } from '@/shop/customers/customers';
import { ProblemError } from '@/shop/problem';
import { rounds } from '@/shop/rounds/rounds';
import { RoundsScreen } from '@/ui/rounds/RoundsScreen';

export const metadata: Metadata = { title: 'Rounds' };

type Query = { searchParams: Promise<Record<string, string | string[] | undefined>> };

/** Whose machines are looked at alone, and where they stand; an owner who is not there is an address that is not there. */
async function whoIs(id: number) {
  const { name, sites } = await orNotFound(customerCard(id));
  return { id, name, sites: sites.map(({ id: site, label }) => ({ id: site, label })) };
}

export default async function RoundsPage({ searchParams }: Query) {
  const given = await searchParams;
  const one = (name: string) => (typeof given[name] === 'string' ? given[name] : null);
  const asked = (() => {
    try {
      return roundsAsked({ get: one });
    } catch (error) {
      // An address that somebody wrote by hand.
      if (error instanceof ProblemError) notFound();
      throw error;
    }
  })();
  const view = await rounds(asked);
  return (
    <RoundsScreen
      key={JSON.stringify(asked)}
      first={view}
      asked={asked}
      only={asked.customer === undefined ? null : await whoIs(asked.customer)}
    />
  );
}
