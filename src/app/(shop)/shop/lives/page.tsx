import type { Metadata } from 'next';
import { orNotFound } from '@/app/orNotFound';
import { currentPerson } from '@/app/person';
import { kindSeenMost } from '@/shop/lives/kindSeenMost';
import { lives } from '@/shop/lives/lives';
import { LivesScreen } from '@/ui/lives/LivesScreen';

export const metadata: Metadata = { title: 'How long parts last' };

export default async function LivesPage({ searchParams }: { searchParams: Promise<Record<string, unknown>> }) {
  const { kind } = await searchParams;
  const asked = typeof kind === 'string' ? kind : await kindSeenMost();
  const [view, person] = await Promise.all([orNotFound(lives(asked)), currentPerson()]);
  return <LivesScreen key={asked} view={view} mayTake={person.role === 'owner'} />;
}
