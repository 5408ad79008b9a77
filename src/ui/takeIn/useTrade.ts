import type * as knownOfMachines from '@/knowledge';
import { useLater } from '../asking/useLater';

/** All that is known of machines: more than the counter needs before it knows which one, and the larger half of its page. */
export type Trade = typeof knownOfMachines;

/** @param wanted somebody has begun: a machine is known, or will be in a moment */
export const useTrade = (wanted: boolean) => useLater('trade', (): Promise<Trade> => import('@/knowledge'), wanted);
