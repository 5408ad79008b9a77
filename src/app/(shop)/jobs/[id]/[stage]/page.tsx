import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { readJob } from '@/shop/jobView/jobView';
import { JobScreen } from '@/ui/job/JobScreen';
import { STAGES, type StageId } from '@/ui/job/stages';

type Params = { params: Promise<{ id: string; stage: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const { id, stage } = await params;
  const label = STAGES.find((s) => s.id === stage)?.label ?? 'Job';
  return { title: `${label}, job ${id}` };
}

export default async function StagePage({ params }: Params) {
  const { id, stage } = await params;
  if (!STAGES.some((s) => s.id === stage)) notFound();
  const job = await orNotFound((async () => readJob(jobNumber(id)))());
  return <JobScreen key={stage} initial={job} stage={stage as StageId} />;
}
