import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { ownPath } from '@/shop/ownPath';
import { LockedPage } from '@/ui/lock/LockedPage';

export const metadata: Metadata = { title: 'Locked' };

export default async function Locked({ searchParams }: { searchParams: Promise<{ next?: string | string[] }> }) {
  const { next } = await searchParams;
  return <LockedPage person={await currentPerson()} next={ownPath(next)} />;
}
