import { turnstile } from './turnstile';

const tick = () => new Promise((done) => setImmediate(done));

test('so many at once, the others in the order in which they came', async () => {
  const stile = turnstile(2, 10, 10_000);
  const [a, b] = [await stile.enter(), await stile.enter()];
  const order: string[] = [];
  const waiting = ['c', 'd', 'e'].map((who) =>
    stile.enter().then((leave) => {
      order.push(who);
      return leave;
    }),
  );
  await tick();
  expect(order).toEqual([]);
  a!();
  // Given back twice it is still one turn.
  a!();
  await tick();
  expect(order).toEqual(['c']);
  b!();
  await tick();
  expect(order).toEqual(['c', 'd']);
  (await waiting[0])!();
  (await waiting[1])!();
  await tick();
  expect(order).toEqual(['c', 'd', 'e']);
});

test('too many wait, or one waits too long: turned away, and the line goes on without them', async () => {
  const stile = turnstile(1, 2, 30);
  const first = await stile.enter();
  const [second, third] = [stile.enter(), stile.enter()];
  expect(await stile.enter()).toBeNull();
  expect([await second, await third]).toEqual([null, null]);
  const fourth = stile.enter();
  first!();
  expect(await fourth).not.toBeNull();
});
