/** A refusal or failure as the server told it; status 0 when it was not reached. */
export interface Refusal {
  status: number;
  title: string;
  fields: { field: string; message: string }[];
  current?: unknown;
  openJob?: number;
  /** Nobody knows whether it was done. */
  unknown?: boolean;
}

/** Sends one photograph; the answer is its number. */
export async function sendPhotograph(file: Blob): Promise<Posted<{ id: number; width: number; height: number }>> {
  return answered(() => fetch('/api/v1/photographs', { method: 'POST', body: file }));
}

/** Sends a file of rows. */
export async function sendFile<T>(url: string, file: Blob, stop: AbortSignal): Promise<Posted<T>> {
  return answered(() => fetch(url, { method: 'POST', body: file, signal: stop }));
}

export type Posted<T> = { ok: true; value: T } | { ok: false; refusal: Refusal };

/** Sends JSON and reads the answer, refusals included. A server that is not reached is a refusal with status 0. */
export async function send<T>(method: 'POST' | 'PUT' | 'DELETE', url: string, body?: unknown): Promise<Posted<T>> {
  return answered(() =>
    fetch(url, {
      method,
      headers: { 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    }),
  );
}

async function answered<T>(ask: () => Promise<Response>): Promise<Posted<T>> {
  let response: Response;
  try {
    response = await ask();
  } catch {
    const title = 'The server does not answer. What you typed is still here. Try again.';
    return { ok: false, refusal: { status: 0, title, fields: [] } };
  }
  const text = await response.text();
  const parsed: unknown = text === '' ? null : safeJson(text);
  if (response.ok) return { ok: true, value: parsed as T };
  const problem = (parsed ?? {}) as Partial<Refusal>;
  // A whole new page, on purpose: nothing of the ended session stays in memory.
  if (response.status === 401) window.location.href = `/sign-in?next=${encodeURIComponent(window.location.pathname)}`;
  return {
    ok: false,
    refusal: {
      ...problem,
      status: response.status,
      title: problem.title ?? 'The server failed.',
      fields: problem.fields ?? [],
    },
  };
}

function safeJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}
