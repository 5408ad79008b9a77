import { moneyText } from '@/core/money/currency';
import { dayClose, insertPayment, lockDrawer } from '@/data/documents';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf } from '../problem';
import { TakePaymentDto } from './dto';
import { giveDocument, givenOf } from './issueDocument';
import { receiptContent } from './paperContent';

/** Takes what is paid, with the change, and gives a receipt for it. A day that was closed takes nothing more. */
export const takePayment = jobDeed({
  name: 'take-payment',
  roles: everyone,
  summary: 'Take a payment and give a receipt',
  dto: TakePaymentDto,
  async work(scene, dto) {
    const { db, jobId, person, state, facts, tell } = scene;
    const given = await givenOf(scene);
    await lockDrawer(db);
    const owed = facts.agree.owedMinor;
    const cash = dto.givenMinor ?? null;
    refuseIf([
      ...((await dayClose(db, given.today))
        ? [{ field: 'amountMinor', message: 'The takings of today are closed.' }]
        : []),
      ...(owed !== null && dto.amountMinor > owed
        ? [
            {
              field: 'amountMinor',
              message: `More than is owed: ${moneyText(owed, state.shop.currency, state.shop.locale)}.`,
            },
          ]
        : []),
      ...(cash !== null && dto.how !== 'cash'
        ? [{ field: 'givenMinor', message: 'Only cash is given change for.' }]
        : []),
      ...(cash !== null && cash < dto.amountMinor ? [{ field: 'givenMinor', message: 'Less than is paid.' }] : []),
    ]);
    const paid = { how: dto.how, amountMinor: dto.amountMinor, givenMinor: cash, note: dto.note?.trim() ?? '' };
    const documentId = await giveDocument(scene, 'receipt', receiptContent(given, paid), given.today, {
      totalMinor: dto.amountMinor,
    });
    await insertPayment(db, {
      job_id: jobId,
      document_id: documentId,
      how: dto.how,
      amount_minor: dto.amountMinor,
      given_minor: cash,
      note: paid.note,
      day: given.today,
      person_id: person.id,
    });
    tell('paid', `${moneyText(dto.amountMinor, state.shop.currency, state.shop.locale)} ${dto.how}.`);
  },
});
