import { finderTasks } from '@/core/diagnosis/finderTasks';
import { knowledge } from '@/knowledge';

/** The finder in a thread of the server. */
export const { reckon, foretell } = finderTasks(knowledge);
