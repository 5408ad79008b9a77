import autocannon from 'autocannon';
import { spawn, spawnSync } from 'node:child_process';
import pg from 'pg';
import { Bench } from 'tinybench';
import { explanations } from '../src/core/diagnosis/explanations';
import { logJoint } from '../src/core/diagnosis/joint';
import { posterior, statesNeeded } from '../src/core/diagnosis/posterior';
import { rankActions } from '../src/core/diagnosis/rankActions';
import { randomNetwork } from '../src/core/diagnosis/randomNetwork.fixture';

/** Prints figures as ratios within this one run; the milliseconds are only this machine's, today. */
async function benchFinding(): Promise<void> {
  const { network, observations } = randomNetwork(1, {
    faults: 80,
    findings: 120,
    density: 0.2,
    positive: 12,
    levels: 2,
  });
  network.faults.forEach((f) => (f.prior /= 5));
  const seen = observations.slice(0, 60);
  const small = randomNetwork(2, { faults: 12, findings: 12, density: 0.4, positive: 4, levels: 2 });
  const { logEvidence, marginals } = posterior(network, seen);
  const sets = explanations(network, seen, new Map(), logEvidence);
  const actions = Array.from({ length: 60 }, (_, i) => ({ findings: [60 + i], minutes: 2, openAfter: 0 }));
  const repair = { minutes: () => 10, opens: (_: number, open: number) => open };
  const bench = new Bench({ time: 1500, warmupTime: 500 });
  bench
    .add('reference: all 4096 sets of 12 faults, one by one', () => {
      for (let code = 0; code < 4096; code++) {
        const set = new Set<number>();
        for (let i = 0; i < 12; i++) if (code & (1 << i)) set.add(i);
        logJoint(small.network, small.observations, set);
      }
    })
    .add('odds: 80 faults, 60 findings, 12 positive', () => void posterior(network, seen))
    .add('explanations of the same', () => void explanations(network, seen, new Map(), logEvidence))
    .add(
      'ranking of 60 checks of the same',
      () => void rankActions(network, sets.list, sets.candidates, marginals, actions, repair, new Set(), 0),
    );
  await bench.run();
  const rows = bench.tasks.map((t) => ({ name: t.name, ms: 'latency' in t.result ? t.result.latency.p50 : NaN }));
  console.log(
    `\nFinding (exact, ${statesNeeded(network, seen)} joint states; explanations cover ${(sets.covered * 100).toFixed(1)} %)`,
  );
  print(rows, rows[0]!.ms);
}

async function benchPages(): Promise<void> {
  const server = process.env.TEST_DATABASE_SERVER!;
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query('drop database if exists gk_bench with (force)');
  await client.query('create database gk_bench');
  await client.end();
  const env = {
    ...process.env,
    DATABASE_URL: server.replace(/\/postgres$/, '/gk_bench'),
    NODE_ENV: 'production' as const,
    GRITKEEPER_LOG: 'warn',
  };
  for (const script of ['scripts/migrate.ts', 'scripts/demo.ts'])
    if (spawnSync('node', ['--import', 'tsx', script], { stdio: ['ignore', 'ignore', 'inherit'], env }).status !== 0)
      throw new Error(`${script} failed`);
  const port = 4370;
  const base = `http://127.0.0.1:${port}`;
  const child = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)], {
    stdio: 'ignore',
    env,
  });
  try {
    for (let i = 0; i < 100 && !(await fetch(`${base}/readyz`).catch(() => null))?.ok; i++)
      await new Promise((r) => setTimeout(r, 200));
    const signIn = await fetch(`${base}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: base },
      body: JSON.stringify({ signIn: 'demo', passphrase: 'salt marsh bench' }),
    });
    const cookie = signIn.headers.get('set-cookie')!.split(';')[0]!;
    const bench = await (await fetch(base, { headers: { cookie } })).text();
    const job = /href="(\/jobs\/\d+)"/.exec(bench)![1]!;
    const targets = {
      'empty route': '/healthz',
      Bench: '/',
      'Machine card': '/machines/GK-0034',
      Machines: '/machines',
      'Find of one job': `${job}/find`,
    };
    const times: Record<string, number[]> = {};
    // Interleaved rounds, so that a slow moment of the machine hits all alike; the first round warms up.
    for (let round = 0; round < 4; round++)
      for (const [name, path] of Object.entries(targets)) {
        const run = await autocannon({ url: base + path, connections: 4, duration: 3, headers: { cookie } });
        if (run.non2xx > 0) throw new Error(`${name} answered ${run.non2xx} times with an error`);
        if (round > 0) (times[name] ??= []).push(run.latency.average);
      }
    const rows = Object.entries(times).map(([name, list]) => ({
      name,
      ms: list.reduce((a, b) => a + b, 0) / list.length,
    }));
    console.log('\nPages, 4 connections, on the demonstration’s data');
    print(rows, rows[0]!.ms);
  } finally {
    child.kill();
  }
}

function print(rows: { name: string; ms: number }[], unit: number): void {
  for (const { name, ms } of rows)
    console.log(`  ${name.padEnd(52)} ${(ms / unit).toFixed(2).padStart(8)} ×   (${ms.toFixed(2)} ms here)`);
}

await benchFinding();
if (process.argv[2] !== 'finding') await benchPages();
