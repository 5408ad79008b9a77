/** Sentences that say nothing of a machine. */
export const NOTHING = 'nothing';

const VISIT = 'visit:';

/** The reason for a visit that was heard, when it was one and no complaint. */
export const visitHeard = (id: string): string | null => (id.startsWith(VISIT) ? id.slice(VISIT.length) : null);
