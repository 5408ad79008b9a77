import { knowledge } from '.';

/** What the counter must know before the machine is known: names, nothing of the inside. */
export interface CounterNames {
  kinds: { id: string; label: string }[];
  /** `isCommon`: most kinds can have it, so that it is offered before the machine is known. */
  complaints: { id: string; label: string; isCommon: boolean }[];
}

export const counterNames: CounterNames = {
  kinds: knowledge.kinds.map(({ id, label }) => ({ id, label })),
  complaints: knowledge.complaints.map(({ id, label, kinds }) => ({
    id,
    label,
    isCommon: 2 * kinds.length > knowledge.kinds.length,
  })),
};
