import { redirect } from 'next/navigation';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { stageOf } from '@/shop/odds/readJob';

export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const { job, stage } = await orNotFound((async () => stageOf(jobNumber(id)))());
  redirect(`/jobs/${job}/${stage === 'closed' ? 'hand-back' : stage}`);
}
