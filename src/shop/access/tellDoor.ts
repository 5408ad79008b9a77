import { LRUCache } from 'lru-cache';
import { database } from '@/data/database';
import { insertDoorEvent, type DoorEvent } from '@/data/doorEvents';

/** The same again within this time is one line: who hammers at a door does not fill its book. */
const QUIET_MS = 60_000;
const told = new LRUCache<string, true>({ max: 2000, ttl: QUIET_MS });

/** Writes a line, once a minute for the same. */
export async function tellDoor(event: DoorEvent): Promise<void> {
  const same = JSON.stringify([event.what, event.personId, event.signIn, event.address, event.detail]);
  if (told.has(same)) return;
  told.set(same, true);
  await insertDoorEvent(database(), event);
}
