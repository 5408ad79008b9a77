import { deed, deedRoute, idNumber } from '@/app/deedRoute';
import { AmendPersonDto, EndSessionDto, ResetPassphraseDto } from '@/shop/people/dto';
import { amendPerson, endSession, resetPassphrase } from '@/shop/people/people';

const deeds = {
  'amend-person': deed(AmendPersonDto, amendPerson),
  'reset-passphrase': deed(ResetPassphraseDto, resetPassphrase),
  'end-session': deed(EndSessionDto, endSession),
};

export const POST = deedRoute(deeds, 'id', idNumber('This person'));
