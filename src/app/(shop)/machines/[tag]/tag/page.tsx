import type { Metadata } from 'next';
import { orNotFound } from '@/app/orNotFound';
import { tagView } from '@/shop/codes/tagView';
import { TagSheet } from '@/ui/print/TagSheet';

export const metadata: Metadata = { title: 'Tag' };

export default async function TagPage({ params }: { params: Promise<{ tag: string }> }) {
  return <TagSheet tag={await orNotFound(tagView(decodeURIComponent((await params).tag)))} />;
}
