import { repairedFault } from './doing';

interface Told {
  findings: readonly { check: string; outcome: string | null; revoked: boolean }[];
  proved: readonly string[];
}

/**
 * Faults whose repair was done on suspicion, and it was not it: the complaint was still there after it.
 * @param told findings in their order; what was proved is never in vain
 */
export function triedInVain({ findings, proved }: Told): string[] {
  const last = new Map<string, boolean>();
  for (const { check, outcome, revoked } of findings) {
    const fault = repairedFault(check);
    if (fault !== null && !revoked) last.set(fault, outcome === 'remains');
  }
  return [...last].flatMap(([fault, remains]) => (remains && !proved.includes(fault) ? [fault] : []));
}
