import type { Kind } from '@/core/diagnosis/knowledge';
import { changedBy, type Change } from '@/core/strip/changed';
import type { Procedure } from '@/core/strip/procedure';
import type { JobState } from '@/data/jobState';
import { procedures } from '@/knowledge/kinds';

/** How the model of a job differs from its kind. They were looked at when they were written. */
export const changesOf = ({ procedure }: Pick<JobState, 'procedure'>): Change[] => procedure as Change[];

/** The way into this machine: its kind’s, as its model has it. */
export function procedureOf(kind: Kind, state: Pick<JobState, 'procedure'>): Procedure {
  return changedBy(procedures[kind.id]!, changesOf(state)).procedure;
}
