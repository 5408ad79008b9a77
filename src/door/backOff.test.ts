import { backOffMs } from './backOff';

test('waits twice as long each time, half a minute at most, and begins anew after a server that stood', () => {
  const waits: number[] = [];
  for (let i = 0, wait = 0; i < 9; i++) waits.push((wait = backOffMs(wait, 100)));
  expect(waits).toEqual([500, 1000, 2000, 4000, 8000, 16_000, 30_000, 30_000, 30_000]);
  expect(backOffMs(30_000, 60_000)).toBe(500);
});
