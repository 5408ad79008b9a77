import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { eventually, expect, HALF_JOBS, Hand, stranger, type Stand } from './stand';

const [A, B] = [4392, 4393];

async function model(stand: Stand): Promise<number> {
  const [row] = await stand.sql<{ id: string }>(`select id from model where kind = 'upright-shaft-belt' limit 1`);
  return Number(row!.id);
}

/** While the database is down every page says so, and comes back by itself. */
export async function databaseDown(stand: Stand): Promise<string> {
  await stand.server(A);
  try {
    const hand = await Hand.at(A);
    expect((await hand.ask('GET', '/')).status === 200, 'the bench is not there');
    stand.stopDatabase();
    const page = await hand.ask('GET', '/');
    const text = await page.text();
    expect(page.status === 503 && page.headers.get('retry-after') === '5', `the page answered ${page.status}`);
    expect(
      text.includes('The database does not answer') && text.includes('http-equiv="refresh"'),
      'the page does not say so',
    );
    const write = await hand.ask('POST', '/api/v1/jobs', stranger(1));
    expect(write.status === 503, `a write answered ${write.status}`);
    expect(
      ((await write.json()) as { title: string }).title.includes('does not answer'),
      'the refusal does not say so',
    );
    expect((await fetch(`${hand.base}/healthz`)).ok, 'the process itself does not answer');
    expect((await fetch(`${hand.base}/readyz`)).status === 503, 'it says that it is ready');
    await stand.startDatabase();
    await eventually('the bench is back', async () => (await hand.ask('GET', '/')).status === 200);
    const after = await hand.ask('POST', '/api/v1/jobs', stranger(await model(stand)));
    expect(after.status === 201, `after it a write answered ${after.status}`);
    return 'pages and writes said so, and came back by themselves';
  } finally {
    await stand.killServer(A);
  }
}

/** What a page reads is held by somebody else for longer than anybody waits: page and service say "later", not "broken". */
export async function rowsHeld(stand: Stand): Promise<string> {
  await stand.server(A);
  try {
    const hand = await Hand.at(A);
    const { strips } = await hand.get<{ strips: { job: number }[] }>('/api/v1/bench');
    // The frame of these pages reads the job, so that nothing of them is sent before it is known to fail.
    const paths = [`/jobs/${strips[0]!.job}/find`, `/jobs/${strips[0]!.job}/job-sheet`, '/api/v1/bench'];
    const told = await stand.whileHeld('job', () => Promise.all(paths.map((path) => hand.ask('GET', path))));
    const wrong = told.flatMap((a, i) =>
      a.status === 503 && a.headers.get('retry-after') !== null ? [] : [`${paths[i]} answered ${a.status}`],
    );
    expect(wrong.length === 0, wrong.join('; '));
    for (const path of paths) {
      const after = await hand.ask('GET', path);
      expect(after.status === 200, `afterwards ${path} answered ${after.status}`);
    }
    return `${paths.length} pages and lists said that they come later, and came when it was let go`;
  } finally {
    await stand.killServer(A);
  }
}

/** The disk under the photographs is full: the upload is refused in words, nothing else is hurt, and it goes on when there is room. */
export async function diskFull(stand: Stand): Promise<string> {
  const room = join(process.cwd(), '.gritkeeper/small-disk');
  rmSync(room, { recursive: true, force: true });
  mkdirSync(room, { recursive: true });
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=6m', 'tmpfs', room]).status !== 0)
    return 'not tried: this user may not mount a small disk';
  try {
    await stand.server(A);
    mkdirSync(join(room, 'space'));
    stand.ownDirectory(join(room, 'space'));
    await stand.sql(`create tablespace small location '${join(room, 'space')}'`);
    await stand.sql('alter table photograph set tablespace small');
    const hand = await Hand.at(A);
    const noise = await sharp({
      create: {
        width: 1600,
        height: 1200,
        channels: 3,
        background: '#888',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .jpeg()
      .toBuffer();
    const kept: number[] = [];
    const upload = () => hand.ask('POST', '/api/v1/photographs', new Uint8Array(noise));
    let refused: Response | null = null;
    for (let i = 0; i < 40 && !refused; i++) {
      const answer = await upload();
      if (answer.ok) kept.push(((await answer.json()) as { id: number }).id);
      else refused = answer;
    }
    expect(refused !== null, 'the small disk never became full');
    const { title } = (await refused.json()) as { title: string };
    expect(refused.status === 507 && title.includes('disk'), `it answered ${refused.status}: ${title}`);
    expect(kept.length > 0, 'not one photograph was kept');
    for (const id of kept) expect((await hand.ask('GET', `/api/v1/photographs/${id}`)).ok, `photograph ${id} is gone`);
    const other = await hand.ask('POST', '/api/v1/jobs', { ...stranger(await model(stand)), photographs: [kept[0]!] });
    expect(other.status === 201 || other.status === 507, `a take-in answered ${other.status}`);
    const plain = await hand.ask('POST', '/api/v1/jobs', stranger(await model(stand)));
    expect(plain.status === 201, `a take-in without photographs answered ${plain.status}`);
    expect(spawnSync('mount', ['-o', 'remount,size=60m', room]).status === 0, 'the disk could not be made larger');
    expect((await upload()).ok, 'with room again the upload is still refused');
    expect((await stand.sql(HALF_JOBS)).length === 0, 'there is a half job');
    return `${kept.length} kept, then refused with 507, then kept again`;
  } finally {
    // Whatever broke: the server goes first, which may hold the table, and nothing is waited for without an end.
    await stand.killServer(A);
    const left = (what: string) => (error: Error) => console.error(`Left as it is: ${what}: ${error.message}`);
    await stand
      .sql(`set lock_timeout = '10s'; alter table photograph set tablespace pg_default`)
      .catch(left('the photographs'));
    await stand.sql('drop tablespace if exists small').catch(left('the small disk'));
    spawnSync('umount', [room]);
    rmSync(room, { recursive: true, force: true });
  }
}

/** Two servers on one database: one session, one job per key, and each hears the other within two seconds. */
export async function twoServers(stand: Stand, rounds: number): Promise<string> {
  await stand.server(A);
  await stand.server(B);
  const stop = new AbortController();
  try {
    const one = await Hand.at(A);
    const two = one.also(B);
    expect((await two.ask('GET', '/')).status === 200, 'the session of one is not one of the other');
    const heard: { job: number | null; at: number }[] = [];
    const stream = await fetch(`${two.base}/api/v1/live`, {
      headers: (await cookieOf(one)) as Record<string, string>,
      signal: stop.signal,
    });
    void listen(stream, (job) => heard.push({ job, at: Date.now() }));
    await eventually('the line stands', async () => heard.length > 0);
    const id = await model(stand);
    let slowest = 0;
    for (let i = 0; i < rounds; i++) {
      const dto = stranger(id);
      const answers = await Promise.all([one, two, one, two].map((h) => h.ask('POST', '/api/v1/jobs', dto)));
      expect(
        answers.every((a) => a.status === 201),
        `answers: ${answers.map((a) => a.status).join()}`,
      );
      const jobs = new Set(
        (await Promise.all(answers.map((a) => a.json() as Promise<{ job: number }>))).map((a) => a.job),
      );
      expect(jobs.size === 1, 'one key made several jobs');
      const [job] = [...jobs];
      const started = Date.now();
      const move = (h: Hand, place: string) =>
        h.ask('POST', `/api/v1/jobs/${job}/move-job`, { key: randomUUID(), version: 1, place });
      const both = (await Promise.all([move(one, 'rack'), move(two, 'door-shelf')])).map((a) => a.status).sort();
      expect(both.join() === '200,409', `two at once answered ${both.join()}`);
      const news = await eventually(
        'heard at the other',
        async () => heard.find((h) => h.job === job && h.at >= started),
        5000,
      );
      slowest = Math.max(slowest, news.at - started);
    }
    expect(slowest < 2000, `heard after ${slowest} ms`);
    return `${rounds} rounds, news after at most ${slowest} ms`;
  } finally {
    stop.abort();
    await stand.killServer(A);
    await stand.killServer(B);
  }
}

async function cookieOf(hand: Hand): Promise<object> {
  return { cookie: (hand as unknown as { cookie: string }).cookie };
}

async function listen(stream: Response, onJob: (job: number | null) => void): Promise<void> {
  const decoder = new TextDecoder();
  let text = '';
  try {
    for await (const chunk of stream.body!) {
      text += decoder.decode(chunk as Uint8Array, { stream: true });
      for (const match of text.matchAll(/event: change\ndata: (.*)\n\n/g))
        onJob((JSON.parse(match[1]!) as { job: number | null }).job);
      text = text.slice(text.lastIndexOf('\n\n') + 2);
    }
  } catch (error) {
    if ((error as Error).name !== 'AbortError') throw error;
  }
}

/** Servers whose clocks are hours and days wrong: waits, sessions and the order of the book follow the database's clock. */
export async function clockChange(stand: Stand): Promise<string> {
  const wrong = (ms: number) => {
    const file = join(process.cwd(), `.gritkeeper/clock-${ms}.cjs`);
    writeFileSync(
      file,
      `const real = Date; const now = () => real.now() + ${ms};
       globalThis.Date = new Proxy(real, {
         construct: (target, given) => (given.length > 0 ? new target(...given) : new target(now())),
         apply: () => new real(now()).toString(),
         get: (target, name) => (name === 'now' ? now : Reflect.get(target, name)),
       });`,
    );
    return `--require ${file}`;
  };
  await stand.server(A, wrong(-5 * 3_600_000));
  await stand.server(B, wrong(20 * 86_400_000));
  try {
    const late = await Hand.at(A);
    const early = late.also(B);
    expect((await early.ask('GET', '/')).status === 200, 'the session ended by the clock of another server');
    const answer = await late.ask('POST', '/api/v1/jobs', stranger(await model(stand)));
    const { job } = (await answer.json()) as { job: number };
    const start = await late.ask('POST', `/api/v1/jobs/${job}/start-wait`, {
      key: randomUUID(),
      version: 1,
      kind: 'glue',
      what: '',
      hours: 1,
    });
    expect(start.ok, `the wait answered ${start.status}`);
    await new Promise((done) => setTimeout(done, 3500));
    const wait = async () =>
      (
        await stand.sql<{ left: number; rang: boolean }>(
          'select extract(epoch from ends_at - now())::float8 as left, rang_at is not null as rang from wait where job_id = $1',
          [job],
        )
      )[0]!;
    const running = await wait();
    expect(!running.rang && Math.abs(running.left - 3600) < 60, `the clock is off: ${JSON.stringify(running)}`);
    await stand.sql(
      `update wait set started_at = now() - interval '2 hours', ends_at = now() + interval '1 second' where job_id = $1`,
      [job],
    );
    await eventually('it rings', async () => (await wait()).rang, 8000);
    const [{ wild }] = (await stand.sql<{ wild: string }>(
      `select count(*) as wild from timeline where at > now() + interval '1 minute'`,
    )) as [{ wild: string }];
    expect(Number(wild) === 0, 'entries of the book lie in days to come');
    return 'five hours late and twenty days early: waits, sessions and the book kept right time';
  } finally {
    await stand.killServer(A);
    await stand.killServer(B);
  }
}

const NASTY: Record<string, string> = {
  emoji: 'Brush 🧹🧼👩🏽‍🔧 squeals',
  'right to left': 'مكنسة كهربائية تصدر صوتًا שלום',
  'control of direction': 'abc\u202Edef\u2066ghi',
  script: `"><script>document.title='broken'</script><img src=x onerror=alert(1)>`,
  sql: `'; drop table job; -- " \\ %_ $$ $1 ?`,
  markup: '&lt;b&gt; & <b>bold</b> {{7*7}} ${7*7} <%= 7 %>',
  'line ends': 'one\r\ntwo\tthree\u2028four',
  combining: 'Ze\u0301ro\u0300 a\u0308 ﷽ 𝔘𝔫𝔦',
};

/** Whatever is typed into every field comes back as it was typed, runs nowhere, and breaks nothing; too much of it is refused by name. */
export async function nastyWords(stand: Stand): Promise<string> {
  await stand.server(A);
  try {
    const hand = await Hand.at(A);
    const id = await model(stand);
    for (const [what, text] of Object.entries(NASTY)) {
      const dto = stranger(id, text);
      const answer = await hand.ask('POST', '/api/v1/jobs', dto);
      if (answer.status !== 201) throw new Error(`${what} answered ${answer.status}: ${await answer.text()}`);
      const { job, tag } = (await answer.json()) as { job: number; tag: string };
      const view = await hand.get<Record<string, unknown> & { customer: { name: string; standing: string } }>(
        `/api/v1/jobs/${job}`,
      );
      expect(view.words === text && view.customer.name === text.trim(), `${what} came back changed`);
      expect(
        JSON.stringify(view.marks) === JSON.stringify([{ station: 'housing', text: text.trim().slice(0, 200) }]),
        `${what}: marks`,
      );
      for (const path of [
        `/jobs/${job}/find`,
        `/jobs/${job}/job-sheet`,
        `/machines/${tag}`,
        `/machines/${tag}/tag`,
        `/machines?q=${encodeURIComponent(text)}`,
        '/',
        '/wall',
      ]) {
        const page = await hand.ask('GET', path);
        const html = await page.text();
        expect(page.status === 200, `${what}: ${path} answered ${page.status}`);
        expect(
          !html.includes(`<script>document.title`) && !html.includes('<img src=x'),
          `${what}: ${path} lets it run`,
        );
      }
      const book = await hand.ask('GET', `/api/v1/machines/${tag}/book.pdf`);
      expect(book.ok, `${what}: the book as PDF answered ${book.status}`);
      const found = await hand.get<{ rows: unknown[] }>(`/api/v1/search?q=${encodeURIComponent(text)}`);
      expect(Array.isArray(found.rows), `${what}: the search`);
    }
    const large = await hand.ask('POST', '/api/v1/jobs', { ...stranger(id), words: 'x'.repeat(10_000_000) });
    const { title } = (await large.json()) as { title: string };
    expect(large.status === 413 && title.includes('64 KiB'), `10 MB answered ${large.status}: ${title}`);
    const zero = await hand.ask('POST', '/api/v1/jobs', { ...stranger(id), words: 'a\u0000b' });
    expect(zero.status === 400, `a zero character answered ${zero.status}`);
    expect((await stand.sql(HALF_JOBS)).length === 0, 'there is a half job');
    expect((await hand.ask('GET', '/')).status === 200, 'the bench is gone');
    return `${Object.keys(NASTY).length} sorts in every field, 10 MB and a zero character refused`;
  } finally {
    await stand.killServer(A);
  }
}
