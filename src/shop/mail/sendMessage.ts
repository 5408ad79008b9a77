import { insertLink } from '@/data/links';
import { insertMessage } from '@/data/mail';
import { shopSettings } from '@/data/shopSettings';
import { everyone } from '../access/roles';
import { tokenHash, tokenOfPress } from '../access/secrets';
import { jobDeed } from '../jobDeed/jobDeed';
import { pathOfToken } from '../links/links';
import { refuseIf } from '../problem';
import { SendMessageDto } from './dto';
import { mailSettingsOf, publicAddress } from './mailSettings';

const LINK_DAYS = 30;

/** Puts a message to the owner into the queue; it goes out when the mail server takes it, whatever happens to this one. */
export const sendMessage = jobDeed({
  name: 'send-message',
  roles: everyone,
  summary: 'Send the owner a message, with a page to answer on',
  dto: SendMessageDto,
  async work({ db, jobId, person, facts, tell }, dto) {
    const settings = mailSettingsOf((await shopSettings(db)).mail);
    refuseIf([
      ...(settings.host === '' ? [{ field: 'to', message: 'No mail server is set up: in Shop, under Messages.' }] : []),
      ...(dto.withLink && !facts.agree.estimate
        ? [{ field: 'withLink', message: 'There is nothing to answer yet: make an estimate first.' }]
        : []),
    ]);
    let body = dto.words.trim();
    if (dto.withLink) {
      const token = tokenOfPress(person.id, dto.key);
      await insertLink(db, { job_id: jobId, token_hash: tokenHash(token), days: LINK_DAYS, person_id: person.id });
      body += `\n\n${publicAddress(settings)}${pathOfToken(token)}\n`;
    }
    await insertMessage(db, {
      job_id: jobId,
      address: dto.to,
      subject: dto.subject.trim(),
      body,
      person_id: person.id,
    });
    tell('message', `To ${dto.to}: ${dto.subject.trim()}`);
  },
});
