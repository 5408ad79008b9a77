import { faultSort } from '@/data/faultSort';

/** Status and words for a fault that people can do something about, or null for one of ours. */
export function faultOf(error: unknown): { status: 503 | 507; title: string } | null {
  switch (faultSort(error)) {
    case 'away':
      return {
        status: 503,
        title: 'The database does not answer. Nothing of this was saved; what you typed is still on your screen.',
      };
    case 'disk-full':
      return {
        status: 507,
        title: 'The disk of the server is full. Nothing of this was saved; what was there before is safe.',
      };
    default:
      return null;
  }
}
