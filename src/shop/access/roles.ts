import { ProblemError } from '../problem';
import type { Person } from './person';

export type Role = 'owner' | 'technician' | 'counter';

const everyone: readonly Role[] = ['owner', 'technician', 'counter'];
const bench: readonly Role[] = ['owner', 'technician'];
const counter: readonly Role[] = ['owner', 'counter'];
const owner: readonly Role[] = ['owner'];

/** What each role may do: the one table. A deed that is not in it is done by nobody. Reading a card or a job is everyone's. */
export const MAY = {
  'take-in': everyone,
  'move-job': everyone,
  'write-note': everyone,
  'add-photograph': everyone,
  'remove-photograph': everyone,
  'record-meter': everyone,
  'start-wait': everyone,
  'end-wait': everyone,
  'hand-back': everyone,
  'amend-job': everyone,
  'record-findings': bench,
  'revoke-finding': bench,
  'clear-caution': bench,
  'move-stage': bench,
  'fit-part': bench,
  'take-back-part': bench,
  'tick-rebuild': bench,
  'record-proof': bench,
  'make-practice': bench,
  measure: bench,
  'keep-gauge': bench,
  'take-back-gauge': bench,
  'keep-usual': owner,
  'amend-machine': everyone,
  'change-owner': counter,
  'merge-machines': counter,
  'add-customer': counter,
  'amend-customer': counter,
  'merge-customers': counter,
  'put-site': counter,
  'put-contact': counter,
  'put-model': bench,
  'import-customers': owner,
  'import-machines': owner,
  'export-all': owner,
  'read-audit': owner,
  'add-person': owner,
  'amend-person': owner,
  'reset-passphrase': owner,
  'end-session': owner,
  'amend-shop': owner,
  'read-learning': owner,
  'lend-in': owner,
  'weigh-lent': owner,
} as const satisfies Record<string, readonly Role[]>;

export type DeedName = keyof typeof MAY;

export function may(role: Role, deed: DeedName): boolean {
  return (MAY[deed] as readonly Role[]).includes(role);
}

/** @throws ProblemError 403 when this role may not do it */
export function allow(person: Pick<Person, 'role'>, deed: DeedName): void {
  if (!may(person.role, deed)) {
    const who = MAY[deed].join(' or ');
    throw new ProblemError(403, `This is for the ${who}; you are signed in as ${person.role}.`);
  }
}
