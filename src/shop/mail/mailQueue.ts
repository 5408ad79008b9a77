import { createTransport } from 'nodemailer';
import { database, type Db } from '@/data/database';
import { mailSecret, messageFailed, messageSent, takeMessages } from '@/data/mail';
import { shopSettings } from '@/data/shopSettings';
import { openSealed } from '../access/sealed';
import { mailSettingsOf } from './mailSettings';

const AT_ONCE = 10;
/** Whoever took a message and died gives it back after this. */
const AGAIN_MINUTES = 5;
const FIRST_PAUSE_S = 30;
const MOST_TRIES = 8;
const TURN_MS = 2000;
const PATIENCE_MS = 15_000;

/**
 * How long after a failed try the next comes: twice as long each time, then never. Common practice, no source.
 * @param tries made so far, one at least
 * @example pauseS(1) // → 30
 * @example pauseS(8) // → null
 */
export function pauseS(tries: number): number | null {
  return tries >= MOST_TRIES ? null : FIRST_PAUSE_S * 2 ** (tries - 1);
}

/**
 * Sends what waits, each once, whichever server comes first. Nothing is taken while no mail server is set up.
 * @returns how many went out
 */
export async function sendWaiting(db: Db = database()): Promise<number> {
  const settings = mailSettingsOf((await shopSettings(db)).mail);
  if (settings.host === '') return 0;
  const waiting = await takeMessages(db, AT_ONCE, AGAIN_MINUTES);
  if (waiting.length === 0) return 0;
  const sealed = await mailSecret(db);
  const transport = createTransport({
    host: settings.host,
    port: settings.port,
    secure: settings.tls,
    ...(settings.user && sealed ? { auth: { user: settings.user, pass: openSealed('mail', sealed).toString() } } : {}),
    connectionTimeout: PATIENCE_MS,
    greetingTimeout: PATIENCE_MS,
    socketTimeout: PATIENCE_MS,
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  let sent = 0;
  try {
    for (const message of waiting) {
      try {
        await transport.sendMail({
          from: settings.from,
          to: message.address,
          subject: message.subject,
          text: message.body,
        });
        await messageSent(db, message.id);
        sent++;
      } catch (error) {
        await messageFailed(db, message.id, (error as Error).message, pauseS(message.tries));
      }
    }
  } finally {
    transport.close();
  }
  return sent;
}

/** Sends while this server runs; several servers share the work. @returns ends it */
export function keepMail(onTrouble: (error: unknown) => void): () => void {
  let timer: ReturnType<typeof setTimeout>;
  let isStopped = false;
  const turn = async () => {
    await sendWaiting().catch(onTrouble);
    if (!isStopped) timer = setTimeout(() => void turn(), TURN_MS);
    timer?.unref();
  };
  void turn();
  return () => {
    isStopped = true;
    clearTimeout(timer);
  };
}
