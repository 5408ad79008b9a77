import { rights } from '../deeds';
import { allow, may, type Role } from './roles';

const roles: Role[] = ['owner', 'technician', 'counter'];
const named = (name: string) => rights.find((r) => r.name === name)!;
const only = (...who: Role[]) => [
  ...new Set(rights.filter((d) => roles.every((r) => may(r, d) === who.includes(r))).map((d) => d.name)),
];

test('an owner may do everything', () => {
  expect(rights.filter((d) => !may('owner', d))).toEqual([]);
});

test('the table, as the shop agreed on it', () => {
  expect(only('owner').sort()).toEqual(
    [
      'add-person',
      'amend-letters',
      'amend-mail',
      'amend-person',
      'amend-phrases',
      'amend-schools',
      'amend-shop',
      'amend-terms',
      'end-session',
      'export-all',
      'import-customers',
      'import-machines',
      'keep-usual',
      'lend-in',
      'read-audit',
      'read-learning',
      'read-plans',
      'reset-passphrase',
      'take-interval',
      'take-life',
      'weigh-lent',
    ].sort(),
  );
  expect(only('owner', 'counter').sort()).toEqual(
    [
      'amend-customer',
      'change-owner',
      'close-day',
      'merge-customers',
      'merge-machines',
      'put-contact',
      'put-site',
      'send-due',
    ].sort(),
  );
  expect(only('owner', 'technician').sort()).toEqual(
    [
      'bridge',
      'choose-schools',
      'clear-caution',
      'end-practice',
      'fit-other',
      'fit-part',
      'keep-gauge',
      'look',
      'make-practice',
      'mark-repaired',
      'measure',
      'merge-models',
      'move-stage',
      'note-loss',
      'put-instrument',
      'put-model',
      'put-procedure',
      'record-findings',
      'record-proof',
      'remember-step',
      'revoke-finding',
      'serve-item',
      'settle-loss',
      'add-complaints',
      'strike-complaint',
      'strip-step',
      'take-back-gauge',
      'take-back-part',
      'tick-rebuild',
    ].sort(),
  );
});

test('what a role may not do is refused, and says whose it is', () => {
  expect(() => allow({ role: 'counter' }, named('clear-caution'))).toThrow(
    'This is for the owner or technician; you are signed in as counter.',
  );
  expect(() => allow({ role: 'counter' }, named('take-in'))).not.toThrow();
});

test('a deed has one name for one thing: the same name means the same roles everywhere', () => {
  for (const right of rights)
    for (const other of rights.filter((r) => r.name === right.name)) expect(other.roles).toEqual(right.roles);
});

test('what a deed does besides is in the table: beyond the role only where the shop agreed on it', () => {
  const beyond = rights.flatMap((right) =>
    (right.also ?? []).flatMap((name) =>
      right.roles.filter((role) => !may(role, named(name))).map((role) => `${role}: ${name} by ${right.name}`),
    ),
  );
  expect(beyond).toEqual(['counter: put-model by take-in']);
});
