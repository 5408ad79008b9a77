import { plainError } from './plainError';

test('what people typed is not in a logged error', () => {
  const told = Object.assign(new Error('insert into "person" … - duplicate key value (Ada Secret)'), {
    severity: 'ERROR',
    code: '23505',
    detail: 'Key (sign_in)=(ada secret) already exists.',
    where: 'ada secret',
    table: 'person',
    constraint: 'person_sign_in',
  });
  const plain = plainError(told);
  expect(plain).toMatchObject({ code: '23505', table: 'person', constraint: 'person_sign_in' });
  expect(JSON.stringify(plain)).not.toMatch(/secret/i);
  expect(plain.stack).toContain('plainError.test');
});

test('is short, whatever was thrown', () => {
  expect(JSON.stringify(plainError(new Error('x'.repeat(1e6)))).length).toBeLessThan(5000);
  expect(plainError('Ada Secret').message).not.toContain('Ada');
});
