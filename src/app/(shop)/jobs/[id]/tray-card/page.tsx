import type { Metadata } from 'next';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { jobSheet } from '@/shop/jobSheet/jobSheet';
import { TrayCard } from '@/ui/print/TrayCard';

export const metadata: Metadata = { title: 'Tray card' };

export default async function TrayCardPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <TrayCard sheet={await orNotFound((async () => jobSheet(jobNumber(id)))())} />;
}
