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
  /** A tab begins to listen whose page was drawn before: what happened since (ms, this machine's clock)? */
  | { say: 'new'; tab: string; since: number }
  /** What that tab missed. */
  | { say: 'missed'; tab: string; jobs: (number | null)[] }
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

/** What was heard is kept as long for a tab that comes later; an older page looks anew. */
const MEMORY_MS = 60_000;

const listeners = new Set<Listener>();
/** What is shown was drawn then at the earliest (ms): a page takes its time until it listens. */
let drawnAt = performance.timeOrigin;
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
    drawnAt = Date.now();
  };
}

function openLine(): () => void {
  const channel = new BroadcastChannel(NAME);
  const closed = new AbortController();
  let heardAt = Date.now();
  let source: EventSource | null = null;
  let wasLost = false;
  const me = crypto.randomUUID();
  /** Since when nothing was missed here, and what was heard. */
  let heardSince = Infinity;
  let heard: { at: number; job: number | null }[] = [];

  const change = (job: number | null) => {
    const now = Date.now();
    heard = [...heard.filter((h) => h.at > now - MEMORY_MS), { at: now, job }];
    tell((l) => l.onChange(job));
  };
  /** To a tab that came later, from the one that holds the line. */
  const remind = (tab: string, since: number) => {
    // Without a line here another answers; while it is being opened everybody will be told that there was a gap.
    if (!source || heardSince === Infinity) return;
    const jobs =
      since < heardSince || since < Date.now() - MEMORY_MS
        ? [null]
        : heard.filter((h) => h.at >= since).map((h) => h.job);
    if (jobs.length > 0) channel.postMessage({ say: 'missed', tab, jobs } satisfies Word);
  };
  const hear = (word: Word) => {
    if (word.say === 'lost') {
      wasLost = true;
      return tell((l) => l.onState(false));
    }
    if (word.say === 'new') return remind(word.tab, word.since);
    if (word.say === 'missed') {
      if (word.tab === me) word.jobs.forEach((job) => tell((l) => l.onChange(job)));
      return;
    }
    heardAt = Date.now();
    if (wasLost) tell((l) => l.onState(true));
    wasLost = false;
    if (word.say === 'gap') change(null);
    // What happened to a machine outside a job is nothing that an open job shows.
    if (word.say === 'change') change(word.job !== null || word.machine === null ? word.job : -1);
  };
  const say = (word: Word) => {
    channel.postMessage(word);
    hear(word);
  };
  channel.onmessage = ({ data }: MessageEvent<Word>) => hear(data);

  const listen = (isFirst: boolean) => {
    let greeted = isFirst;
    source?.close();
    // The server tells what happened since this page was drawn.
    source = new EventSource(isFirst ? `/api/v1/live?age=${Math.ceil(Date.now() - drawnAt)}` : '/api/v1/live');
    source.addEventListener('hello', () => {
      heardSince = Math.min(heardSince, isFirst ? drawnAt : Date.now());
      // After the first greeting nothing is missing here; for the other tabs, and later for this one, there was a gap.
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
  else {
    channel.postMessage({ say: 'new', tab: me, since: drawnAt } satisfies Word);
    void lead({ signal: closed.signal });
  }

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
