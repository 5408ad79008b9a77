import { database, type Db } from '@/data/database';
import {
  endSessions,
  insertPerson,
  lockOwners,
  lockPerson,
  people,
  personBySignIn,
  sessionsOf,
  updatePerson,
  type PersonRow,
} from '@/data/people';
import { insertDoorEvent } from '@/data/doorEvents';
import { dropSecondFactor, forgetBrowsers } from '@/data/doorKeys';
import { revokeTokens } from '@/data/tokens';
import type { Person } from '../access/person';
import { allow, owner } from '../access/roles';
import { hashPassphrase } from '../access/passphrases';
import { deedOn, once, onVersion, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import { AddPersonDto, AmendPersonDto, EndSessionDto, ResetPassphraseDto, type PersonView } from './dto';

/** Everyone of the shop with their open sessions; for the owner. @throws ProblemError 403 */
export async function peopleOf(person: Person): Promise<PersonView[]> {
  allow(person, amendPerson.spec);
  const db = database();
  return Promise.all((await people(db)).map((p) => view(db, p)));
}

async function view(db: Db, p: PersonRow): Promise<PersonView> {
  return {
    id: p.id,
    version: p.version,
    signIn: p.sign_in,
    name: p.name,
    role: p.role,
    locked: p.locked_at !== null,
    sessions: (await sessionsOf(db, p.id)).map((s) => ({
      id: s.id,
      agent: s.agent,
      since: s.created_at.toISOString(),
      lastSeen: s.last_seen_at.toISOString(),
    })),
  };
}

export const addPerson = shopDeed(
  { name: 'add-person', roles: owner, summary: 'Add a person', dto: AddPersonDto },
  async (person, dto) => {
    const passphrase_hash = await hashPassphrase(dto.passphrase);
    return once(person, 'add-person', dto, '', async (db) => {
      refuseIf(
        (await personBySignIn(db, dto.signIn))
          ? [{ field: 'signIn', message: 'Somebody signs in under this name.' }]
          : [],
      );
      return {
        id: await insertPerson(db, { sign_in: dto.signIn, name: dto.name.trim(), role: dto.role, passphrase_hash }),
      };
    });
  },
);

function subject(id: number) {
  return {
    id,
    what: 'This person',
    lock: (db: Db) => lockPerson(db, id),
    view: async (db: Db) => view(db, (await lockPerson(db, id))!),
  };
}

/** Changes name, role or lock. The last owner who can sign in stays one. */
export const amendPerson = deedOn(
  { name: 'amend-person', roles: owner, summary: 'Change name, role or lock', dto: AmendPersonDto },
  (person, id: number, dto) =>
    onVersion(person, 'amend-person', dto, subject(id), async (db, row) => {
      const owners = await lockOwners(db);
      const wasLast = owners.length === 1 && owners[0] === id;
      if (wasLast && (dto.locked || dto.role !== 'owner'))
        refuseIf([{ field: dto.locked ? 'locked' : 'role', message: 'The shop needs an owner who can sign in.' }]);
      await updatePerson(db, id, {
        name: dto.name.trim(),
        role: dto.role,
        locked_at: dto.locked ? (row.locked_at ?? new Date()) : null,
      });
      if (dto.locked) {
        await endSessions(db, id);
        await revokeTokens(db, id);
      }
      if (dto.role !== row.role || dto.locked !== (row.locked_at !== null))
        await insertDoorEvent(db, {
          what: 'role-changed',
          personId: id,
          detail: `${dto.role}${dto.locked ? ', locked' : ''} by ${person.name}`,
        });
    }),
);

/** Gives a person a new passphrase and ends all their sessions. */
export const resetPassphrase = deedOn(
  {
    name: 'reset-passphrase',
    roles: owner,
    summary: 'Set a new passphrase, end all sessions and tokens',
    dto: ResetPassphraseDto,
  },
  async (person, id: number, dto) => {
    const passphrase_hash = await hashPassphrase(dto.passphrase);
    return onVersion(person, 'reset-passphrase', dto, subject(id), async (db) => {
      await updatePerson(db, id, { passphrase_hash });
      await endSessions(db, id);
      await revokeTokens(db, id);
      await forgetBrowsers(db, id);
      const dropped = dto.dropFactor === true && (await dropSecondFactor(db, id));
      await insertDoorEvent(db, {
        what: 'passphrase-reset',
        personId: id,
        detail: `by ${person.name}${dropped ? ', second factor dropped' : ''}`,
      });
    });
  },
);

export const endSession = deedOn(
  { name: 'end-session', roles: owner, summary: 'End one session, or all', dto: EndSessionDto },
  (person, id: number, dto) =>
    onVersion(person, 'end-session', dto, subject(id), async (db) => {
      const ended = await endSessions(db, id, dto.session);
      refuseIf(ended === 0 && dto.session ? [{ field: 'session', message: 'This session has ended already.' }] : []);
    }),
);
