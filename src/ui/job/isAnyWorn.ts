import type { JobFacts } from '@/shop/jobView/dto';

/** Whether a look at this visit called something worn. */
export const isAnyWorn = ({ service }: Pick<JobFacts, 'service'>): boolean => service.some((l) => l.said === 'worn');
