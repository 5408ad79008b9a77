import type { Metadata } from 'next';
import { idNumber } from '@/app/deedRoute';
import { orNotFound } from '@/app/orNotFound';
import { paperOf } from '@/shop/documents/readDocument';
import { DocumentPaper } from '@/ui/print/DocumentPaper';

export const metadata: Metadata = { title: 'Paper' };

export default async function PaperPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <DocumentPaper view={await orNotFound((async () => paperOf(idNumber('This paper')(id)))())} />;
}
