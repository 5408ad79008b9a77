import { allow, MAY, may, type DeedName, type Role } from './roles';

const roles: Role[] = ['owner', 'technician', 'counter'];
const only = (...who: Role[]) =>
  (Object.keys(MAY) as DeedName[]).filter((d) => roles.every((r) => may(r, d) === who.includes(r)));

test('an owner may do everything', () => {
  expect((Object.keys(MAY) as DeedName[]).filter((d) => !may('owner', d))).toEqual([]);
});

test('the table, as the shop agreed on it', () => {
  expect(only('owner').sort()).toEqual(
    [
      'add-person',
      'amend-person',
      'amend-shop',
      'end-session',
      'export-all',
      'import-customers',
      'import-machines',
      'keep-usual',
      'lend-in',
      'read-audit',
      'read-learning',
      'reset-passphrase',
      'weigh-lent',
    ].sort(),
  );
  expect(only('owner', 'counter').sort()).toEqual(
    [
      'add-customer',
      'amend-customer',
      'change-owner',
      'merge-customers',
      'merge-machines',
      'put-contact',
      'put-site',
    ].sort(),
  );
  expect(only('owner', 'technician').sort()).toEqual(
    [
      'clear-caution',
      'fit-part',
      'keep-gauge',
      'make-practice',
      'measure',
      'move-stage',
      'put-model',
      'record-findings',
      'record-proof',
      'revoke-finding',
      'take-back-gauge',
      'take-back-part',
      'tick-rebuild',
    ].sort(),
  );
});

test('what a role may not do is refused, and says whose it is', () => {
  expect(() => allow({ role: 'counter' }, 'clear-caution')).toThrow(
    'This is for the owner or technician; you are signed in as counter.',
  );
  expect(() => allow({ role: 'counter' }, 'take-in')).not.toThrow();
});
