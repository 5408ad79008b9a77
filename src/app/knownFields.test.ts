import '@/shop/deeds';
import { isKnownField } from './knownFields';

test('fields of our forms are known, whatever their way; what somebody typed for one is not', () => {
  for (const field of ['signIn', 'newMachine.newModel.kind', 'findings[3].check', 'findings[0]', 'key', ''])
    expect([field, isKnownField(field)]).toEqual([field, true]);
  for (const field of ['ada-secret', 'findings[0].ada', 'ada.key', '__proto__'])
    expect([field, isKnownField(field)]).toEqual([field, false]);
});
