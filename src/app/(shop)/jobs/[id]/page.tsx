import { redirect } from 'next/navigation';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { readJob } from '@/shop/jobView/jobView';

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const job = await orNotFound((async () => readJob(jobNumber(id)))());
  redirect(`/jobs/${job.id}/${job.stage === 'closed' ? 'hand-back' : job.stage}`);
}
