import { insertMessage } from '@/data/mail';
import { shopSettings } from '@/data/shopSettings';
import { counter } from '../access/roles';
import { deedOn, onVersion } from '../deed/deed';
import { mailSettingsOf } from '../mail/mailSettings';
import { refuseIf } from '../problem';
import { customerHeld } from './customerHeld';
import { SendDueDto } from './dto';

/** Writes to a customer what falls due; never to one who does not want letters. */
export const sendDue = deedOn(
  { name: 'send-due', roles: counter, summary: 'Write to a customer what falls due', dto: SendDueDto },
  (person, id: number, dto): Promise<{ id: number; version: number }> =>
    onVersion(person, 'send-due', dto, customerHeld(id), async (db, customer) => {
      const { host } = mailSettingsOf((await shopSettings(db)).mail);
      refuseIf([
        ...(host === '' ? [{ field: 'words', message: 'No mail server is set up: in Shop, under Messages.' }] : []),
        ...(customer.no_letters ? [{ field: 'words', message: 'This customer does not want letters.' }] : []),
        ...(/^\S+@\S+\.\S+$/.test(customer.email)
          ? []
          : [{ field: 'words', message: 'There is no address on their card.' }]),
      ]);
      await insertMessage(db, {
        job_id: null,
        address: customer.email,
        subject: dto.subject.trim(),
        body: dto.words.trim(),
        person_id: person.id,
      });
    }),
);
