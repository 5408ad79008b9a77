import type { Metadata } from 'next';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { careSheet } from '@/shop/careSheet/careSheet';
import { CareSheet } from '@/ui/handBack/CareSheet';

export const metadata: Metadata = { title: 'Care sheet' };

export default async function CareSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <CareSheet sheet={await orNotFound((async () => careSheet(jobNumber(id)))())} />;
}
