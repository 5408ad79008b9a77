import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { STAGES } from '@/ui/job/stages';

export default async function StageLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ stage: string }>;
}) {
  const { stage } = await params;
  if (!STAGES.some((s) => s.id === stage)) notFound();
  return children;
}
