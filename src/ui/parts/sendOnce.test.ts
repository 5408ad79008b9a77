/** @jest-environment jsdom */
import { pressSender, sendOnce } from './sendOnce';

interface Step {
  /** What the server does with a press: answers, does it and the answer is lost, or never hears of it. */
  press?: 'answers' | 'loses' | 'never' | 'refuses' | 'gateway';
  ask?: 'answers' | 'away';
}

/** A server by its deeds: each press and question takes the next step. */
function server(presses: Step['press'][], asks: Step['ask'][] = []) {
  const done = new Set<string>();
  const heard: string[] = [];
  const reply = (status: number, body: unknown) => ({
    ok: status < 400,
    status,
    json: async () => body,
    text: async () => (typeof body === 'string' ? body : JSON.stringify(body)),
  });
  const keys: string[] = [];
  const fetch = async (url: string, init: RequestInit = {}) => {
    if (init.method === 'POST') {
      const { key } = JSON.parse(init.body as string) as { key: string };
      keys.push(key);
      const step = presses.shift() ?? 'answers';
      heard.push(`press ${step}`);
      if (step === 'never') throw new TypeError('not reached');
      if (step === 'refuses') return reply(400, { title: 'No.', fields: [] });
      done.add(key);
      if (step === 'loses') throw new TypeError('lost');
      if (step === 'gateway') return reply(504, '<html>');
      return reply(200, { times: done.size });
    }
    const step = asks.shift() ?? 'answers';
    heard.push(`ask ${step}`);
    if (step === 'away') throw new TypeError('away');
    return reply(200, { done: done.has(url.split('/').at(-1)!) });
  };
  Object.assign(globalThis, { fetch });
  return { heard, done, keys };
}

/** Waits pass at once. */
beforeEach(() =>
  jest.spyOn(globalThis, 'setTimeout').mockImplementation(((f: () => void) => queueMicrotask(f)) as never),
);
afterEach(() => jest.restoreAllMocks());
Object.assign(AbortSignal, { timeout: () => new AbortController().signal });
const body = { key: 'k-1', text: 'Rug fringe.' };

test('an answer that comes is the answer; a refusal is asked about by nobody', async () => {
  const { heard } = server(['answers', 'refuses']);
  expect(await sendOnce('/x', body)).toEqual({ ok: true, value: { times: 1 } });
  expect(await sendOnce('/x', body)).toMatchObject({ ok: false, refusal: { status: 400, title: 'No.' } });
  expect(heard).toEqual(['press answers', 'press refuses']);
});

test.each(['loses', 'gateway'] as const)(
  '%s: the server is asked, and the answer fetched under the same key',
  async (how) => {
    const { heard, done } = server([how, how]);
    const doubts: boolean[] = [];
    expect(await sendOnce('/x', body, (d) => doubts.push(d))).toEqual({ ok: true, value: { times: 1 } });
    expect(heard).toEqual([`press ${how}`, 'ask answers', `press ${how}`, 'ask answers', 'press answers']);
    expect(done.size).toBe(1);
    expect([doubts[0], doubts.at(-1)]).toEqual([true, false]);
  },
);

test('what never arrived is not sent again by itself', async () => {
  const { heard } = server(['never'], ['away', 'away']);
  const sent = await sendOnce('/x', body);
  expect(sent).toMatchObject({ ok: false, refusal: { status: 0 } });
  expect(sent.ok || sent.refusal.title).toContain('was not saved');
  expect(heard).toEqual(['press never', 'ask away', 'ask away', 'ask answers']);
});

test('while nobody can be asked it is called unknown, neither saved nor not saved', async () => {
  server(
    ['loses'],
    Array.from({ length: 20 }, () => 'away' as const),
  );
  const sent = await sendOnce('/x', body);
  expect(sent).toMatchObject({ ok: false, refusal: { status: 0, unknown: true } });
  expect(sent.ok || sent.refusal.title).toMatch(/not known whether/);
});

describe('a form that is pressed again', () => {
  beforeEach(() => {
    let n = 0;
    Object.defineProperty(crypto, 'randomUUID', { configurable: true, value: () => `key-${++n}` });
  });

  test('keeps its key while it holds the same, and takes another when it holds something else', async () => {
    const { keys } = server(['never', 'answers', 'refuses']);
    const press = pressSender();
    await press('/x', { words: 'hums' });
    await press('/x', { words: 'hums' });
    await press('/x', { words: 'hums loudly' });
    expect(keys).toEqual(['key-1', 'key-1', 'key-2']);
  });

  test('changed while nobody knew what became of it: that is asked first, and nothing is done twice', async () => {
    const away = Array.from({ length: 6 }, () => 'away' as const);
    const { keys, done } = server(['loses'], away);
    const press = pressSender();
    expect(await press('/x', { words: 'hums' })).toMatchObject({ refusal: { unknown: true } });
    expect(await press('/x', { words: 'hums loudly' })).toMatchObject({ ok: true });
    expect([keys, done.size]).toEqual([['key-1', 'key-1'], 1]);
  });

  test('and when it had not been done, what the form holds now is sent', async () => {
    const away = Array.from({ length: 6 }, () => 'away' as const);
    const { keys, done } = server(['never'], away);
    const press = pressSender();
    await press('/x', { words: 'hums' });
    expect(await press('/x', { words: 'hums loudly' })).toMatchObject({ ok: true });
    expect([keys, [...done]]).toEqual([['key-1', 'key-2'], ['key-2']]);
  });
});
