import { database } from '@/data/database';
import { listen } from '@/data/news';
import { sessionStands } from '@/data/people';
import { closing } from './closing';

const HEART_MS = 10_000;
/** A stream ends after this and the browser opens another: a session that has ended hears nothing more. */
const LONGEST_MS = 10 * 60_000;

/**
 * Changes of the shop as server-sent events (HTML Living Standard, section 9.2) until the reader leaves.
 * @param of.ageMs how old the reader's page is: what changed since it was drawn is told first
 * @param of.session ends with it: who has signed out, or was locked out, hears nothing more
 */
export function liveEvents(
  left: AbortSignal,
  { ageMs = 0, session, heartMs = HEART_MS }: { ageMs?: number; session?: number; heartMs?: number } = {},
): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  let stop = () => {};
  let cancelled = false;
  return new ReadableStream({
    start(controller) {
      const write = (text: string) => controller.enqueue(encoder.encode(text));
      write('retry: 1000\nevent: hello\ndata: {}\n\n');
      const silence = listen((news) => write(`event: change\ndata: ${JSON.stringify(news)}\n\n`), ageMs);
      // An event and no comment: the browser shows comments to nobody, and a cut cable says nothing by itself.
      const heart = setInterval(() => {
        if (session !== undefined) void stillIn(session).then((isIn) => isIn || stop());
        write('event: here\ndata: {}\n\n');
      }, heartMs);
      const end = setTimeout(() => stop(), LONGEST_MS);
      let open = true;
      stop = () => {
        if (!open) return;
        open = false;
        left.removeEventListener('abort', stop);
        closing().signal.removeEventListener('abort', stop);
        silence();
        clearInterval(heart);
        clearTimeout(end);
        // A reader that has left cancelled the stream: it is closed already.
        if (!cancelled) controller.close();
      };
      left.addEventListener('abort', stop);
      closing().signal.addEventListener('abort', stop);
    },
    cancel() {
      cancelled = true;
      stop();
    },
  });
}

/** A database that is away says nothing of anybody: the stream stays, and ends by its own time. */
async function stillIn(session: number): Promise<boolean> {
  try {
    return await sessionStands(database(), session);
  } catch {
    return true;
  }
}
