import type { Metadata } from 'next';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { jobSheet } from '@/shop/jobSheet/jobSheet';
import { JobSheet } from '@/ui/print/JobSheet';

export const metadata: Metadata = { title: 'Job sheet' };

export default async function JobSheetPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <JobSheet sheet={await orNotFound((async () => jobSheet(jobNumber(id)))())} />;
}
