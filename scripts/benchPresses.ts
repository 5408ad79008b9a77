import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import { performance } from 'node:perf_hooks';
import knex from 'knex';
import { checksOf } from '../src/core/diagnosis/knowledge';
import { seededRandom } from '../src/core/diagnosis/seededRandom';
import { knowledge } from '../src/knowledge';
import type { JobFacts } from '../src/shop/jobView/dto';

interface Shop {
  base: string;
  url: string;
  headers: { cookie: string };
}

const BROWSERS = 4;
const PRESSES = 120;
/** A person looks at the answer before the next press. */
const THOUGHT_MS = 250;

/**
 * Presses of four browsers on four jobs at once, against a bare transaction of one insert on the same database server:
 * how soon a press is acknowledged, and how soon the next proposal is there.
 */
export async function benchPresses(shop: Shop): Promise<void> {
  const bare = await bareInserts(shop.url);
  const jobs = await openJobsInFind(shop);
  // Everybody presses for a while before it counts.
  await press(shop, jobs, 15, 0);
  const calm = await press(shop, jobs, PRESSES / 2, THOUGHT_MS);
  const pushed = await press(shop, jobs, PRESSES, 0);
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

function at(times: number[], part: number): number {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
}

async function bareInserts(url: string): Promise<number[]> {
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

async function openJobsInFind(shop: Shop): Promise<JobFacts[]> {
  const agent = new Agent({ keepAlive: true });
  const { strips } = (await ask(shop, agent, 'GET', '/api/v1/bench')) as { strips: { job: number; stage: string }[] };
  const found: JobFacts[] = [];
  for (const { job } of strips.filter((s) => s.stage === 'find').slice(0, BROWSERS))
    found.push((await ask(shop, agent, 'GET', `/api/v1/jobs/${job}/facts`)) as JobFacts);
  agent.destroy();
  if (found.length < BROWSERS) throw new Error('The demonstration has too few jobs in Find.');
  return found;
}

async function press(shop: Shop, jobs: JobFacts[], presses: number, thoughtMs: number) {
  const acknowledged: number[] = [];
  const proposed: number[] = [];
  const browser = async (job: JobFacts, who: number) => {
    const agent = new Agent({ keepAlive: true, maxSockets: 1 });
    const random = seededRandom(7919 * (who + 1) + presses);
    // Of many aspects, so that hardly any state comes twice and the odds are worked out anew.
    const answers = checksOf(knowledge, job.machine.kind)
      .flatMap((c) => c.aspects.filter((a) => !a.reading).map((a) => ({ check: c.id, outcomes: a.outcomes })))
      .slice(0, 12);
    const start = (await ask(shop, agent, 'GET', `/api/v1/jobs/${job.id}/facts`)) as JobFacts;
    let { version } = start;
    for (let i = 0; i < presses; i++) {
      const { check, outcomes } = answers[Math.floor(random() * answers.length)]!;
      const outcome = outcomes[Math.floor(random() * Math.min(2, outcomes.length))]!.id;
      const started = performance.now();
      const told = (await ask(shop, agent, 'POST', `/api/v1/jobs/${job.id}/record-findings`, {
        key: randomUUID(),
        version,
        findings: [{ check, outcome }],
      })) as { version: number };
      acknowledged.push(performance.now() - started);
      version = told.version;
      await ask(shop, agent, 'GET', `/api/v1/jobs/${job.id}/odds`);
      proposed.push(performance.now() - started);
      if (thoughtMs > 0) await new Promise((done) => setTimeout(done, thoughtMs * (0.5 + random())));
    }
    agent.destroy();
  };
  await Promise.all(jobs.map(browser));
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
