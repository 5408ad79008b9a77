import { setActor } from '@/data/audit';
import { database, inTransaction, type Db } from '@/data/database';
import { claimDeed, storeDeedAnswer, type Claim } from '@/data/deeds';
import type { Person } from '../access/person';
import { allow, type Right } from '../access/roles';
import { bodyMark } from '../access/secrets';
import { notFound, ProblemError } from '../problem';
import { readDto } from '../readDto';

/** A deed as the table of deeds knows it: who may do it, what it is in words, the class that checks what is sent. */
export interface DeedSpec<Dto extends object = object> extends Right {
  dto: new () => Dto;
}

/** A deed on one thing (a job, a machine, a customer) as the table has it. */
export interface AnyDeedOn<Id> {
  spec: DeedSpec;
  /** Does it from what was sent. @throws ProblemError 400 that names each field, and what the deed itself refuses */
  from: (person: Person, id: Id, body: unknown) => Promise<unknown>;
}

/** A deed that is done to the shop as a whole, or makes something new. */
export interface AnyShopDeed {
  spec: DeedSpec;
  from: (person: Person, body: unknown) => Promise<unknown>;
}

export type DeedOn<Id, Dto extends object, Answer> = ((person: Person, id: Id, dto: Dto) => Promise<Answer>) &
  AnyDeedOn<Id>;
export type ShopDeed<Dto extends object, Answer> = ((person: Person, dto: Dto) => Promise<Answer>) & AnyShopDeed;

/** Describes a deed on one thing; nobody whose role may not gets to it. */
export function deedOn<Id, Dto extends object, Answer>(
  spec: DeedSpec<Dto>,
  work: (person: Person, id: Id, dto: Dto) => Promise<Answer>,
): DeedOn<Id, Dto, Answer> {
  const run = async (person: Person, id: Id, dto: Dto) => {
    allow(person, spec);
    return work(person, id, dto);
  };
  return Object.assign(run, {
    spec,
    from: async (person: Person, id: Id, body: unknown) => run(person, id, await readDto(spec.dto, body)),
  });
}

/** Describes a deed on the shop; nobody whose role may not gets to it. */
export function shopDeed<Dto extends object, Answer>(
  spec: DeedSpec<Dto>,
  work: (person: Person, dto: Dto) => Promise<Answer>,
): ShopDeed<Dto, Answer> {
  const run = async (person: Person, dto: Dto) => {
    allow(person, spec);
    return work(person, dto);
  };
  return Object.assign(run, {
    spec,
    from: async (person: Person, body: unknown) => run(person, await readDto(spec.dto, body)),
  });
}

/** What is claimed with the key of what was sent. */
export function claimOf(person: Person, name: string, subject: string | number, dto: { key: string }): Claim {
  return { key: dto.key, personId: person.id, deed: `${name}:${subject}`, mark: bodyMark(dto) };
}

/** A key answers one question and no other: not another body, deed, thing or person. */
export function usedOtherwise(): ProblemError {
  return new ProblemError(422, 'This key was used for something else. Nothing was written.', [
    { field: 'key', message: 'Used before for something else: choose another.' },
  ]);
}

/** @throws ProblemError 422 */
async function claimed(db: Db, claim: Claim): Promise<{ answer: unknown } | null> {
  const before = await claimDeed(db, claim);
  if (before === 'other') throw usedOtherwise();
  return before === 'new' ? null : before;
}

/**
 * Does one thing in one transaction, once per key, under the person's name in the audit.
 * @param name of the deed, for the audit
 * @param subject tells deeds of one name apart, such as the number of the job
 * @throws ProblemError 422 when the key was used for something else
 */
export async function once<T>(
  person: Person,
  name: string,
  dto: { key: string },
  subject: string | number,
  work: (db: Db) => Promise<T>,
): Promise<T> {
  return inTransaction(database(), async (db) => {
    await setActor(db, person.id, name);
    const before = await claimed(db, claimOf(person, name, subject, dto));
    if (before) return before.answer as T;
    const answer = await work(db);
    await storeDeedAnswer(db, dto.key, answer);
    return answer;
  });
}

/**
 * Changes one row that carries a version: refused with the row as it is now when somebody changed it meanwhile.
 * @throws ProblemError 404; 409 with `current`; 422 when the key was used for something else
 */
export async function onVersion<Row extends { version: number; merged_into?: number | null }, View>(
  person: Person,
  name: string,
  dto: { key: string; version: number },
  subject: { id: number; what: string; lock: (db: Db) => Promise<Row | undefined>; view: (db: Db) => Promise<View> },
  work: (db: Db, row: Row) => Promise<void>,
): Promise<View> {
  return inTransaction(database(), async (db) => {
    await setActor(db, person.id, name);
    // Pressed twice: nothing is done again, and the answer is the row as it is now, so no copy of it is kept.
    if (await claimed(db, claimOf(person, name, subject.id, dto))) return subject.view(db);
    const row = await subject.lock(db);
    if (!row) throw notFound(subject.what);
    if (row.merged_into)
      throw new ProblemError(409, `${subject.what} was merged into another meanwhile: write on that one.`, [], {
        mergedInto: row.merged_into,
      });
    if (row.version !== dto.version)
      throw new ProblemError(409, `Somebody changed ${subject.what.toLowerCase()} meanwhile.`, [], {
        current: await subject.view(db),
      });
    await work(db, row);
    return subject.view(db);
  });
}
