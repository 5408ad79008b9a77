import { send } from './post';

/** Keeps what is typed into one form: in this browser at once, on the server soon. It belongs to the person who typed it. */
export interface DraftKeeper {
  keep(content: object): void;
  /** What was kept, here or on the server; null when nothing. */
  restore(): Promise<unknown>;
  /** Stops keeping and waits for what is on its way, so that nothing kept overtakes what is sent now. */
  settle(): Promise<void>;
  /** Forgets it, here and on the server. */
  drop(): Promise<void>;
}

/** A copy in this browser. */
interface LocalCopy {
  content: unknown;
  /** The server's copy that it was typed over (its instant); null when there was none. */
  over: string | null;
  /** The server has it. */
  isSent: boolean;
  /** When it was typed, by this device. */
  typedAt: string;
}

/** The server's copy, with the instant at which it was kept there. */
interface ServerCopy {
  content: unknown;
  at: string | null;
}

const SOON_MS = 700;
/** A server that does not answer so long is not waited for: what is here is shown. */
const PATIENCE_MS = 4000;
const PREFIX = 'draft';

/** Whose drafts these are: the page says who is signed in. Without anybody nothing of this browser is read or kept. */
function owner(): string | null {
  return document.querySelector<HTMLElement>('[data-person]')?.dataset.person ?? null;
}

const waiting = new Set<() => Promise<void>>();

export function draftKeeper(form: string): DraftKeeper {
  const url = `/api/v1/drafts/${form}`;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let onItsWay: Promise<unknown> = Promise.resolve();
  const place = () => {
    const who = owner();
    return who === null ? null : `${PREFIX}:${who}:${form}`;
  };
  const readLocal = (): LocalCopy | null => {
    const at = place();
    const text = at === null ? null : window.localStorage.getItem(at);
    return text === null ? null : (JSON.parse(text) as LocalCopy);
  };
  const writeLocal = (copy: LocalCopy) => {
    const at = place();
    if (at !== null) window.localStorage.setItem(at, JSON.stringify(copy));
  };
  const put = async () => {
    waiting.delete(flush);
    const copy = readLocal();
    if (!copy || copy.isSent) return;
    const sent = await send<{ at: string }>('PUT', url, { content: copy.content });
    if (!sent.ok) return;
    const now = readLocal();
    // What was typed meanwhile is over this copy, and is sent by its own turn.
    if (now) writeLocal({ ...now, over: sent.value.at, isSent: now.typedAt === copy.typedAt });
  };
  const flush = async () => {
    clearTimeout(timer);
    await (onItsWay = onItsWay.then(put));
  };
  const later = () => {
    clearTimeout(timer);
    waiting.add(flush);
    timer = setTimeout(() => void flush(), SOON_MS);
  };
  const settle = async () => {
    clearTimeout(timer);
    waiting.delete(flush);
    await onItsWay;
  };
  return {
    keep(content) {
      writeLocal({ content, over: readLocal()?.over ?? null, isSent: false, typedAt: new Date().toISOString() });
      later();
    },
    async restore() {
      const response = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
      const server = response?.ok ? ((await response.json()) as ServerCopy) : null;
      // Read after the wait: what was typed meanwhile is here, and newer than anything.
      const local = readLocal();
      const isOurs = local !== null && isNewer(local, server);
      // What the server has not got yet is on its way again.
      if (isOurs && !local.isSent) later();
      if (isOurs || !server) return local?.content ?? null;
      if (server.content === null) forgetHere(place());
      else writeLocal({ content: server.content, over: server.at, isSent: true, typedAt: server.at ?? '' });
      return server.content;
    },
    settle,
    async drop() {
      forgetHere(place());
      await settle();
      await send('DELETE', url);
    },
  };
}

/**
 * Whether the copy in this browser was typed last. One that the server has is no newer than the server's own; one that it does
 * not have is, if it was typed over what the server has now, and else (typed on two devices at once) if its own clock says so.
 */
function isNewer(local: LocalCopy, server: ServerCopy | null): boolean {
  if (!server) return true;
  if (local.isSent) return false;
  return local.over === server.at || server.at === null || server.at <= local.typedAt;
}

function forgetHere(at: string | null): void {
  if (at !== null) window.localStorage.removeItem(at);
}

/**
 * Before somebody signs out: what is still to be sent goes to the server, then nothing of theirs stays in this browser. What
 * could not be sent stays, under their name.
 */
export async function leaveDrafts(): Promise<void> {
  await Promise.all([...waiting].map((flush) => flush()));
  const mine = `${PREFIX}:${owner()}:`;
  for (const name of Object.keys(window.localStorage).filter((k) => k.startsWith(mine))) {
    const copy = JSON.parse(window.localStorage.getItem(name)!) as LocalCopy;
    if (copy.isSent) window.localStorage.removeItem(name);
  }
}
