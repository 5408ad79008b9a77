import type { Metadata } from 'next';
import { Specimen } from '@/ui/specimen/Specimen';

export const metadata: Metadata = { title: 'Specimen' };

export default function SpecimenPage() {
  return <Specimen />;
}
