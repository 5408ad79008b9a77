import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { ProblemError } from '@/shop/problem';
import { linkView } from '@/shop/links/links';
import { OwnersPage } from '@/ui/owner/OwnersPage';

export const metadata: Metadata = {
  title: 'Your machine',
  robots: { index: false, follow: false },
  referrer: 'no-referrer',
};

/** The owner’s page of one machine. Every address that opens nothing looks the same. */
export default async function Owners({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const address = (await headers()).get('x-forwarded-for')?.split(',')[0]?.trim() ?? '';
  const view = await linkView(token, address).catch((error: unknown) => {
    if (error instanceof ProblemError) return null;
    throw error;
  });
  if (!view) notFound();
  return <OwnersPage initial={view} token={token} />;
}
