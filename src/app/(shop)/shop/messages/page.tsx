import type { Metadata } from 'next';
import { currentPerson } from '@/app/person';
import { may } from '@/shop/access/roles';
import { amendMail, mailView } from '@/shop/mail/mailSettings';
import { outbox } from '@/shop/mail/outbox';
import { letters } from '@/shop/rounds/letters';
import { termsOf } from '@/shop/terms/terms';
import { shopOf } from '@/shop/shopBook/shopBook';
import { MessagesScreen } from '@/ui/shop/MessagesScreen';

export const metadata: Metadata = { title: 'Messages' };

export default async function MessagesPage() {
  const [terms, mail, sent, shop, due, person] = await Promise.all([
    termsOf(),
    mailView(),
    outbox(),
    shopOf(),
    letters(),
    currentPerson(),
  ]);
  return (
    <MessagesScreen
      terms={terms}
      mail={mail}
      outbox={sent}
      letters={due}
      zone={shop.zone}
      mayAmend={may(person.role, amendMail.spec)}
    />
  );
}
