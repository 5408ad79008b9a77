import { database, type Db } from '@/data/database';
import { mailSecret, putMailSecret } from '@/data/mail';
import { lockShop, shopSettings, updateShop } from '@/data/shopSettings';
import { listenAt } from '@/environment';
import { owner } from '../access/roles';
import { sealUp } from '../access/sealed';
import { onVersion, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import { AmendMailDto, type MailSettings, type MailView } from './dto';

const NONE: MailSettings = { host: '', port: 587, tls: false, user: '', from: '', publicUrl: '' };

export const mailSettingsOf = (kept: object): MailSettings => ({ ...NONE, ...kept });

export async function mailView(db: Db = database()): Promise<MailView> {
  const [shop, secret] = await Promise.all([shopSettings(db), mailSecret(db)]);
  return { version: shop.version, ...mailSettingsOf(shop.mail), hasSecret: secret !== null };
}

/** Where the owner’s pages are reached: as the shop says, else where the server listens. */
export function publicAddress({ publicUrl }: MailSettings): string {
  if (publicUrl) return publicUrl;
  const { host, port } = listenAt();
  return `http://${host}:${port}`;
}

/** The mail server of the shop; its secret is kept enciphered, and shown to nobody again. */
export const amendMail = shopDeed(
  { name: 'amend-mail', roles: owner, summary: 'Change how messages go out', dto: AmendMailDto },
  (person, dto): Promise<MailView> =>
    onVersion(person, 'amend-mail', dto, { id: 1, what: 'The shop', lock: lockShop, view: mailView }, async (db) => {
      refuseIf(
        dto.host !== '' && dto.from.trim() === ''
          ? [{ field: 'from', message: 'From which address, such as Shop <desk@shop.example>.' }]
          : [],
      );
      const { host, port, tls, user, from, publicUrl, secret } = dto;
      await updateShop(db, { mail: { host, port, tls, user: user.trim(), from: from.trim(), publicUrl } });
      if (secret !== undefined) await putMailSecret(db, secret === '' ? null : sealUp('mail', Buffer.from(secret)));
    }),
);
