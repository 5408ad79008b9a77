import { request as rawRequest } from 'node:http';
import fc from 'fast-check';
import { addressOf, operationsOf, schemaOf, type Document, type Schema } from './document';
import { expect, Hand, type Stand } from './stand';

const PORT = 4394;
const SEED = 20_261_127;
const COME_AGAIN = 4;
const AT_ONCE = 8;
/** A refusal is read by people and written into a log: it has a length. */
const LONGEST_REFUSAL = 30_000;
/** Stands in everything that is sent; must stand in no line of the log. */
const MARK = 'zq-mark-zq';

const deep = () => {
  let value: unknown = 1;
  for (let i = 0; i < 40; i++) value = i % 2 ? [value] : { a: value };
  return value;
};
/** What nobody should send and somebody does. */
const NONSENSE = fc.constantFrom<unknown>(
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  'x'.repeat(6000),
  MARK,
  '2026-02-30',
  '9999-99-99',
  'NaN',
  '%00',
  '../../etc/passwd',
  '<script>',
  '٣',
  0,
  -1,
  1.5,
  2 ** 31,
  2 ** 53,
  9.1e18,
  1e308,
  -1e308,
  null,
  true,
  [],
  {},
  [[]],
  [null],
  { a: 1 },
  JSON.parse('{"__proto__":{"polluted":1}}'),
  JSON.parse('{"constructor":{"prototype":{"polluted":1}}}'),
  deep(),
  Array.from({ length: 3000 }, () => 0),
);
const PATH_NONSENSE = fc.constantFrom(
  '0',
  '-1',
  '1e9',
  '9007199254740993',
  '%F0%9F%A7%B9',
  'null',
  '__proto__',
  'a'.repeat(300),
  '1%2F2',
  ' ',
);

/** Values of a schema, mostly such as would be taken, now and then nonsense in one place or another. */
function of(schema: Schema, document: Document, depth = 0): fc.Arbitrary<unknown> {
  const mostly = (sane: fc.Arbitrary<unknown>) =>
    fc.oneof({ weight: 12, arbitrary: sane }, { weight: 1, arbitrary: NONSENSE });
  if (schema.$ref) return of(schemaOf(schema, document), document, depth + 1);
  if (schema.enum) return mostly(fc.constantFrom(...schema.enum));
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map((s) => of(s, document, depth)));
  switch (schema.type) {
    case 'object': {
      const fields = Object.entries(schema.properties ?? {}).map(
        ([name, inner]) => [name, named(name) ?? of(inner, document, depth + 1)] as const,
      );
      const whole = fc.record(Object.fromEntries(fields), { requiredKeys: schema.required ?? [] });
      const more = fc.dictionary(fc.constantFrom('unknown', MARK, '__proto__', 'key'), NONSENSE, { maxKeys: 1 });
      return mostly(fc.tuple(whole, more).map(([a, b]) => (Object.keys(b).length > 0 ? { ...a, ...b } : a)));
    }
    case 'array':
      return mostly(fc.array(depth > 4 ? NONSENSE : of(schema.items ?? {}, document, depth + 1), { maxLength: 3 }));
    case 'string':
      return mostly(fc.constantFrom('', 'abc', 'Rug fringe', '2199-01-01', 'squeal', 'finger-turn', 'bench', MARK));
    case 'integer':
    case 'number':
      return mostly(fc.integer({ min: 0, max: 60 }));
    case 'boolean':
      return mostly(fc.boolean());
    default:
      return NONSENSE;
  }
}

/** Fields that nearly every body has: right most of the time, or nothing behind them is ever reached. */
function named(name: string): fc.Arbitrary<unknown> | null {
  if (name === 'key')
    return fc.oneof({ weight: 20, arbitrary: fc.uuid({ version: 4 }) }, { weight: 1, arbitrary: NONSENSE });
  if (name === 'version')
    return fc.oneof({ weight: 20, arbitrary: fc.integer({ min: 1, max: 4 }) }, { weight: 1, arbitrary: NONSENSE });
  return null;
}

interface Asked {
  method: string;
  path: string;
  body?: string;
}

/** One request to any of the operations. */
function anyRequest(document: Document): fc.Arbitrary<Asked> {
  return fc.constantFrom(...operationsOf(document)).chain(({ path, method, operation }) => {
    const names = [...path.matchAll(/\{(\w+)\}/g)].map((m) => m[1]!);
    const inPath = fc.tuple(
      ...names.map((name) =>
        fc.oneof(
          {
            weight: 8,
            arbitrary:
              name === 'tag'
                ? fc.constantFrom('GK-0001', 'GK-0002', 'gk-0003')
                : fc.integer({ min: 1, max: 60 }).map(String),
          },
          { weight: 1, arbitrary: PATH_NONSENSE },
        ),
      ),
    );
    const queries = (operation.parameters ?? []).filter((p) => p.in === 'query').map((p) => p.name);
    const query = fc.record(
      Object.fromEntries(
        queries.map((q) => [
          q,
          fc.oneof(fc.constantFrom('1', 'gull', '-due'), PATH_NONSENSE, fc.constantFrom('1e308', '2026-02-30')),
        ]),
      ),
      { requiredKeys: [] },
    );
    const content = Object.entries(operation.requestBody?.content ?? {})[0];
    const body = content
      ? content[0] === 'application/json'
        ? of(content[1].schema, document).map((v) => JSON.stringify(v))
        : fc.constantFrom('', MARK, 'name,phone\nAda,1\n', 'BEGIN:VCARD\nFN:x\nEND:VCARD', '\0\0', 'name\r=1+1')
      : fc.constant(undefined);
    return fc.tuple(inPath, query, body).map(([params, asked, text]) => {
      const words = Object.entries(asked)
        .map(([k, v]) => `${k}=${encodeURIComponent(String(v))}`)
        .join('&');
      const filled = addressOf(path, (name) => params[names.indexOf(name)]!);
      return {
        method,
        path: `${filled}${words ? `?${words}` : ''}`,
        ...(text === undefined ? {} : { body: text }),
      };
    });
  });
}

/** Lines that no browser writes. */
const RAW: { method: string; path: string }[] = [
  { method: 'TRACE', path: '/' },
  { method: 'PATCH', path: '/api/v1/shop' },
  { method: 'PROPFIND', path: '/' },
  { method: 'GET', path: '/machines/%00' },
  { method: 'GET', path: '/machines?q=%E0%A4%A' },
  { method: 'GET', path: '/%5c%5celsewhere.test' },
  { method: 'GET', path: '/%09/elsewhere.test' },
  { method: 'GET', path: '//elsewhere.test//' },
  { method: 'GET', path: `/${'a'.repeat(9000)}` },
  { method: 'GET', path: '/api/v1/jobs/%2e%2e/%2e%2e/shop' },
  { method: 'POST', path: '/machines' },
];

/** Every route of the published document, asked for in thousands of ways: refused or answered, never a fault of ours. */
export async function nonsenseEverywhere(stand: Stand, requests: number): Promise<string> {
  const log = await stand.loudServer(PORT);
  try {
    let hand = await Hand.at(PORT);
    const document = await hand.get<Document>('/api/v1/openapi.json');
    const all = fc.sample(anyRequest(document), { seed: SEED, numRuns: requests });
    const faults: string[] = [];
    const tally = new Map<number, number>();
    let at = 0;
    const one = async () => {
      while (at < all.length) {
        const asked = all[at++]!;
        if (asked.path.startsWith('/api/v1/live')) continue;
        // A screen that was locked, a session that was ended: such deeds are among those that are asked for.
        let response = await hand.send(asked.method, asked.path, asked.body);
        // Told to come again, one comes again: a slow machine has its hands full, and says so. For ever it may not.
        for (let n = 1; n <= COME_AGAIN && response.status === 503 && response.headers.has('retry-after'); n++) {
          await response.arrayBuffer();
          await new Promise((r) => setTimeout(r, n * 2000));
          response = await hand.send(asked.method, asked.path, asked.body);
        }
        const text = await response.text();
        tally.set(response.status, (tally.get(response.status) ?? 0) + 1);
        if (response.status === 401 || response.status === 423) hand = await Hand.at(PORT);
        const told = `${asked.method} ${asked.path.slice(0, 120)} ${asked.body?.slice(0, 300) ?? ''} → ${response.status}`;
        if (response.status >= 500) faults.push(told);
        const kept = response.headers.get('cache-control') ?? '';
        if (response.status < 300 || response.status >= 400)
          if (!/no-store|no-cache/.test(kept)) faults.push(`${told}: may be kept (${kept})`);
        if (response.status >= 400 && text.length > LONGEST_REFUSAL) faults.push(`${told}: ${text.length} characters`);
        if (response.status >= 400 && !response.headers.get('content-type')?.includes('json'))
          faults.push(`${told}: no document`);
      }
    };
    await Promise.all(Array.from({ length: AT_ONCE }, one));
    for (const { method, path } of RAW) {
      const status = await raw(PORT, method, path);
      if (status >= 500 || (method === 'TRACE' && status !== 405))
        faults.push(`${method} ${path.slice(0, 60)} → ${status}`);
    }
    expect(faults.length === 0, `${faults.length} faults:\n${faults.slice(0, 12).join('\n')}`);
    expect(({} as { polluted?: unknown }).polluted === undefined, 'the language itself was changed');
    const lines = log().split('\n');
    const leaked = lines.filter((line) => line.includes(MARK));
    expect(leaked.length === 0, `the log repeats what was typed: ${leaked[0]?.slice(0, 300)}`);
    const secrets = lines.filter((line) => /argon2|gk_session=|Bearer |salt marsh bench/.test(line));
    expect(secrets.length === 0, `the log holds a secret: ${secrets[0]?.slice(0, 200)}`);
    const longest = Math.max(...lines.map((line) => line.length));
    expect(longest < 6000, `a line of the log has ${longest} characters`);
    expect((await (await Hand.at(PORT)).ask('GET', '/')).status === 200, 'the Bench is gone');
    const said = [...tally].sort(([a], [b]) => a - b).map(([status, n]) => `${n} × ${status}`);
    return `seed ${SEED}, ${requests} requests: ${said.join(', ')}`;
  } finally {
    await stand.killServer(PORT);
  }
}

function raw(port: number, method: string, path: string): Promise<number> {
  return new Promise((done, fail) => {
    const asked = rawRequest(
      { port, host: '127.0.0.1', method, path, headers: { host: `127.0.0.1:${port}` } },
      (response) => {
        response.resume();
        done(response.statusCode ?? 0);
      },
    );
    asked.on('error', fail);
    asked.end();
  });
}
