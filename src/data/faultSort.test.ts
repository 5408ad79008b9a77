import { faultSort } from './faultSort';

const error = (message: string, code?: string) => Object.assign(new Error(message), code ? { code } : {});

test('away, full, or something else', () => {
  expect(faultSort(error('could not extend file', '53100'))).toBe('disk-full');
  expect(faultSort(error('terminating connection due to administrator command', '57P01'))).toBe('away');
  expect(faultSort(error('connect', 'ECONNREFUSED'))).toBe('away');
  expect(faultSort(error('Connection terminated unexpectedly'))).toBe('away');
  expect(faultSort(error('Knex: Timeout acquiring a connection. The pool is probably full.'))).toBe('away');
  expect(faultSort(new AggregateError([error('x', 'ECONNREFUSED')]))).toBe('away');
  expect(faultSort(error('Query read timeout'))).toBe('away');
  expect(faultSort(error('Client has encountered a connection error and is not queryable'))).toBe('away');
  expect(faultSort(Object.assign(new Error('late'), { name: 'TimeoutError' }))).toBe('busy');
  expect(faultSort(error('canceling statement due to statement timeout', '57014'))).toBe('busy');
  expect(faultSort(error('deadlock detected', '40P01'))).toBe('contended');
  expect(faultSort(error('duplicate key', '23505'))).toBe('contended');
  expect(faultSort(error('violates foreign key constraint', '23503'))).toBe('not-there');
  expect(faultSort(error('out of range', '22003'))).toBe('unkept');
  expect(faultSort(error('violates check constraint', '23514'))).toBe('unkept');
  expect(faultSort(error('syntax error', '42601'))).toBeNull();
  expect(faultSort('no error at all')).toBeNull();
});
