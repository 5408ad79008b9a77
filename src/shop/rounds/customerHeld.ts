import { customerById, lockCustomer } from '@/data/customers';
import type { Db } from '@/data/database';

/** A customer as what a deed of the rounds is based on: only their version is told. */
export const customerHeld = (id: number) => ({
  id,
  what: 'This customer',
  lock: (db: Db) => lockCustomer(db, id),
  view: async (db: Db) => ({ id, version: (await customerById(db, id))!.version }),
});
