import { knowledge } from '@/knowledge';

/** Complaints as a sentence goes on with them: `roll slow, leaves no lines; smells of burning`. */
export const complaintLabels = (ids: readonly string[]): string =>
  ids.map((id) => (knowledge.complaints.find((c) => c.id === id)?.label ?? id).toLowerCase()).join('; ');
