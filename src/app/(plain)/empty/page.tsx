import type { Metadata } from 'next';
import { Blank } from '@/ui/specimen/Blank';

export const metadata: Metadata = { title: 'Empty' };

/** The emptiest page that has the component library: what first loads are measured against. */
export default function EmptyPage() {
  return <Blank />;
}
