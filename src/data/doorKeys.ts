import type { Db } from './database';

/** One try to sign in, as it is counted. */
export interface Try {
  signIn: string;
  address: string;
  /** The browser it came from, when that has signed in as this person before. */
  browser: Buffer | null;
}

/** Writes a try down before it is judged, so that many at once are all counted. @returns its number */
export async function insertTry(db: Db, { signIn, address, browser }: Try): Promise<number> {
  const [row] = await db('failed_sign_in').insert({ sign_in: signIn.toLowerCase(), address, browser }).returning('id');
  return row.id;
}

/** Tries of the last `minutes` that were not right, this one with them: by browser, by name and address, by each alone. */
export async function countTries(db: Db, { signIn, address, browser }: Try, minutes: number) {
  const { rows } = await db.raw(
    `with recent as (
       select sign_in, address, browser from failed_sign_in
       where at > now() - :minutes * interval '1 minute'
         and (sign_in = lower(:signIn) or address = :address or browser = :browser)
       limit 5000
     ) select
       count(*) filter (where browser = :browser)::integer as browser,
       count(*) filter (where browser is null and sign_in = lower(:signIn) and address = :address)::integer as pair,
       count(*) filter (where browser is null and sign_in = lower(:signIn))::integer as name,
       count(*) filter (where browser is null and address = :address)::integer as address
     from recent`,
    { signIn, address, browser, minutes },
  );
  return rows[0] as { browser: number; pair: number; name: number; address: number };
}

/** A right try is no failed one, and forgives those of the same hand. */
export async function forgiveTries(db: Db, id: number, { signIn, address, browser }: Try): Promise<void> {
  await db('failed_sign_in')
    .where({ id })
    .orWhere((w) =>
      browser ? w.where({ browser }) : w.where({ sign_in: signIn.toLowerCase(), address }).whereNull('browser'),
    )
    .delete();
}

/** Whether this browser has signed in as this person before. */
export async function knowsBrowser(db: Db, personId: number, tokenHash: Buffer): Promise<boolean> {
  const known = await db('known_browser')
    .where({ person_id: personId, token_hash: tokenHash })
    .update({ last_at: db.fn.now() });
  return known > 0;
}

export async function insertBrowser(db: Db, personId: number, tokenHash: Buffer): Promise<void> {
  await db('known_browser')
    .insert({ person_id: personId, token_hash: tokenHash })
    .onConflict(['token_hash', 'person_id'])
    .ignore();
}

export async function forgetBrowsers(db: Db, personId: number): Promise<void> {
  await db('known_browser').where({ person_id: personId }).delete();
}

export interface FactorRow {
  sealed: Buffer;
  confirmed_at: Date | null;
  last_step: number;
}

export async function secondFactorOf(db: Db, personId: number): Promise<FactorRow | undefined> {
  return db('second_factor').where({ person_id: personId }).first('sealed', 'confirmed_at', 'last_step');
}

/** Begins a second factor, in place of one that was begun and not confirmed. */
export async function putSecondFactor(db: Db, personId: number, sealed: Buffer): Promise<void> {
  await db('second_factor')
    .insert({ person_id: personId, sealed })
    .onConflict('person_id')
    .merge({ sealed, confirmed_at: null, last_step: 0 });
}

/** Takes a code's step, once. @returns false when it, or a later one, was used already */
export async function takeStep(db: Db, personId: number, step: number): Promise<boolean> {
  const used = await db('second_factor')
    .where({ person_id: personId })
    .where('last_step', '<', step)
    .update({ last_step: step });
  return used > 0;
}

export async function confirmSecondFactor(db: Db, personId: number): Promise<void> {
  await db('second_factor').where({ person_id: personId }).update({ confirmed_at: db.fn.now() });
}

export async function dropSecondFactor(db: Db, personId: number): Promise<boolean> {
  await db('recovery_code').where({ person_id: personId }).delete();
  return (await db('second_factor').where({ person_id: personId }).delete()) > 0;
}

/** New recovery codes in place of all old ones. */
export async function putRecoveryCodes(db: Db, personId: number, hashes: Buffer[]): Promise<void> {
  await db('recovery_code').where({ person_id: personId }).delete();
  await db('recovery_code').insert(hashes.map((code_hash) => ({ code_hash, person_id: personId })));
}

/** Uses a recovery code, once. */
export async function takeRecoveryCode(db: Db, personId: number, codeHash: Buffer): Promise<boolean> {
  const used = await db('recovery_code')
    .where({ person_id: personId, code_hash: codeHash })
    .whereNull('used_at')
    .update({ used_at: db.fn.now() });
  return used > 0;
}

export async function recoveryCodesLeft(db: Db, personId: number): Promise<number> {
  const [row] = await db('recovery_code').where({ person_id: personId }).whereNull('used_at').count();
  return Number(row!.count);
}
