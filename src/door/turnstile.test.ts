import { turnstile } from './turnstile';

const tick = () => new Promise((done) => setImmediate(done));
const wide = { atOnce: 100, waiting: 100 };

test('so many at once, the others in the order in which they came', async () => {
  const stile = turnstile({ atOnce: 2, waiting: 10, ofOne: wide, longestMs: 10_000 });
  const [a, b] = [await stile.enter('a'), await stile.enter('b')];
  const order: string[] = [];
  const waiting = ['c', 'd', 'e'].map((who) =>
    stile.enter(who).then((leave) => {
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
  const stile = turnstile({ atOnce: 1, waiting: 2, ofOne: wide, longestMs: 30 });
  const first = await stile.enter('a');
  const [second, third] = [stile.enter('b'), stile.enter('c')];
  expect(await stile.enter('d')).toBeNull();
  expect([await second, await third]).toEqual([null, null]);
  const fourth = stile.enter('e');
  first!();
  expect(await fourth).not.toBeNull();
});

test('one who asks for much has some of the turns, and nobody waits for all that one asked', async () => {
  const stile = turnstile({ atOnce: 3, waiting: 10, ofOne: { atOnce: 2, waiting: 4 }, longestMs: 10_000 });
  const order: string[] = [];
  const ask = (who: string) => {
    const asked = stile.enter(who);
    void asked.then((leave) => leave && order.push(who));
    return asked;
  };
  const greedy = Array.from({ length: 6 }, () => ask('greedy'));
  await tick();
  // A place is free, and not for this one.
  expect(order).toEqual(['greedy', 'greedy']);
  expect(await ask('greedy')).toBeNull();
  const other = await ask('other');
  expect(other).not.toBeNull();
  const late = [ask('third'), ask('other')];
  (await greedy[0])!();
  await tick();
  // Four of the first wait longer; the third has none yet and is next.
  expect(order.slice(3)).toEqual(['third']);
  (await greedy[1])!();
  await tick();
  expect(order.slice(4)).toEqual(['greedy']);
  other!();
  (await late[0])!();
  await tick();
  expect(order.slice(5).sort()).toEqual(['greedy', 'other']);
});

test('whatever is asked in whatever order: never more than may, and everybody who may wait gets through', async () => {
  let seed = 7;
  const random = (below: number) => {
    seed = (seed * 48_271) % 2_147_483_647;
    return seed % below;
  };
  const stile = turnstile({ atOnce: 5, waiting: 1000, ofOne: { atOnce: 3, waiting: 500 }, longestMs: 60_000 });
  const inside = new Map<string, number>();
  let [all, done] = [0, 0];
  await Promise.all(
    Array.from({ length: 400 }, async () => {
      const who = 'abcd'[random(4)]!;
      const leave = await stile.enter(who);
      inside.set(who, (inside.get(who) ?? 0) + 1);
      all++;
      expect(all).toBeLessThanOrEqual(5);
      expect(inside.get(who)).toBeLessThanOrEqual(3);
      for (let wait = random(4); wait > 0; wait--) await tick();
      inside.set(who, inside.get(who)! - 1);
      all--;
      done++;
      leave!();
    }),
  );
  expect(done).toBe(400);
});
