import { setActor } from '@/data/audit';
import { database, type Db } from '@/data/database';
import { claimDeed, storeDeedAnswer } from '@/data/deeds';
import type { Person } from '../access/person';
import { allow, type Right } from '../access/roles';
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

/**
 * Does one thing in one transaction, once per key, under the person's name in the audit.
 * @param name of the deed, for the audit
 * @param subject tells deeds of one name apart, such as the number of the job
 */
export async function once<T>(
  person: Person,
  name: string,
  key: string,
  subject: string | number,
  work: (db: Db) => Promise<T>,
): Promise<T> {
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
 * @throws ProblemError 404; 409 with `current`
 */
export async function onVersion<Row extends { version: number }, View>(
  person: Person,
  name: string,
  dto: { key: string; version: number },
  subject: { id: number; what: string; lock: (db: Db) => Promise<Row | undefined>; view: (db: Db) => Promise<View> },
  work: (db: Db, row: Row) => Promise<void>,
): Promise<View> {
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
