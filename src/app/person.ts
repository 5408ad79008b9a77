import { headers } from 'next/headers';
import { PERSON_HEADER } from '@/shop/access/guard';
import type { Person } from '@/shop/access/person';
import { unseal } from '@/shop/access/secrets';
import { ProblemError } from '@/shop/problem';

/**
 * Who is at the keyboard, from what the guard sealed into the request.
 * @throws ProblemError 401 when no guard let anyone in
 */
export async function currentPerson(): Promise<Person> {
  const person = unseal<Person>((await headers()).get(PERSON_HEADER));
  if (!person) throw new ProblemError(401, 'Sign in first.');
  return person;
}
