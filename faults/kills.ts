import { randomUUID } from 'node:crypto';
import { eventually, expect, HALF_JOBS, Hand, sleep, stranger, type Stand } from './stand';

const PORT = 4391;
const WRITERS = 4;

/**
 * Kills something again and again while machines are taken in and carried about; afterwards every acknowledged write is
 * there, none is there twice, no job is a half one.
 */
async function underFire(
  stand: Stand,
  times: number,
  kill: () => Promise<void>,
  revive: () => Promise<void>,
): Promise<string> {
  const [model] = await stand.sql<{ id: string }>(`select id from model where kind = 'upright-shaft-belt' limit 1`);
  let hand = await Hand.at(PORT);
  const acknowledged = new Map<string, number>();
  const unanswered: ReturnType<typeof stranger>[] = [];
  const moved = new Map<number, string>();
  let working = true;
  let revived: Promise<void> = Promise.resolve();

  const writer = async () => {
    while (working) {
      await revived;
      const dto = stranger(Number(model!.id));
      try {
        const answer = await hand.ask('POST', '/api/v1/jobs', dto);
        if (answer.status !== 201) {
          expect([500, 503].includes(answer.status), `take-in answered ${answer.status}`);
          unanswered.push(dto);
          await sleep(20);
          continue;
        }
        const { job } = (await answer.json()) as { job: number };
        acknowledged.set(dto.key, job);
        const place = ['rack', 'parts-shelf', 'door-shelf'][job % 3]!;
        const carried = await hand.ask('POST', `/api/v1/jobs/${job}/move-job`, {
          key: randomUUID(),
          version: 1,
          place,
        });
        if (carried.ok) moved.set(job, place);
      } catch {
        // Nobody knows whether it was written: it is sent again under its key when all is over.
        if (!acknowledged.has(dto.key)) unanswered.push(dto);
        await sleep(20);
      }
    }
  };
  const writers = Array.from({ length: WRITERS }, writer);
  for (let i = 0; i < times; i++) {
    const before = acknowledged.size;
    await eventually('writes go on', async () => acknowledged.size >= before + 2, 60_000);
    await sleep(Math.floor(Math.random() * 120));
    let free = () => {};
    revived = new Promise((done) => (free = done));
    await kill();
    await revive();
    hand = await eventually('signed in again', () => Hand.at(PORT), 60_000);
    free();
  }
  working = false;
  await Promise.all(writers);

  for (const dto of unanswered) {
    const answer = await hand.ask('POST', '/api/v1/jobs', dto);
    expect(answer.status === 201, `sent again, it answered ${answer.status}`);
    acknowledged.set(dto.key, ((await answer.json()) as { job: number }).job);
  }
  const there = await stand.sql<{ id: string; place: string }>('select id, place from job');
  const places = new Map(there.map((j) => [Number(j.id), j.place]));
  const lost = [...acknowledged.values()].filter((job) => !places.has(job));
  expect(lost.length === 0, `lost: ${lost.join(', ')}`);
  expect(new Set(acknowledged.values()).size === acknowledged.size, 'one job answers to two keys');
  const [{ made }] = (await stand.sql<{ made: string }>(
    `select count(*) as made from job where words = 'It squeals.'`,
  )) as [{ made: string }];
  const [{ before }] = (await stand.sql<{ before: string }>(
    `select count(*) as before from done_deed where deed = 'take-in:'`,
  )) as [{ before: string }];
  expect(Number(made) > 0 && Number(before) >= acknowledged.size, 'keys are missing');
  const unmoved = [...moved].filter(([job, place]) => places.get(job) !== place);
  expect(unmoved.length === 0, `an acknowledged move is not there: ${JSON.stringify(unmoved.slice(0, 5))}`);
  const half = await stand.sql<{ id: string }>(HALF_JOBS);
  expect(half.length === 0, `half: ${half.map((h) => h.id).join(', ')}`);
  // What is next for the hands is found after an answer; what was lost with a kill is found when the Bench is looked at.
  await eventually('the next thing of every machine on the Bench', async () => {
    const { strips } = await hand.get<{ strips: { next: unknown }[] }>('/api/v1/bench');
    return strips.length > 0 && strips.every((s) => s.next !== null);
  });
  return `${times} kills, ${acknowledged.size} machines taken in, ${unanswered.length} sent again`;
}

export async function serverKilled(stand: Stand, times: number): Promise<string> {
  await stand.server(PORT);
  try {
    return await underFire(
      stand,
      times,
      () => stand.killServer(PORT),
      () => stand.server(PORT),
    );
  } finally {
    await stand.killServer(PORT);
  }
}

export async function databaseKilled(stand: Stand, times: number): Promise<string> {
  await stand.server(PORT);
  try {
    return await underFire(
      stand,
      times,
      async () => stand.killDatabase(),
      () => stand.startDatabase(),
    );
  } finally {
    await stand.killServer(PORT);
  }
}
