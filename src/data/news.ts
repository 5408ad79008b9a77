import pg from 'pg';

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

interface Link {
  listeners: Set<Listener>;
  client: pg.Client | null;
  connecting: boolean;
}

const held = globalThis as { gritkeeperNews?: Link };

function link(): Link {
  held.gritkeeperNews ??= { listeners: new Set(), client: null, connecting: false };
  return held.gritkeeperNews;
}

/**
 * Hears of every change that is committed in this database, by whichever server (LISTEN/NOTIFY). One connection per
 * process, kept while somebody listens; when it breaks it is made again and everybody is told that anything may have changed.
 * @returns what stops the hearing
 */
export function listen(onNews: (news: News) => void): () => void {
  const shared = link();
  const me = { onNews };
  shared.listeners.add(me);
  void connect(shared);
  return () => {
    shared.listeners.delete(me);
    if (shared.listeners.size === 0) void shared.client?.end();
  };
}

function tell(shared: Link, news: News): void {
  for (const l of shared.listeners) l.onNews(news);
}

async function connect(shared: Link): Promise<void> {
  if (shared.client || shared.connecting || shared.listeners.size === 0) return;
  shared.connecting = true;
  const client = new pg.Client({ connectionString: process.env.DATABASE_URL, application_name: 'gritkeeper news' });
  let pulse: ReturnType<typeof setInterval> | undefined;
  const lost = () => {
    clearInterval(pulse);
    if (shared.client === client) shared.client = null;
    shared.connecting = false;
    if (shared.listeners.size > 0) setTimeout(() => void connect(shared), RETRY_MS).unref();
  };
  client.on('error', lost);
  client.on('end', lost);
  client.on('notification', ({ payload }) => tell(shared, JSON.parse(payload ?? '{}') as News));
  try {
    await client.connect();
    await client.query(`listen ${CHANNEL}`);
  } catch {
    // Neither 'end' nor 'error' is certain to come when the first connection fails.
    client.removeAllListeners();
    client.on('error', () => {});
    return lost();
  }
  shared.client = client;
  shared.connecting = false;
  pulse = setInterval(() => void client.query('select 1').catch(lost), PULSE_MS);
  pulse.unref();
  tell(shared, { machine: null, job: null });
  if (shared.listeners.size === 0) void client.end();
}
