import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { performance } from 'node:perf_hooks';
import knex from 'knex';
import { checksOf } from '../src/core/diagnosis/knowledge';
import { seededRandom } from '../src/core/diagnosis/seededRandom';
import { knowledge } from '../src/knowledge';
import type { JobFacts } from '../src/shop/jobView/dto';

export interface Shop {
  base: string;
  url: string;
  headers: { cookie: string };
}

const BROWSERS = 4;
const PRESSES = 120;
const PRESSES_PER_JOB = 12;
const KIND = 'upright-brush-motor';
/** A person looks at the answer before the next press. */
const THOUGHT_MS = 250;

/**
 * Presses of four browsers at once, on machines that have just come in, against a bare transaction of one insert on the same database server:
 * how soon a press is acknowledged, and how soon the next proposal is there.
 */
export async function benchPresses(shop: Shop): Promise<void> {
  const bare = await bareInserts(shop.url);
  // Everybody presses for a while before it counts.
  await press(shop, 15, 0);
  const calm = await press(shop, PRESSES / 2, THOUGHT_MS);
  const pushed = await press(shop, PRESSES, 0);
  console.log(`\nPresses of ${BROWSERS} browsers, against a bare Knex transaction of one insert on the same server`);
  const unit = at(bare, 0.5);
  const line = (name: string, times: number[]) =>
    console.log(
      `  ${name.padEnd(52)} ${(at(times, 0.5) / unit).toFixed(1).padStart(8)} ×  p95 ${(at(times, 0.95) / unit).toFixed(1).padStart(6)} ×   (${at(times, 0.5).toFixed(2)} and ${at(times, 0.95).toFixed(2)} ms here)`,
    );
  line('reference: bare insert, four at a time', bare);
  line('record-findings acknowledged', calm.acknowledged);
  line('next proposal there', calm.proposed);
  line('record-findings acknowledged, without a pause', pushed.acknowledged);
  line('next proposal there, without a pause', pushed.proposed);
}

export function at(times: number[], part: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
}

export async function bareInserts(url: string): Promise<number[]> {
  const db = knex({ client: 'pg', connection: url, pool: { min: BROWSERS, max: BROWSERS } });
  try {
    await db.raw(
      'create table if not exists bench_bare (id bigint generated always as identity primary key, text text)',
    );
    const times: number[] = [];
    const one = async (count: number, keep: boolean) => {
      for (let i = 0; i < count; i++) {
        const started = performance.now();
        await db.transaction(async (t) => {
          await t('bench_bare').insert({ text: 'one press' });
        });
        if (keep) times.push(performance.now() - started);
      }
    };
    await Promise.all(Array.from({ length: BROWSERS }, () => one(50, false)));
    await Promise.all(Array.from({ length: BROWSERS }, () => one(200, true)));
    await db.raw('drop table bench_bare');
    return times;
  } finally {
    await db.destroy();
  }
}

/** A machine that has just come in: what was pressed on it before does not weigh on it. */
async function freshJob(shop: Shop, agent: Agent): Promise<JobFacts> {
  const { rows } = (await ask(shop, agent, 'GET', '/api/v1/models')) as { rows: { id: number; kind: string }[] };
  const model = rows.find((m) => m.kind === KIND)!;
  const { job } = (await ask(shop, agent, 'POST', '/api/v1/jobs', {
    key: randomUUID(),
    newMachine: { modelId: model.id, serial: '', pets: false, hoursPerWeek: 1 },
    newCustomer: { name: 'One who waits', kind: 'household', phone: '', email: '', address: '' },
    words: 'The roll stands still.',
    complaints: ['roll-not-turning'],
    openedBefore: false,
    arrivalSigns: [],
    promisedOn: '2199-01-01',
  })) as { job: number };
  return (await ask(shop, agent, 'GET', `/api/v1/jobs/${job}/facts`)) as JobFacts;
}

export async function press(shop: Shop, presses: number, thoughtMs: number) {
  const acknowledged: number[] = [];
  const proposed: number[] = [];
  // The counter's work is done before: only presses are timed, and only presses stand in each other's way.
  const counter = new Agent({ keepAlive: true, maxSockets: 1 });
  const jobs: JobFacts[][] = [];
  for (let who = 0; who < BROWSERS; who++) {
    const own: JobFacts[] = [];
    for (let i = 0; i < presses; i += PRESSES_PER_JOB) own.push(await freshJob(shop, counter));
    jobs.push(own);
  }
  counter.destroy();
  const browser = async (who: number) => {
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    const random = seededRandom(7919 * (who + 1) + presses);
    // Of many aspects, so that hardly any state comes twice and the odds are worked out anew; without power, so that no
    // caution that an answer raises holds the next one back.
    const answers = checksOf(knowledge, KIND)
      .filter((c) => c.power === 'no')
      .flatMap((c) => c.aspects.filter((a) => !a.reading).map((a) => ({ check: c.id, outcomes: a.outcomes })))
      .slice(0, 12);
    let job = { id: 0, version: 0, oddsKey: '' };
    for (let i = 0; i < presses; i++) {
      if (i % PRESSES_PER_JOB === 0) job = jobs[who]![i / PRESSES_PER_JOB]!;
      const { check, outcomes } = answers[Math.floor(random() * answers.length)]!;
      const outcome = outcomes[Math.floor(random() * Math.min(2, outcomes.length))]!.id;
      const started = performance.now();
      const told = (await ask(shop, agent, 'POST', `/api/v1/jobs/${job.id}/record-findings`, {
        key: randomUUID(),
        version: job.version,
        findings: [{ check, outcome }],
      })) as { version: number; oddsKey?: string };
      acknowledged.push(performance.now() - started);
      job = { ...job, ...told };
      await ask(shop, agent, 'GET', `/api/v1/jobs/${job.id}/odds?key=${job.oddsKey}`);
      proposed.push(performance.now() - started);
      if (thoughtMs > 0) await new Promise((done) => setTimeout(done, thoughtMs * (0.5 + random())));
    }
    agent.destroy();
  };
  await Promise.all(Array.from({ length: BROWSERS }, (_, who) => browser(who)));
  return { acknowledged, proposed };
}

function ask(shop: Shop, agent: Agent, method: string, path: string, body?: object): Promise<unknown> {
  return new Promise((resolve, reject) => {
    const sent = request(
      shop.base + path,
      {
        method,
        agent,
        headers: { ...shop.headers, origin: shop.base, ...(body ? { 'content-type': 'application/json' } : {}) },
      },
      (answer) => {
        const parts: Buffer[] = [];
        answer.on('data', (part: Buffer) => parts.push(part));
        answer.on('end', () => {
          const text = Buffer.concat(parts).toString();
          if ((answer.statusCode ?? 500) >= 400) reject(new Error(`${method} ${path}: ${answer.statusCode} ${text}`));
          else resolve(text === '' ? null : JSON.parse(text));
        });
        answer.on('error', reject);
      },
    );
    sent.on('error', reject);
    sent.end(body && JSON.stringify(body));
  });
}
