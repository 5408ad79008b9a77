import type { JobFacts } from '@/shop/jobView/dto';

/** Those of some faults that are to be mended: without what the owner, offered it, did not want. */
export const wanted = ({ agree }: Pick<JobFacts, 'agree'>, faults: readonly string[]): string[] =>
  faults.filter((f) => !agree.notWanted.includes(f));
