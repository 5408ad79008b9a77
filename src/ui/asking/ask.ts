/** An answer that is none: the status, 0 when nobody was reached. */
export class NoAnswer extends Error {
  constructor(readonly status: number) {
    super(status === 0 ? 'The server does not answer.' : `The server answered ${status}.`);
  }
}

/**
 * Reads from the shop, as JSON. A session that has ended leads to a whole new page, on purpose: nothing of it stays in memory.
 * @throws NoAnswer for whatever is not an answer; an abort as it is
 */
export async function ask<T>(url: string, signal?: AbortSignal, init: RequestInit = {}): Promise<T> {
  const response = await fetch(url, { ...init, ...(signal ? { signal } : {}) }).catch((error: unknown) => {
    if (signal?.aborted) throw error;
    return null;
  });
  if (response?.status === 401) window.location.reload();
  if (!response?.ok) throw new NoAnswer(response?.status ?? 0);
  return (await response.json()) as T;
}
