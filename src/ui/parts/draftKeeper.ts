import { send } from './post';

/** Keeps what is typed into one form: in this browser at once, on the server soon. */
export interface DraftKeeper {
  keep(content: object): void;
  /** What was kept, here or on the server; null when nothing. */
  restore(): Promise<unknown>;
  /** Stops keeping and waits for what is on its way, so that nothing kept overtakes what is sent now. */
  settle(): Promise<void>;
  /** Forgets it, here and on the server. */
  drop(): Promise<void>;
}

const SOON_MS = 700;

export function draftKeeper(form: string): DraftKeeper {
  const url = `/api/v1/drafts/${form}`;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let onItsWay: Promise<unknown> = Promise.resolve();
  const settle = async () => {
    clearTimeout(timer);
    await onItsWay;
  };
  return {
    keep(content) {
      window.localStorage.setItem(form, JSON.stringify(content));
      clearTimeout(timer);
      timer = setTimeout(() => {
        onItsWay = onItsWay.then(() => send('PUT', url, { content }));
      }, SOON_MS);
    },
    async restore() {
      const local = window.localStorage.getItem(form);
      if (local !== null) return JSON.parse(local) as unknown;
      const response = await fetch(url).catch(() => null);
      return response?.ok ? ((await response.json()) as { content: unknown }).content : null;
    },
    settle,
    async drop() {
      window.localStorage.removeItem(form);
      await settle();
      await send('DELETE', url);
    },
  };
}
