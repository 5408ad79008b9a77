import PostalMime from 'postal-mime';
import { database } from '@/data/database';
import { messages, retryMessage, standInMail } from '@/data/mail';
import { shopSettings } from '@/data/shopSettings';
import { mailStandIn } from '@/environment';
import { everyone } from '../access/roles';
import { deedOn, once } from '../deed/deed';
import { DeedDto } from '../deed/dto';
import { notFound } from '../problem';
import type { OutboxView } from './dto';
import { mailSettingsOf } from './mailSettings';

const PAGE = 50;

/** What was sent and what waits, newest first; and what the simulated mail server took. */
export async function outbox(before?: number): Promise<OutboxView> {
  const db = database();
  const [rows, shop] = await Promise.all([messages(db, PAGE + 1, before), shopSettings(db)]);
  const shown = rows.slice(0, PAGE);
  return {
    messages: shown.map((m) => ({
      id: m.id,
      job: m.job_id,
      to: m.address,
      subject: m.subject,
      body: m.body,
      state: m.state,
      tries: m.tries,
      lastError: m.last_error,
      at: m.at.toISOString(),
      sentAt: m.sent_at?.toISOString() ?? null,
    })),
    before: rows.length > PAGE ? shown.at(-1)!.id : null,
    standIn: mailStandIn() === null ? null : await taken(),
    isSetUp: mailSettingsOf(shop.mail).host !== '',
  };
}

async function taken(): Promise<NonNullable<OutboxView['standIn']>> {
  const rows = await standInMail(database(), PAGE);
  return Promise.all(
    rows.map(async (row) => {
      const mail = await PostalMime.parse(row.raw);
      return {
        id: row.id,
        to: row.recipients,
        subject: mail.subject ?? '',
        text: mail.text ?? '',
        at: row.at.toISOString(),
      };
    }),
  );
}

/** A message that was given up is tried again. */
export const sendAgain = deedOn(
  { name: 'send-again', roles: everyone, summary: 'Try a message again that was given up', dto: DeedDto },
  (person, id: number, dto): Promise<{ id: number }> =>
    once(person, 'send-again', dto, id, async (db) => {
      if (!(await retryMessage(db, id))) throw notFound('A message that was given up');
      return { id };
    }),
);
