import type { Metadata } from 'next';
import { orNotFound } from '@/app/orNotFound';
import { operatorSheet } from '@/shop/operatorSheet/operatorSheet';
import { OperatorSheet } from '@/ui/visit/OperatorSheet';

export const metadata: Metadata = { title: 'Operator’s sheet' };

export default async function OperatorSheetPage({ params }: { params: Promise<{ tag: string }> }) {
  return <OperatorSheet sheet={await orNotFound(operatorSheet(decodeURIComponent((await params).tag)))} />;
}
