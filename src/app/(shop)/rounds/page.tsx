import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { roundsAsked } from '@/app/roundsQuery';
import { ProblemError } from '@/shop/problem';
import { rounds } from '@/shop/rounds/rounds';
import { RoundsScreen } from '@/ui/rounds/RoundsScreen';

export const metadata: Metadata = { title: 'Rounds' };

type Query = { searchParams: Promise<Record<string, string | string[] | undefined>> };

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
      key={`${asked.ahead} ${asked.kind ?? ''} ${asked.order}`}
      first={view}
      ahead={asked.ahead}
      kind={asked.kind ?? ''}
      order={asked.order ?? 'day'}
    />
  );
}
