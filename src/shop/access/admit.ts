import { guard, PERSON_HEADER, type Knock, type Verdict } from './guard';
import { seal, unseal } from './secrets';

/** Set instead of a person where nobody need be known; like it, it is sealed. */
export const OPEN_HEADER = 'x-gritkeeper-open';
/** What a client sends under these names is thrown away. */
export const PASSES = [PERSON_HEADER, OPEN_HEADER] as const;

export type Admission = { headers: Record<string, string> } | Extract<Verdict, { refuse: number }>;

/** Asks the guard, and packs what it found out for whoever stands behind the door. */
export async function admit(knock: Knock): Promise<Admission> {
  const verdict = await guard(knock);
  if ('refuse' in verdict) return verdict;
  return {
    headers:
      verdict.pass === 'person' ? { [PERSON_HEADER]: seal(verdict.person) } : { [OPEN_HEADER]: seal({ open: true }) },
  };
}

/** Whether a guard let this in: without one nothing behind the door is answered, whichever way it came. */
export function isAdmitted(headers: Headers): boolean {
  return PASSES.some((name) => unseal(headers.get(name)) !== null);
}
