import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { gaugeById } from '@/core/gauges/catalogue';

export default async function GaugeLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ name: string }>;
}) {
  if (!gaugeById((await params).name)) notFound();
  return children;
}
