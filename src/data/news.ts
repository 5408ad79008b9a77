import pg from 'pg';
import { databaseUrl } from '../environment';

/** What a change in the database concerns; both null when the link was lost and came back: anything may have changed. */
export interface News {
  machine: number | null;
  job: number | null;
}

interface Listener {
  onNews: (news: News) => void;
}

const CHANNEL = 'shop';
const RETRY_MS = 1000;
/** The link is asked now and then whether it is still there: a cut cable says nothing by itself. */
const PULSE_MS = 15_000;

/** How long what was heard is kept for one who comes later. A page older than this must look anew. */
const MEMORY_MS = 60_000;

/** One link per process: only the streams of events listen. `client` is there from the first attempt on. */
const shared: {
  listeners: Set<Listener>;
  client: pg.Client | null;
  /** Since when nothing was missed; null while the link does not stand. */
  heardSince: number | null;
  heard: { at: number; news: News }[];
} = { listeners: new Set(), client: null, heardSince: null, heard: [] };

/**
 * Hears of every change that is committed in this database, by whichever server (LISTEN/NOTIFY). One connection per
 * process, kept while somebody listens; when it breaks it is made again and everybody is told that anything may have changed.
 * @param ageMs how old is what the listener knows: what happened since is told as well, at once
 * @returns what stops the hearing
 */
export function listen(onNews: (news: News) => void, ageMs = 0): () => void {
  const me = { onNews };
  for (const news of heardWithin(ageMs)) onNews(news);
  shared.listeners.add(me);
  void connect();
  return () => {
    shared.listeners.delete(me);
    if (shared.listeners.size > 0) return;
    // Let go at once: who listens next makes a link of their own and does not wait for this one's end.
    void shared.client?.end();
    forget();
  };
}

function tell(news: News): void {
  const now = Date.now();
  shared.heard = [...shared.heard.filter((h) => h.at > now - MEMORY_MS), { at: now, news }];
  for (const l of shared.listeners) l.onNews(news);
}

/** Nothing while the link is being made: then everybody is told that anything may have changed. */
function heardWithin(ageMs: number): News[] {
  if (shared.heardSince === null) return [];
  const since = Date.now() - ageMs;
  if (since < shared.heardSince || ageMs > MEMORY_MS) return [{ machine: null, job: null }];
  return shared.heard.filter((h) => h.at >= since).map((h) => h.news);
}

function forget(): void {
  shared.client = null;
  shared.heardSince = null;
  shared.heard = [];
}

async function connect(): Promise<void> {
  if (shared.client || shared.listeners.size === 0) return;
  const client = new pg.Client({ connectionString: databaseUrl(), application_name: 'gritkeeper news' });
  shared.client = client;
  const link: { pulse?: ReturnType<typeof setInterval> } = {};
  const lost = () => {
    clearInterval(link.pulse);
    // Another link stands already, or nobody listens any more.
    if (shared.client !== client) return;
    forget();
    setTimeout(() => void connect(), RETRY_MS).unref();
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', ({ payload }) => tell(JSON.parse(payload ?? '{}') as News));
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
  } catch {
    // Neither 'end' nor 'error' is certain to come when the first connection fails.
    return lost();
  }
  if (shared.client !== client) return;
  link.pulse = setInterval(() => void client.query('select 1').catch(lost), PULSE_MS);
  link.pulse.unref();
  shared.heardSince = Date.now();
  tell({ machine: null, job: null });
}
