import { setActor } from '@/data/audit';
import { database, type Db } from '@/data/database';
import { claimDeed, storeDeedAnswer } from '@/data/deeds';
import type { Person } from '../access/person';
import { allow, type DeedName } from '../access/roles';
import { notFound, ProblemError } from '../problem';

/**
 * Does one thing in one transaction, once per key, under the person's name in the audit.
 * @param subject tells deeds of one name apart, such as the number of the job
 * @throws ProblemError 403 when the person's role may not do it
 */
export async function deed<T>(
  person: Person,
  name: DeedName,
  key: string,
  subject: string | number,
  work: (db: Db) => Promise<T>,
): Promise<T> {
  allow(person, name);
  return database().transaction(async (db) => {
    await setActor(db, person.id, name);
    const before = await claimDeed(db, key, person.id, `${name}:${subject}`);
    if (before) return before.answer as T;
    const answer = await work(db);
    await storeDeedAnswer(db, key, answer);
    return answer;
  });
}

/**
 * Changes one row that carries a version: refused with the row as it is now when somebody changed it meanwhile.
 * @throws ProblemError 403; 404; 409 with `current`
 */
export async function versionedDeed<Row extends { version: number }, View>(
  person: Person,
  name: DeedName,
  dto: { key: string; version: number },
  subject: { id: number; what: string; lock: (db: Db) => Promise<Row | undefined>; view: (db: Db) => Promise<View> },
  work: (db: Db, row: Row) => Promise<void>,
): Promise<View> {
  allow(person, name);
  return database().transaction(async (db) => {
    await setActor(db, person.id, name);
    // Pressed twice: nothing is done again, and the answer is the row as it is now, so no copy of it is kept.
    if (await claimDeed(db, dto.key, person.id, `${name}:${subject.id}`)) return subject.view(db);
    const row = await subject.lock(db);
    if (!row) throw notFound(subject.what);
    if (row.version !== dto.version)
      throw new ProblemError(409, `Somebody changed ${subject.what.toLowerCase()} meanwhile.`, [], {
        current: await subject.view(db),
      });
    await work(db, row);
    return subject.view(db);
  });
}
