import { checkEnvironment, finderThreads } from './environment';

const good = { DATABASE_URL: 'postgres://a:b@127.0.0.1:5432/c', GRITKEEPER_SECRET: 'y'.repeat(32) };

test('a complete environment passes', () => {
  expect(() => checkEnvironment(good)).not.toThrow();
});

test('everything that is wrong is named at once', () => {
  const wrong = {
    DATABASE_URL: 'mysql://x',
    GRITKEEPER_SECRET: 'changeme',
    GRITKEEPER_LOG: 'loud',
    GRITKEEPER_THREADS: '0',
  };
  for (const name of Object.keys(wrong)) expect(() => checkEnvironment(wrong)).toThrow(name);
  expect(() => checkEnvironment({})).toThrow(/DATABASE_URL[^]*GRITKEEPER_SECRET/);
});

test.each(['0', '-1', '1.5', 'many', '33'])('GRITKEEPER_THREADS=%s is refused', (told) => {
  expect(() => finderThreads({ GRITKEEPER_THREADS: told })).toThrow('1 to 32');
});

test('there is a thread beside the server’s own, whatever the machine', () => {
  expect(finderThreads({})).toBeGreaterThanOrEqual(2);
  expect(finderThreads({ GRITKEEPER_THREADS: '5' })).toBe(5);
});
