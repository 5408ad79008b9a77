import { ProblemError } from '../problem';
import type { Person } from './person';

export type Role = 'owner' | 'technician' | 'counter';

/** Who may do something: a deed names one of these. */
export const everyone: readonly Role[] = ['owner', 'technician', 'counter'];
export const bench: readonly Role[] = ['owner', 'technician'];
export const counter: readonly Role[] = ['owner', 'counter'];
export const owner: readonly Role[] = ['owner'];

/** Something that not everybody may do, by its name in the audit and in words. Reading a card or a job is everyone's. */
export interface Right {
  name: string;
  roles: readonly Role[];
  summary: string;
  /** What is done with it besides, by everybody who may do it, also where their role alone would not let them. */
  also?: readonly string[];
}

export function may(role: Role, right: Pick<Right, 'roles'>): boolean {
  return right.roles.includes(role);
}

/** @throws ProblemError 403 when this role may not do it */
export function allow(person: Pick<Person, 'role'>, right: Pick<Right, 'roles'>): void {
  if (!may(person.role, right)) {
    const who = right.roles.join(' or ');
    throw new ProblemError(403, `This is for the ${who}; you are signed in as ${person.role}.`);
  }
}
