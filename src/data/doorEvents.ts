import type { Db } from './database';

/** What happened at the door. */
export interface DoorEvent {
  what: string;
  personId?: number | null;
  /** The name that was typed, when nobody is known by it. */
  signIn?: string;
  address?: string;
  detail?: string;
}

export async function insertDoorEvent(db: Db, e: DoorEvent): Promise<void> {
  await db('door_event').insert({
    what: e.what,
    person_id: e.personId ?? null,
    sign_in: (e.signIn ?? '').slice(0, 60),
    address: (e.address ?? '').slice(0, 80),
    detail: (e.detail ?? '').slice(0, 200),
  });
}

export interface DoorEventRow {
  id: number;
  at: Date;
  what: string;
  person: string | null;
  sign_in: string;
  address: string;
  detail: string;
}

/** Newest first; `before` pages through. */
export async function doorEvents(
  db: Db,
  limit: number,
  { before, personId }: { before?: number; personId?: number } = {},
): Promise<DoorEventRow[]> {
  const query = db('door_event')
    .leftJoin('person', 'person.id', 'door_event.person_id')
    .orderBy('door_event.id', 'desc')
    .limit(limit)
    .select(
      'door_event.id',
      'door_event.at',
      'door_event.what',
      'door_event.sign_in',
      'door_event.address',
      'door_event.detail',
      { person: 'person.name' },
    );
  if (before !== undefined) query.where('door_event.id', '<', before);
  if (personId !== undefined) query.where('door_event.person_id', personId);
  return query;
}
