import autocannon from 'autocannon';
import { spawn, spawnSync } from 'node:child_process';
import pg from 'pg';
import { Bench } from 'tinybench';
import { HEALTHY, healthySections } from '../src/core/air/healthyMachines';
import { locateBlockage } from '../src/core/air/locateBlockage';
import { predictKPa } from '../src/core/air/ownMachine';
import { dischargeLog } from '../src/core/battery/dischargeLog';
import { shimStacks, type ShimWish } from '../src/core/motor/shimStacks';
import { seededRandom } from '../src/core/diagnosis/seededRandom';
import { fitLives } from '../src/core/service/fitLives';
import { worthOf, type WayOn } from '../src/core/money/worth';
import { bestBundle, type BundleStep, type ExtraJob } from '../src/core/strip/bundle';
import { bestOrder } from '../src/core/strip/bestOrder';
import { stepsToOpen } from '../src/core/strip/reach';
import { knowledge } from '../src/knowledge';
import { procedures } from '../src/knowledge/kinds';
import { explanations } from '../src/core/diagnosis/explanations';
import { logJoint } from '../src/core/diagnosis/joint';
import { posterior, statesNeeded } from '../src/core/diagnosis/posterior';
import { rankActions } from '../src/core/diagnosis/rankActions';
import { multiplyDemo } from '../src/demo/multiplyDemo';
import type { BenchView } from '../src/shop/bench/dto';
import { benchClogs } from './benchClogs';
import { benchCourses, benchEndings } from './benchFinding';
import { benchLoad } from './benchLoad';
import { benchPresses } from './benchPresses';
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
  const actions60 = {
    network,
    sets: sets.list,
    candidates: sets.candidates,
    marginals,
    actions,
    provers: network.faults.map((_, i) => ({
      faults: [i],
      repairs: true as const,
      minutes: () => 10,
      opens: (open: number) => open,
    })),
    repair: { minutes: () => 10, opens: (_: number, open: number) => open },
    proved: new Set<number>(),
    openNow: 0,
  };
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
    .add('ranking of 60 checks of the same', () => void rankActions(actions60));
  await bench.run();
  const rows = bench.tasks.map((t) => ({ name: t.name, ms: 'latency' in t.result ? t.result.latency.p50 : NaN }));
  console.log(
    `\nFinding (exact, ${statesNeeded(network, seen)} joint states; explanations cover ${(sets.covered * 100).toFixed(1)} %)`,
  );
  print(rows, rows[0]!.ms);
}

/** The heavy gauges, against the plainest work on the same input. */
async function benchGauges(): Promise<void> {
  const { fan } = HEALTHY.canister;
  const sections = healthySections('canister', fan);
  const places = [0, 1, 2, 3, 4].map((after) => ({ setUp: { from: 0, sealed: false }, after }));
  const clogged = sections.map((s, i) => (i === 2 ? { ...s, loss: 6 * s.loss } : s));
  const readings = places.map((p) => ({ ...p, kPa: predictKPa({ fan, sections: clogged, leak: null }, p) }));
  const log = Array.from({ length: 100_000 }, (_, i) => `${i},${(25 - i / 20_000).toFixed(4)},2`).join('\n');
  const washers = [0.1, 0.2, 0.3, 0.5, 1].map((thicknessMm) => ({ thicknessMm, count: 5 }));
  const wish: ShimWish = { gapMm: 3.37, floatMm: [0.1, 0.12], standOffMm: 0.8, standOffWantedMm: [2.1, 2.12] };
  const heaviest = knowledge.kinds.find((k) => k.id === 'upright-self-propelled')!;
  const wayIn = stepsToOpen(
    procedures[heaviest.id]!,
    heaviest.access,
    heaviest.access.map((a) => a.id),
  );
  // Forty steps in eight chains of five: more freedom than any machine leaves.
  const forty = Array.from({ length: 40 }, (_, i) => ({
    id: String(i),
    lie: (['standing', 'back', 'side', null] as const)[(i * 7) % 4]!,
    tool: ['cross-2', 't15', 'pry', ''][(i * 5) % 4]!,
    needs: i < 8 ? [] : [String(i - 8)],
    minutes: 1,
  }));
  // Twelve steps behind each other in threes, forty extra jobs at their ends.
  const twelveSteps = Array.from({ length: 12 }, (_, i): BundleStep => ({
    id: `s${i}`,
    costMinor: 80 + 13 * i,
    needs: i % 3 === 0 ? [] : [`s${i - 1}`],
  }));
  const fortyJobs = Array.from({ length: 40 }, (_, i): ExtraJob => ({
    id: `j${i}`,
    worthMinor: ((i * 97) % 700) - 220,
    priceMinor: 400,
    steps: [`s${(i * 5) % 12}`, `s${(i * 7) % 12}`],
  }));
  const threeWays = [0, 1, 2].map((n): WayOn => ({
    id: String(n),
    label: String(n),
    priceMinor: 6000 * (n + 1),
    parts: Array.from({ length: 12 }, (_, i) => ({
      id: String(i),
      label: String(i),
      life: { shape: 2, scaleYears: 3 + i },
      ageYears: 4 - 2 * n < 0 ? 0 : 4 - 2 * n,
      priceMinor: 2000 + 300 * i,
      ends: i === 11,
    })),
  }));
  const drawn = seededRandom(5);
  const twoThousand = {
    seen: Array.from({ length: 2000 }, (_, i) => {
      const days = Math.ceil(900 * (-Math.log(1 - drawn())) ** 0.5);
      return i % 2 === 0 ? { from: days, to: days } : { from: days, to: Infinity };
    }),
    groups: [],
    enough: 5,
  };
  const bench = new Bench({ time: 1500, warmupTime: 300 });
  bench
    .add('reference: 100,000 lines split at their commas', () => {
      for (const line of log.split('\n')) line.split(',').map(Number);
    })
    .add('discharge log of the same lines', () => void dischargeLog(log, 1))
    .add('clog from five vacuums', () => void locateBlockage(fan, sections, readings, 0.2))
    .add('shims of 25 washers for both ends', () => void shimStacks(washers, wish))
    .add('order of all 27 steps into a self-propelled upright', () => void bestOrder(wayIn))
    .add('order of 40 steps of any lie and tool', () => void bestOrder(forty))
    .add('what pays of 40 extra jobs behind 12 steps', () => void bestBundle(fortyJobs, twelveSteps))
    .add('20,000 lives of a machine with 12 wearing parts, three ways on', () => void worthOf(threeWays))
    .add('a life of 2,000 parts, half of them whole, with its band', () => void fitLives(twoThousand))
    .add('loop: 20,000 × 12 × 3 random numbers, to hold the lives against', () => {
      const random = seededRandom(7);
      let sum = 0;
      for (let i = 0; i < 20_000 * 12 * 3; i++) sum += Math.log(1 - random());
      if (!(sum < 0)) throw new Error('No numbers.');
    });
  await bench.run();
  const rows = bench.tasks.map((t) => ({ name: t.name, ms: 'latency' in t.result ? t.result.latency.p50 : NaN }));
  console.log('\nGauges that run in a worker, and the way in');
  print(rows, rows[0]!.ms);
}

/** A shop of its own on the test server, with the demonstration in it `scale` times, and its server; ends when closed. */
async function openShop(name: string, port: number, scale: number) {
  const server = process.env.TEST_DATABASE_SERVER!;
  const admin = new pg.Client({ connectionString: server });
  await admin.connect();
  await admin.query(`drop database if exists ${name} with (force)`);
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = server.replace(/\/postgres$/, `/${name}`);
  const env = { ...process.env, DATABASE_URL: url, NODE_ENV: 'production' as const, GRITKEEPER_LOG: 'warn' };
  for (const script of ['scripts/migrate.ts', 'scripts/demo.ts'])
    if (spawnSync('node', ['--import', 'tsx', script], { stdio: ['ignore', 'ignore', 'inherit'], env }).status !== 0)
      throw new Error(`${script} failed`);
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  if (scale > 1) await multiplyDemo(client, scale);
  await client.query('vacuum analyze');
  const base = `http://127.0.0.1:${port}`;
  const child = spawn('node', ['.next/own/door.mjs'], {
    stdio: 'ignore',
    env: { ...env, HOST: '127.0.0.1', PORT: String(port) },
  });
  // Whatever ends the measuring, a reader that has seen enough too, ends the server.
  process.once('exit', () => child.kill());
  for (let i = 0; i < 150 && !(await fetch(`${base}/readyz`).catch(() => null))?.ok; i++)
    await new Promise((r) => setTimeout(r, 200));
  const signIn = await fetch(`${base}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base },
    body: JSON.stringify({ signIn: 'demo', passphrase: 'salt marsh bench' }),
  });
  const cookie = signIn.headers.get('set-cookie')!.split(';')[0]!;
  return {
    base,
    url,
    headers: { cookie },
    pid: child.pid!,
    client,
    close: async () => {
      child.kill();
      await client.end();
    },
  };
}

type Shop = Awaited<ReturnType<typeof openShop>>;

/** Median latency of addresses, in rounds that take turns so that a slow moment of the machine hits all alike. */
async function measure(targets: { name: string; shop: Shop; path: string }[], rounds: number, seconds: number) {
  const times = new Map<string, number[]>();
  for (let round = 0; round <= rounds; round++)
    for (const { name, shop, path } of targets) {
      const run = await autocannon({ url: shop.base + path, connections: 4, duration: seconds, headers: shop.headers });
      if (run.non2xx > 0) throw new Error(`${name} answered ${run.non2xx} times with an error`);
      // The first round warms up.
      // The median: a stall of the machine itself, which falls on one address by chance, is not what is asked.
      if (round > 0) times.set(name, [...(times.get(name) ?? []), run.latency.p50]);
    }
  return new Map([...times].map(([name, list]) => [name, list.reduce((x, y) => x + y, 0) / list.length]));
}

async function benchPressesAlone(): Promise<void> {
  const shop = await openShop('gk_bench', 4370, 1);
  try {
    await benchPresses(shop);
  } finally {
    await shop.close();
  }
}

async function benchLoadAlone(): Promise<void> {
  const shop = await openShop('gk_bench', 4370, 1);
  try {
    await benchLoad(shop, process.argv.includes('--quick'));
  } finally {
    await shop.close();
  }
}

async function benchPages(): Promise<void> {
  const shop = await openShop('gk_bench', 4370, 1);
  try {
    const bench = await fetch(`${shop.base}/api/v1/bench`, { headers: shop.headers });
    const { strips } = (await bench.json()) as BenchView;
    const job = strips.find((s) => s.stage === 'find' && s.complaints.length > 0)!.job;
    const paths = {
      'empty route': '/healthz',
      'emptiest page': '/empty',
      Bench: '/',
      'Machine card': '/machines/GK-0034',
      'Rounds, what is due first': '/api/v1/rounds?ahead=30',
      'Rounds, what costs most to leave': '/api/v1/rounds?ahead=30&order=cost',
      Machines: '/machines',
      Search: '/api/v1/search?q=staithe',
      'Find of one job': `/jobs/${job}/find`,
    };
    const times = await measure(
      Object.entries(paths).map(([name, path]) => ({ name, shop, path })),
      3,
      3,
    );
    console.log('\nPages, 4 connections, on the demonstration’s data');
    const rows = [...times].map(([name, ms]) => ({ name, ms }));
    print(rows, times.get('empty route')!);
    console.log('\nThe same pages against the emptiest page that the framework makes');
    print(
      rows.filter(({ name }) => ['Bench', 'Machine card', 'Machines', 'Find of one job'].includes(name)),
      times.get('emptiest page')!,
    );
    await benchPresses(shop);
    await benchFirstLoad(shop);
  } finally {
    await shop.close();
  }
}

/** Compressed bytes of scripts, styles and fonts that the first look at a page fetches, against the emptiest page that has the library. */
async function benchFirstLoad(shop: Shop): Promise<void> {
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const weigh = async (path: string) => {
    const context = await browser.newContext();
    const [name, value] = shop.headers.cookie.split('=') as [string, string];
    await context.addCookies([{ name, value, url: shop.base }]);
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Network.enable');
    let bytes = 0;
    const scripts = new Set<string>();
    session.on('Network.responseReceived', (e) => e.type === 'Script' && scripts.add(e.requestId));
    session.on('Network.loadingFinished', (e) => {
      if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
    });
    await page.goto(shop.base + path);
    await page.waitForTimeout(1500);
    await context.close();
    return bytes;
  };
  const empty = await weigh('/empty');
  console.log('\nFirst load, compressed bytes of scripts, against an empty page with the component library');
  for (const path of ['/', '/take-in', '/machines'])
    console.log(`  ${path.padEnd(52)} ${((await weigh(path)) / empty).toFixed(2).padStart(8)} ×`);
  console.log(`  (empty page: ${Math.round(empty / 1024)} KiB)`);
  await browser.close();
}

/** The same questions to a shop with the demonstration's data and to one with `scale` times as much. */
async function benchScale(scale: number): Promise<void> {
  const small = await openShop('gk_bench', 4370, 1);
  const large = await openShop('gk_bench_large', 4371, scale);
  try {
    const count = async (shop: Shop, table: string) =>
      Number((await shop.client.query(`select count(*) from ${table}`)).rows[0].count);
    for (const table of ['customer', 'machine', 'job', 'finding', 'timeline'])
      console.log(`  ${table.padEnd(12)} ${await count(small, table)} and ${await count(large, table)}`);
    const paths: Record<string, string> = {
      Bench: '/',
      'Machine card': '/machines/GK-0034',
      'Rounds, what is due first': '/api/v1/rounds?ahead=30',
      'Rounds, what costs most to leave': '/api/v1/rounds?ahead=30&order=cost',
      'Search, a name': '/api/v1/search?q=staithe',
      'Search, a tag': '/api/v1/search?q=GK-0034',
      'Search, a mistyped name': '/api/v1/search?q=stathe%20bakry',
      'Search, one letter': '/api/v1/search?q=h',
    };
    const times = await measure(
      Object.entries(paths).flatMap(([name, path]) => [
        { name, shop: small, path },
        { name: `${name} ×${scale}`, shop: large, path },
      ]),
      3,
      3,
    );
    console.log(`\nWith ${scale} times the data, against the demonstration’s own; 4 connections`);
    for (const name of Object.keys(paths)) {
      const [own, much] = [times.get(name)!, times.get(`${name} ×${scale}`)!];
      console.log(
        `  ${name.padEnd(52)} ${(much / own).toFixed(2).padStart(8)} ×   (${own.toFixed(1)} and ${much.toFixed(1)} ms here)`,
      );
    }
    console.log('\nSearch at the server, one at a time, ms here');
    for (const [name, path] of Object.entries(paths).filter(([n]) => n.startsWith('Search'))) {
      const each: number[] = [];
      for (let i = 0; i < 30; i++) {
        const started = performance.now();
        await (await fetch(large.base + path, { headers: large.headers })).arrayBuffer();
        each.push(performance.now() - started);
      }
      each.sort((x, y) => x - y);
      console.log(`  ${name.padEnd(52)} median ${each[15]!.toFixed(1)}, worst of 30 ${each[29]!.toFixed(1)}`);
    }
  } finally {
    await small.close();
    await large.close();
  }
}

function print(rows: { name: string; ms: number }[], unit: number): void {
  for (const { name, ms } of rows)
    console.log(`  ${name.padEnd(52)} ${(ms / unit).toFixed(2).padStart(8)} ×   (${ms.toFixed(2)} ms here)`);
}

const [what, number, only] = process.argv.slice(2);
if (what === '--scale') await benchScale(Number(number ?? 100));
else if (what === 'endings') await benchEndings(Number(number ?? 2000));
else if (what === 'clogs') benchClogs(Number(number ?? 400));
else if (what === 'load') await benchLoadAlone();
else {
  if (what !== 'pages' && what !== 'presses') {
    await benchFinding();
    await benchGauges();
    // A table that takes long is asked for by name.
    if (what === 'finding') await benchCourses(Number(number ?? 2000), only ? Number(only) : undefined);
  }
  if (what === 'presses') await benchPressesAlone();
  else if (what !== 'finding') await benchPages();
}
