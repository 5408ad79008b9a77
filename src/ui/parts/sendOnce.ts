import { send, type Posted, type Refusal } from './post';

/** Between one question and the next: a server that is started again is there within seconds. */
const WAITS_MS = [300, 700, 1500, 3000, 5000, 8000];
const PATIENCE_MS = 6000;

type Known = 'done' | 'not-done' | 'unknown';

/** Whether the answer may have been lost on its way: nothing came, or somebody spoke who may not know what was written. */
function isLost({ status }: Refusal): boolean {
  return status === 0 || status >= 500;
}

/**
 * Sends a deed under its key. When the answer is lost the server is asked by that key whether it was done, until it says so:
 * what was done is not sent as something new, and nothing is called unsaved that was saved. The same key may be sent again
 * after an answer that never came: it is done once.
 * @param onDoubt told while it is not known whether it was saved
 * @returns a refusal with `unknown` when nobody could be asked
 */
export async function sendOnce<T>(
  url: string,
  body: { key: string } & Record<string, unknown>,
  onDoubt: (inDoubt: boolean) => void = () => {},
): Promise<Posted<T>> {
  let sent = await send<T>('POST', url, body);
  try {
    while (!sent.ok && isLost(sent.refusal)) {
      onDoubt(true);
      const known = await fateOf(body.key);
      if (known === 'unknown') return { ok: false, refusal: UNKNOWN };
      if (known === 'not-done') return { ok: false, refusal: notDone(sent.refusal) };
      // Done: the same again is done once, and this time the answer comes.
      sent = await send<T>('POST', url, body);
    }
    return sent;
  } finally {
    onDoubt(false);
  }
}

/** What became of a press, by its key; asked for half a minute at most. */
export async function fateOf(key: string): Promise<Known> {
  for (const wait of WAITS_MS) {
    await new Promise((done) => setTimeout(done, wait));
    const response = await fetch(`/api/v1/deeds/${key}`, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(
      () => null,
    );
    if (!response?.ok) continue;
    const { done } = (await response.json().catch(() => ({}))) as { done?: boolean };
    if (done !== undefined) return done ? 'done' : 'not-done';
  }
  return 'unknown';
}

export const UNKNOWN: Refusal = {
  status: 0,
  unknown: true,
  title:
    'It is not known whether this was saved: the server does not answer. Press again when it does: it is done once.',
  fields: [],
};

function notDone(refusal: Refusal): Refusal {
  if (refusal.status !== 0) return refusal;
  return { ...refusal, title: 'The answer was lost on its way, and this was not saved. What you typed is still here.' };
}

/**
 * Sends what a form holds, press after press: the same content keeps its key until it has an answer, other content gets another.
 * While it is not known what became of the last press, that is asked first: what was done then is the answer, and nothing is
 * sent beside it.
 */
export function pressSender() {
  let last: { content: string; url: string; body: { key: string } & Record<string, unknown>; unknown: boolean } | null =
    null;
  return async <T>(url: string, body: object, onDoubt?: (inDoubt: boolean) => void): Promise<Posted<T>> => {
    const content = JSON.stringify([url, body]);
    if (last?.unknown && last.content !== content) {
      onDoubt?.(true);
      const known = await fateOf(last.body.key);
      onDoubt?.(false);
      if (known === 'unknown') return { ok: false, refusal: UNKNOWN };
      if (known === 'done') {
        const { url: sentTo, body: sent } = last;
        last = null;
        return sendOnce<T>(sentTo, sent, onDoubt);
      }
    }
    if (last?.content !== content) last = { content, url, body: { ...body, key: crypto.randomUUID() }, unknown: false };
    const sent = await sendOnce<T>(url, last.body, onDoubt);
    last.unknown = !sent.ok && sent.refusal.unknown === true;
    return sent;
  };
}
