/**
 * The line to the shop: one stream of events per browser, however many tabs are open. The tab that holds the lock listens to
 * the server and tells the others; when it closes, or falls asleep, another takes over.
 */

/** What is told from tab to tab. */
type Word =
  | { say: 'change'; job: number | null; machine: number | null }
  /** The line stands; told at least every ten seconds. */
  | { say: 'here' }
  /** There was a gap in which anything may have happened. */
  | { say: 'gap' }
  | { say: 'lost' };

export interface Listener {
  /** Something changed: in this job, outside of jobs (-1), or perhaps anywhere (null). */
  onChange(job: number | null): void;
  onState(live: boolean): void;
}

/** The server is heard every ten seconds at least; after this long a silence the line is dead. */
const SILENCE_MS = 25_000;
const WATCH_MS = 5000;
const NAME = 'gritkeeper-live';

const listeners = new Set<Listener>();
let close: (() => void) | null = null;

/** Hears what happens in the shop until the answer is called. */
export function listenToShop(listener: Listener): () => void {
  listeners.add(listener);
  close ??= openLine();
  return () => {
    listeners.delete(listener);
    if (listeners.size > 0) return;
    close?.();
    close = null;
  };
}

function openLine(): () => void {
  const channel = new BroadcastChannel(NAME);
  const closed = new AbortController();
  let heardAt = Date.now();
  let source: EventSource | null = null;
  let wasLost = false;

  const hear = (word: Word) => {
    if (word.say === 'lost') {
      wasLost = true;
      return tell((l) => l.onState(false));
    }
    heardAt = Date.now();
    if (wasLost) tell((l) => l.onState(true));
    wasLost = false;
    if (word.say === 'gap') tell((l) => l.onChange(null));
    // What happened to a machine outside a job is nothing that an open job shows.
    if (word.say === 'change') tell((l) => l.onChange(word.job !== null || word.machine === null ? word.job : -1));
  };
  const say = (word: Word) => {
    channel.postMessage(word);
    hear(word);
  };
  channel.onmessage = ({ data }: MessageEvent<Word>) => hear(data);

  const listen = (isFirst: boolean) => {
    let greeted = isFirst;
    source?.close();
    source = new EventSource('/api/v1/live');
    source.addEventListener('hello', () => {
      // The first greeting comes with a fresh page; for the other tabs, and after it for this one, there was a gap.
      if (greeted) {
        channel.postMessage({ say: 'gap' } satisfies Word);
        hear({ say: 'here' });
      } else say({ say: 'gap' });
      greeted = false;
    });
    source.addEventListener('here', () => say({ say: 'here' }));
    source.addEventListener('change', (event) =>
      say({ say: 'change', ...(JSON.parse((event as MessageEvent<string>).data) as { job: null; machine: null }) }),
    );
    source.addEventListener('error', () => say({ say: 'lost' }));
  };
  const hush = () => {
    source?.close();
    source = null;
  };

  const opened = Date.now();
  /** Holds the lock and listens until the tab leaves, or another tab takes the lock away. */
  const lead = (how: LockOptions) =>
    navigator.locks
      .request(NAME, how, async () => {
        listen(Date.now() - opened < WATCH_MS);
        await new Promise((done) => closed.signal.addEventListener('abort', done));
      })
      // Both ends of a lock are rejections: taken away by another tab, or no longer asked for. What follows is below.
      .catch(() => undefined)
      .finally(() => {
        hush();
        // Taken away: this tab waits for its turn again, after a pause, so that nothing can turn on the spot.
        if (!closed.signal.aborted)
          setTimeout(() => !closed.signal.aborted && void lead({ signal: closed.signal }), WATCH_MS);
      });
  // Without locks (a page that is not served securely) every tab has a stream of its own.
  const alone = !('locks' in navigator);
  if (alone) listen(true);
  else void lead({ signal: closed.signal });

  const watch = setInterval(() => {
    if (Date.now() - heardAt < SILENCE_MS) return;
    heardAt = Date.now();
    hear({ say: 'lost' });
    if (source) listen(false);
    // The tab that led is asleep.
    else if (!alone) void lead({ steal: true });
  }, WATCH_MS);
  const offline = () => hear({ say: 'lost' });
  const online = () => source && listen(false);
  window.addEventListener('offline', offline);
  window.addEventListener('online', online);
  return () => {
    closed.abort();
    clearInterval(watch);
    window.removeEventListener('offline', offline);
    window.removeEventListener('online', online);
    hush();
    channel.close();
  };
}

function tell(what: (listener: Listener) => void): void {
  for (const l of listeners) what(l);
}
