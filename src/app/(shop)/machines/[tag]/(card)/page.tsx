import { changeOwner } from '@/shop/amendMachine/amendMachine';
import { mayReadAudit } from '@/shop/access/mayReadAudit';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { orNotFound } from '@/app/orNotFound';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { bookFor } from '@/app/bookFor';
import { machineCard } from '@/shop/machines/machines';
import { MachineCard } from '@/ui/machines/MachineCard';

type Params = { params: Promise<{ tag: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: decodeURIComponent((await params).tag) };
}

export default async function MachinePage({ params }: Params) {
  const tag = decodeURIComponent((await params).tag);
  const [card, person] = await Promise.all([orNotFound(machineCard(tag)), currentPerson()]);
  // Its book is part of another's now: the old tag on the machine still finds it.
  if (card.mergedInto) redirect(`/machines/${card.mergedInto}`);
  return (
    <MachineCard
      card={card}
      book={bookFor(card.kind)}
      mayMove={may(person.role, changeOwner.spec)}
      mayAudit={may(person.role, mayReadAudit)}
    />
  );
}
