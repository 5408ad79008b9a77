import type { Metadata } from 'next';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { serviceReport } from '@/shop/serviceReport/serviceReport';
import { ServiceReport } from '@/ui/visit/ServiceReport';

export const metadata: Metadata = { title: 'Service report' };

export default async function ServiceReportPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <ServiceReport report={await orNotFound((async () => serviceReport(jobNumber(id)))())} />;
}
