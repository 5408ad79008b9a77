import type { listenToShop as Listen } from './liveLine';

type Word = Record<string, unknown>;

/** A browser: streams that can be spoken into, a channel between tabs, one lock. */
function browser() {
  const streams: FakeSource[] = [];
  class FakeSource {
    readonly handlers = new Map<string, (event: { data: string }) => void>();
    isOpen = true;
    constructor(readonly url: string) {
      streams.push(this);
    }
    addEventListener(name: string, act: (event: { data: string }) => void) {
      this.handlers.set(name, act);
    }
    close() {
      this.isOpen = false;
    }
    send(name: string, data: unknown = {}) {
      this.handlers.get(name)?.({ data: JSON.stringify(data) });
    }
  }
  const ends = new Set<{ onmessage: ((m: { data: Word }) => void) | null }>();
  class FakeChannel {
    onmessage: ((m: { data: Word }) => void) | null = null;
    constructor() {
      ends.add(this);
    }
    postMessage(data: Word) {
      for (const end of ends) if (end !== this) end.onmessage?.({ data });
    }
    close() {
      ends.delete(this);
    }
  }
  let holder: { stolen: () => void } | null = null;
  const queue: (() => void)[] = [];
  const grant = async (work: () => Promise<void>) => {
    let stolen = () => {};
    const taken = new Promise<never>((_, reject) => (stolen = () => reject(new Error('stolen'))));
    const mine = { stolen };
    holder = mine;
    try {
      await Promise.race([work(), taken]);
    } finally {
      if (holder === mine) {
        holder = null;
        queue.shift()?.();
      }
    }
  };
  const locks = {
    async request(_name: string, how: { steal?: boolean; signal?: AbortSignal }, work: () => Promise<void>) {
      if (how.steal) {
        holder?.stolen();
        return grant(work);
      }
      if (holder)
        await new Promise<void>((go, no) => {
          queue.push(go);
          how.signal?.addEventListener('abort', () => no(new Error('left')));
        });
      return grant(work);
    },
  };
  const windowEvents = new EventTarget();
  Object.assign(globalThis, { EventSource: FakeSource, BroadcastChannel: FakeChannel, window: windowEvents });
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true, writable: true });
  return { streams, open: () => streams.filter((s) => s.isOpen) };
}

/** One tab: the module as it is loaded there, and what it hears. @param drawnAt when its page was drawn, ms */
function tab(drawnAt: number = Date.now()) {
  Object.defineProperty(performance, 'timeOrigin', { value: drawnAt, configurable: true });
  let listenToShop!: typeof Listen;
  jest.isolateModules(() => {
    // Each tab has the module to itself.
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    ({ listenToShop } = require('./liveLine') as { listenToShop: typeof Listen });
  });
  const heard: (number | null)[] = [];
  const states: boolean[] = [];
  const leave = listenToShop({ onChange: (job) => heard.push(job), onState: (s) => states.push(s) });
  return { heard, states, leave };
}
const soon = () => jest.advanceTimersByTimeAsync(0);

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('twenty tabs of one browser hold one stream, and all hear what it tells', async () => {
  const { open } = browser();
  const tabs = Array.from({ length: 20 }, () => tab());
  await soon();
  expect(open()).toHaveLength(1);
  open()[0]!.send('hello');
  open()[0]!.send('change', { job: 7, machine: 3 });
  open()[0]!.send('change', { job: null, machine: 3 });
  open()[0]!.send('change', { job: null, machine: null });
  expect(tabs[0]!.heard).toEqual([7, -1, null]);
  // The others may have missed something before this one listened.
  for (const t of tabs.slice(1)) expect(t.heard).toEqual([null, 7, -1, null]);
  tabs.forEach((t) => t.leave());
  await soon();
  expect(open()).toEqual([]);
});

test('what happened between the drawing of a page and its listening is told to it, from the tab that holds the line', async () => {
  const { open } = browser();
  const one = tab();
  await soon();
  expect(open()[0]!.url).toMatch(/\?age=\d+$/);
  open()[0]!.send('hello');
  await jest.advanceTimersByTimeAsync(100);
  open()[0]!.send('change', { job: 5, machine: 1 });
  await jest.advanceTimersByTimeAsync(3000);
  open()[0]!.send('change', { job: 7, machine: 3 });
  // Drawn a second before the change, listening a second after it.
  await jest.advanceTimersByTimeAsync(1000);
  const late = tab(Date.now() - 2000);
  expect(late.heard).toEqual([7]);
  // Drawn after it: nothing to tell.
  await jest.advanceTimersByTimeAsync(1000);
  const later = tab(Date.now() - 500);
  expect(later.heard).toEqual([]);
  expect(late.heard).toEqual([7]);
  // Older than anything that is kept: all of it may have changed.
  const ancient = tab(Date.now() - 3_600_000);
  expect(ancient.heard).toEqual([null]);
  [one, late, later, ancient].forEach((t) => t.leave());
});

test('when the tab that listens closes, another takes over and everybody looks anew', async () => {
  const { open, streams } = browser();
  const [one, two, three] = [tab(), tab(), tab()];
  await soon();
  open()[0]!.send('hello');
  await jest.advanceTimersByTimeAsync(10_000);
  open()[0]!.send('here');
  one.leave();
  await soon();
  expect(streams).toHaveLength(2);
  expect(open()).toHaveLength(1);
  two.heard.length = three.heard.length = 0;
  open()[0]!.send('hello');
  expect(two.heard).toEqual([null]);
  expect(three.heard).toEqual([null]);
  two.leave();
  three.leave();
});

test('a line that says nothing is lost, is opened anew, and says so when it is back', async () => {
  const { open, streams } = browser();
  const one = tab();
  await soon();
  open()[0]!.send('hello');
  await jest.advanceTimersByTimeAsync(30_000);
  expect(one.states).toEqual([false]);
  expect(streams).toHaveLength(2);
  open()[0]!.send('hello');
  expect(one.states).toEqual([false, true]);
  expect(one.heard).toEqual([null]);
  one.leave();
});

test('a tab that fell asleep while it listened loses the line to one that is awake', async () => {
  const { open, streams } = browser();
  const asleep = tab();
  await soon();
  streams[0]!.send('hello');
  await jest.advanceTimersByTimeAsync(4000);
  const awake = tab();
  await soon();
  // Its stream still stands, but nothing of it reaches anybody.
  await jest.advanceTimersByTimeAsync(60_000);
  expect(open()).toHaveLength(1);
  expect(awake.states[0]).toBe(false);
  asleep.leave();
  awake.leave();
});

test('an error of the stream is told to every tab', async () => {
  const { open } = browser();
  const [one, two] = [tab(), tab()];
  await soon();
  open()[0]!.send('hello');
  open()[0]!.send('error');
  expect(one.states).toEqual([false]);
  expect(two.states).toEqual([false]);
  open()[0]!.send('here');
  expect(two.states).toEqual([false, true]);
  one.leave();
  two.leave();
});
