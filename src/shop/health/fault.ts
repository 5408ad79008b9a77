import { faultSort } from '@/data/faultSort';

/** Status and words for a fault that people can do something about, or null for one of ours. */
export function faultOf(error: unknown): { status: 400 | 409 | 503 | 507; title: string } | null {
  switch (faultSort(error)) {
    case 'away':
      return {
        status: 503,
        // The link may have broken between the writing and the answer to it: only the key knows.
        title:
          'The database does not answer. Whether this was saved is not known: sent again under the same key it is done once.',
      };
    case 'disk-full':
      return {
        status: 507,
        title: 'The disk of the server is full. Nothing of this was saved; what was there before is safe.',
      };
    case 'busy':
      return {
        status: 503,
        title: 'This took too long, and nothing of it was saved. Try again; what you typed is still on your screen.',
      };
    case 'contended':
      return {
        status: 409,
        title: 'Somebody else saved the same at the same time. Nothing of yours was saved yet: look again, then save.',
      };
    case 'not-there':
      return {
        status: 409,
        title: 'Something that this refers to is not here, or not any more. Nothing was saved: look again.',
      };
    case 'unkept':
      return {
        status: 400,
        title: 'Something in it cannot be kept: a number too large, a date that does not exist. Nothing was saved.',
      };
    default:
      return null;
  }
}
