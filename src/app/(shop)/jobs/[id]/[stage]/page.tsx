import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { jobNumber } from '@/app/jobNumber';
import { orNotFound } from '@/app/orNotFound';
import { currentPerson } from '@/app/person';
import { bookFor } from '@/app/bookFor';
import { jobPage } from '@/shop/odds/readJob';
import { JobScreen } from '@/ui/jobScreen/JobScreen';
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
  const { facts, odds } = await orNotFound((async () => jobPage(jobNumber(id)))());
  const me = await currentPerson();
  // Facts at once; the odds follow in the same answer when they are worked out.
  const book = bookFor(facts.machine.kind);
  return <JobScreen key={stage} initial={facts} told={odds} book={book} stage={stage as StageId} me={me.name} />;
}
