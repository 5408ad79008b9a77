import type { Metadata } from 'next';
import { jobQuery } from '@/app/jobQuery';
import { GaugeList } from '@/ui/gauges/GaugeList';

export const metadata: Metadata = { title: 'Gauges' };

type Query = { searchParams: Promise<Record<string, string | string[] | undefined>> };

export default async function GaugesPage({ searchParams }: Query) {
  const job = await jobQuery((await searchParams)['job']);
  return <GaugeList job={job?.id} />;
}
