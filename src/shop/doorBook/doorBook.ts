import { database } from '@/data/database';
import { doorEvents } from '@/data/doorEvents';
import { mayReadAudit } from '../access/mayReadAudit';
import type { Person } from '../access/person';
import { allow } from '../access/roles';
import type { DoorLine } from './dto';

const PAGE = 50;
const WORDS: Record<string, string> = {
  'signed-in': 'Signed in',
  'signed-out': 'Signed out',
  refused: 'Was refused',
  'turned-away': 'Was turned away',
  'not-allowed': 'Asked for what the role does not allow',
  exported: 'Took data out',
  'passphrase-changed': 'Changed the own passphrase',
  'passphrase-reset': 'Was given a new passphrase',
  'role-changed': 'Was given a role',
  'second-factor-set': 'Set a second factor',
  'second-factor-dropped': 'Dropped the second factor',
  'session-ended': 'Ended sessions',
  'token-made': 'Made a token',
  'token-revoked': 'Revoked a token',
};

/** What happened at the door, newest first; for the owner. @throws ProblemError 403 */
export async function readDoorBook(
  person: Person,
  of: { before?: number; personId?: number } = {},
): Promise<{ rows: DoorLine[]; more: boolean }> {
  allow(person, mayReadAudit);
  const rows = await doorEvents(database(), PAGE + 1, of);
  return {
    rows: rows.slice(0, PAGE).map((r) => ({
      id: r.id,
      at: r.at.toISOString(),
      what: WORDS[r.what] ?? r.what.replaceAll('-', ' '),
      who: r.person ?? r.sign_in,
      isKnown: r.person !== null,
      address: r.address,
      detail: r.detail,
    })),
    more: rows.length > PAGE,
  };
}
