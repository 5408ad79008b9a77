import { ProblemError } from '@/shop/problem';
import { passingStatus } from './passingStatus';

test.each([
  [new Error('Knex: Timeout acquiring a connection. The pool is probably full.'), 503],
  [new Error('timeout exceeded when trying to connect'), 503],
  [Object.assign(new Error('held'), { code: '55P03' }), 503],
  [Object.assign(new Error('full'), { code: '53100' }), 507],
  [new ProblemError(429, 'Too many at once.'), 429],
  [new ProblemError(503, 'Later.'), 503],
])('%s passes by itself: %d', (error, status) => {
  expect(passingStatus(error)).toBe(status);
});

test.each([new TypeError('of ours'), new ProblemError(404, 'Not here.'), 'no error', null, undefined])(
  '%s does not',
  (error) => {
    expect(passingStatus(error)).toBeNull();
  },
);
