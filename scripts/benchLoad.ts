import autocannon from 'autocannon';
import { readFileSync } from 'node:fs';
import { at, bareInserts, press, type Shop } from './benchPresses';

const CONNECTIONS = [1, 4, 16];
const SECONDS = 20;
const LISTENERS = 100;
const MANY_PRESSES = 10_000;
const BROWSERS = 4;
/** Whether it grows or settles is seen by several looks only. */
const SLICES = 5;

/**
 * What the shop bears: pages at 1, 4 and 16 connections against an empty route, presses against a bare insert, with a hundred
 * listeners, and the memory of the server after ten thousand presses. Ratios within this one run.
 */
export async function benchLoad(shop: Shop & { pid: number }, quick: boolean): Promise<void> {
  const seconds = quick ? 3 : SECONDS;
  const page = await (await fetch(shop.base, { headers: shop.headers })).text();
  const job = /href="(\/jobs\/\d+)"/.exec(page)![1]!;
  const paths = {
    'empty route': '/healthz',
    Bench: '/',
    'Find of one job': `${job}/find`,
    'Machine card': '/machines/GK-0034',
    Search: '/api/v1/search?q=staithe',
  };
  console.log(
    `\nLoad, ${seconds} s each: median latency against the empty route at as many connections; answers a second`,
  );
  for (const connections of CONNECTIONS) {
    let unit = 0;
    for (const [name, path] of Object.entries(paths)) {
      const run = await autocannon({ url: shop.base + path, connections, duration: seconds, headers: shop.headers });
      // Asked to come again is an answer; anything else that is none is a fault.
      const wrong = run.non2xx - (run.statusCodeStats?.['503']?.count ?? 0) + run.errors + run.timeouts;
      if (wrong > 0) throw new Error(`${name} at ${connections}: ${wrong} wrong answers`);
      const ms = Math.max(0.5, run.latency.p50);
      if (name === 'empty route') unit = ms;
      console.log(
        `  ${String(connections).padStart(3)}  ${name.padEnd(24)} ${(ms / unit).toFixed(1).padStart(8)} ×  p99 ${(run.latency.p99 / unit).toFixed(1).padStart(7)} ×  ${run.requests.average.toFixed(0).padStart(6)} a second`,
      );
    }
  }
  const bare = await bareInserts(shop.url);
  const unit = at(bare, 0.5);
  const line = (name: string, times: number[]) =>
    console.log(
      `  ${name.padEnd(52)} ${(at(times, 0.5) / unit).toFixed(1).padStart(8)} ×  p95 ${(at(times, 0.95) / unit).toFixed(1).padStart(6)} ×`,
    );
  console.log('\nTwo hundred presses of four browsers, against a bare transaction of one insert');
  line('alone', (await press(shop, 50, 0)).acknowledged);
  const stop = new AbortController();
  const heard = await listen(shop, stop.signal);
  line(`with ${LISTENERS} listeners`, (await press(shop, 50, 0)).acknowledged);
  stop.abort();
  console.log(`  each listener heard ${Math.min(...heard.counts)} to ${Math.max(...heard.counts)} pieces of news`);
  const many = quick ? 400 : MANY_PRESSES;
  console.log(`\nMemory of the server, resident, through ${many} presses more`);
  let before = residentMiB(shop.pid);
  for (let slice = 1; slice <= SLICES; slice++) {
    await press(shop, many / SLICES / BROWSERS, 0);
    const after = residentMiB(shop.pid);
    const said = `after ${(many / SLICES) * slice}`;
    console.log(`  ${said.padEnd(20)} ${(after / before).toFixed(2)} × of before it (${before} and ${after} MiB here)`);
    before = after;
  }
}

/** So many streams that hear the shop's news. */
async function listen(shop: Shop, signal: AbortSignal): Promise<{ counts: number[] }> {
  const counts = Array.from({ length: LISTENERS }, () => 0);
  await Promise.all(
    counts.map(async (_, i) => {
      const response = await fetch(`${shop.base}/api/v1/live`, { headers: shop.headers, signal });
      if (!response.ok) throw new Error(`A listener was answered ${response.status}`);
      void count(response, (n) => (counts[i]! += n), signal);
    }),
  );
  return { counts };
}

async function count(response: Response, add: (events: number) => void, signal: AbortSignal): Promise<void> {
  const decoder = new TextDecoder();
  try {
    for await (const piece of response.body!)
      add(decoder.decode(piece as Uint8Array, { stream: true }).split('event: change').length - 1);
  } catch (error) {
    if (!signal.aborted) throw error;
  }
}

/** Resident memory of a process, MiB. */
function residentMiB(pid: number): number {
  const kib = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1];
  return Math.round(Number(kib) / 1024);
}
