import { database, readiness } from '@/data/database';

/** Whether the database answers and its schema is the newest. */
export function ready() {
  return readiness(database());
}
