import { database, inTransaction, type Db } from '@/data/database';
import { setActor } from '@/data/audit';
import { insertDoorEvent } from '@/data/doorEvents';
import {
  confirmSecondFactor,
  dropSecondFactor,
  forgetBrowsers,
  forgiveTries,
  putRecoveryCodes,
  putSecondFactor,
  recoveryCodesLeft,
  secondFactorOf,
  takeStep,
} from '@/data/doorKeys';
import { endOtherSessions, endSessions, lockSession, personById, sessionsOf, updatePerson } from '@/data/people';
import { insertApiToken, revokeTokens, tokensOf } from '@/data/tokens';
import { hashPassphrase, isPassphrase } from '../access/passphrases';
import type { Person } from '../access/person';
import { everyone } from '../access/roles';
import { factorAddress, newFactor, recoveryCodes, recoveryHash, stepOfCode } from '../access/secondFactor';
import { openSealed, sealUp } from '../access/sealed';
import { tokenHash, tokenOfPress } from '../access/secrets';
import { countTry } from '../access/throttle';
import { squareCode } from '../codes/codes';
import { once, shopDeed, type DeedSpec, type ShopDeed } from '../deed/deed';
import { notFound, ProblemError, refuseIf } from '../problem';
import {
  BeginFactorDto,
  ConfirmFactorDto,
  DropFactorDto,
  EndOwnSessionDto,
  LockScreenDto,
  MakeTokenDto,
  OwnPassphraseDto,
  RevokeTokenDto,
  UnlockScreenDto,
  type FactorBegun,
  type MeView,
} from './dto';

/** One's own sessions, second factor and tokens. */
export async function me(person: Person): Promise<MeView> {
  const db = database();
  const row = await personById(db, person.id);
  if (!row) throw notFound('This person');
  const factor = await secondFactorOf(db, person.id);
  return {
    id: row.id,
    name: row.name,
    signIn: row.sign_in,
    role: row.role,
    sessions: (await sessionsOf(db, person.id)).map((s) => ({
      id: s.id,
      agent: s.agent,
      since: s.created_at.toISOString(),
      lastSeen: s.last_seen_at.toISOString(),
      isThis: s.id === person.session,
    })),
    factor: factor?.confirmed_at
      ? { since: factor.confirmed_at.toISOString(), codesLeft: await recoveryCodesLeft(db, person.id) }
      : null,
    tokens: (await tokensOf(db, person.id)).map((t) => ({
      id: t.id,
      label: t.label,
      scope: t.scope,
      since: t.created_at.toISOString(),
      lastUsed: t.last_used_at?.toISOString() ?? null,
      until: t.expires_at?.toISOString() ?? null,
    })),
  };
}

/** Somebody who came in by the door, not a program that speaks for them. */
type Present = Person & { session: number };

/** Describes what everybody does to their own keys, and a token to none: who has a token cannot make it last. */
function ownDeed<Dto extends object, Answer>(
  spec: Omit<DeedSpec<Dto>, 'roles'>,
  work: (person: Present, dto: Dto) => Promise<Answer>,
): ShopDeed<Dto, Answer> {
  return shopDeed({ ...spec, roles: everyone }, async (person, dto) => {
    const { session } = person;
    if (session === undefined) throw new ProblemError(403, 'A token does not change keys: sign in.');
    return work({ ...person, session }, dto);
  });
}

/** @throws ProblemError 400 at `field` for another passphrase than the person's; 429 after too many */
async function provesIt(person: Person, passphrase: string, field: 'now' | 'passphrase'): Promise<void> {
  const db = database();
  const one = { signIn: `own:${person.id}`, address: '', browser: null };
  const number = await countTry(db, one);
  const row = await personById(db, person.id);
  const right = row !== undefined && (await isPassphrase(row.passphrase_hash, passphrase));
  refuseIf(right ? [] : [{ field, message: 'This is not your passphrase.' }]);
  await forgiveTries(db, number, one);
}

const told = (db: Db, person: Person, what: string, detail = '') =>
  insertDoorEvent(db, { what, personId: person.id, detail });

export const changeOwnPassphrase = ownDeed(
  { name: 'change-own-passphrase', summary: 'Change the own passphrase', dto: OwnPassphraseDto },
  async (person, dto): Promise<{ ended: number }> => {
    await provesIt(person, dto.now, 'now');
    const passphrase_hash = await hashPassphrase(dto.passphrase);
    return once(person, 'change-own-passphrase', dto, person.id, async (db) => {
      await updatePerson(db, person.id, { passphrase_hash });
      await forgetBrowsers(db, person.id);
      await told(db, person, 'passphrase-changed');
      return { ended: await endOtherSessions(db, person.id, person.session) };
    });
  },
);

export const endOwnSession = ownDeed(
  { name: 'end-own-session', summary: 'End sessions of one’s own', dto: EndOwnSessionDto },
  (person, dto): Promise<{ ended: number }> =>
    once(person, 'end-own-session', dto, person.id, async (db) => {
      const ended =
        dto.session === undefined
          ? await endOtherSessions(db, person.id, person.session)
          : await endSessions(db, person.id, dto.session);
      refuseIf(ended === 0 && dto.session ? [{ field: 'session', message: 'This session has ended already.' }] : []);
      await told(db, person, 'session-ended', `${ended} of one’s own`);
      return { ended };
    }),
);

/** Begins a second factor: the authenticator reads it, and its first code confirms it. Nothing is asked for before that. */
export const beginFactor = ownDeed(
  { name: 'begin-second-factor', summary: 'Begin a second factor', dto: BeginFactorDto },
  async (person, dto): Promise<FactorBegun> => {
    await provesIt(person, dto.now, 'now');
    await once(person, 'begin-second-factor', dto, person.id, async (db) => {
      const before = await secondFactorOf(db, person.id);
      refuseIf(before?.confirmed_at ? [{ field: 'now', message: 'There is one already: drop it first.' }] : []);
      await putSecondFactor(db, person.id, sealUp('second factor', newFactor()));
      return null;
    });
    const db = database();
    const [row, factor] = [await personById(db, person.id), await secondFactorOf(db, person.id)];
    const { uri, letters } = factorAddress(openSealed('second factor', factor!.sealed), row!.sign_in);
    return { square: squareCode(uri), letters };
  },
);

/** Confirms it by the authenticator's code. @returns recovery codes, shown once, each good once */
export const confirmFactor = ownDeed(
  { name: 'confirm-second-factor', summary: 'Confirm the second factor', dto: ConfirmFactorDto },
  async (person, dto): Promise<{ codes: string[] }> => {
    const codes = recoveryCodes(person.id, dto.key);
    await once(person, 'confirm-second-factor', dto, person.id, async (db) => {
      const factor = await secondFactorOf(db, person.id);
      const begun = factor && !factor.confirmed_at;
      const step = begun
        ? stepOfCode(openSealed('second factor', factor.sealed), dto.code.replace(/\s/g, ''), Date.now())
        : null;
      refuseIf(
        step === null || !(await takeStep(db, person.id, step))
          ? [{ field: 'code', message: 'Not the code that is shown now: type the next one.' }]
          : [],
      );
      await confirmSecondFactor(db, person.id);
      await putRecoveryCodes(
        db,
        person.id,
        codes.map((c) => recoveryHash(person.id, c)),
      );
      await told(db, person, 'second-factor-set');
      return null;
    });
    return { codes };
  },
);

export const dropFactor = ownDeed(
  { name: 'drop-second-factor', summary: 'Do without the second factor', dto: DropFactorDto },
  async (person, dto): Promise<{ dropped: boolean }> => {
    await provesIt(person, dto.now, 'now');
    return once(person, 'drop-second-factor', dto, person.id, async (db) => {
      const dropped = await dropSecondFactor(db, person.id);
      if (dropped) await told(db, person, 'second-factor-dropped');
      return { dropped };
    });
  },
);

/** Makes a token for the published service. It is shown once; the same key shows it again. */
export const makeToken = ownDeed(
  { name: 'make-token', summary: 'Make a token for the service', dto: MakeTokenDto },
  async (person, dto): Promise<{ id: number; token: string }> => {
    const token = tokenOfPress(person.id, dto.key);
    const { id } = await once(person, 'make-token', dto, person.id, async (db) => {
      const made = await insertApiToken(db, person.id, dto.label.trim(), tokenHash(token), {
        scope: dto.scope,
        days: dto.days,
      });
      await told(
        db,
        person,
        'token-made',
        `${dto.scope}, ${dto.days === null ? 'without an end' : `${dto.days} days`}`,
      );
      return { id: made };
    });
    return { id, token };
  },
);

export const revokeToken = ownDeed(
  { name: 'revoke-token', summary: 'Revoke a token of one’s own', dto: RevokeTokenDto },
  (person, dto): Promise<{ revoked: number }> =>
    once(person, 'revoke-token', dto, person.id, async (db) => {
      const revoked = await revokeTokens(db, person.id, dto.token);
      refuseIf(revoked === 0 ? [{ field: 'token', message: 'This token is not good any more.' }] : []);
      await told(db, person, 'token-revoked');
      return { revoked };
    }),
);

/** Locks the screen of this session: it opens by the passphrase of who is signed in, and what is typed on it stays. */
export const lockScreen = ownDeed(
  { name: 'lock-screen', summary: 'Lock the screen', dto: LockScreenDto },
  async (person): Promise<{ locked: boolean }> => {
    await lockSession(database(), person.id, person.session, true);
    return { locked: true };
  },
);

export const unlockScreen = ownDeed(
  { name: 'unlock-screen', summary: 'Unlock the screen', dto: UnlockScreenDto },
  async (person, dto): Promise<{ locked: boolean }> => {
    await provesIt(person, dto.passphrase, 'passphrase');
    await inTransaction(database(), async (db) => {
      await setActor(db, person.id, 'unlock-screen');
      await lockSession(db, person.id, person.session, false);
    });
    return { locked: false };
  },
);
