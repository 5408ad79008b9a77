import type { Metadata } from 'next';
import { orNotFound } from '@/app/orNotFound';
import { machineCard } from '@/shop/machines/machines';
import { MachineCard } from '@/ui/machines/MachineCard';

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: decodeURIComponent((await params).tag) };
}

export default async function MachinePage({ params }: Params) {
  return <MachineCard card={await orNotFound(machineCard(decodeURIComponent((await params).tag)))} />;
}
