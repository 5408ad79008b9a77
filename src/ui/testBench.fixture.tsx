import { ThemeProvider } from '@mui/material/styles';
import { configure, fireEvent, render, type RenderResult } from '@testing-library/react';
import { notifyManager } from '@tanstack/react-query';
import type { ReactElement, ReactNode } from 'react';
import { Asking } from './asking/Asking';
import { makeTheme } from './theme/theme';

const theme = makeTheme();

// How long something takes is no test: on a slow machine it is waited for nearly as long as the test itself may last.
configure({ asyncUtilTimeout: 200_000 });
// What was read is shown within the same act.
notifyManager.setScheduler(queueMicrotask);

/** What jsdom does not have and the screens ask for: sizes that change, requests, a person at the keyboard. */
export function furnishBrowser(): { sent: { method: string; url: string; body: unknown }[]; answer: Answerer } {
  const sent: { method: string; url: string; body: unknown }[] = [];
  const answer: Answerer = { with: () => ({ content: null, at: null }) };
  class Observer {
    observe() {}
    unobserve() {}
    disconnect() {}
  }
  Object.assign(globalThis, {
    ResizeObserver: Observer,
    EventSource: class {
      addEventListener() {}
      close() {}
    },
    BroadcastChannel: class {
      postMessage() {}
      close() {}
    },
    fetch: async (url: string, init: RequestInit = {}) => {
      const method = init.method ?? 'GET';
      sent.push({ method, url, body: typeof init.body === 'string' ? JSON.parse(init.body) : null });
      // Asked after an answer that was lost: nothing was done, unless a test says otherwise.
      const body = url.startsWith('/api/v1/deeds/') ? { done: false } : await answer.with(method, url);
      // What is read of an answer, as plain as it can be: this browser has no requests of its own.
      const refusal = (body as { status?: number } | null)?.status;
      return {
        ok: refusal === undefined,
        status: refusal ?? 200,
        json: async () => body,
        text: async () => JSON.stringify(body),
      };
    },
  });
  Object.defineProperty(window, 'matchMedia', {
    configurable: true,
    // At a bench somebody points: a day is typed and not chosen by thumb.
    value: (query: string) => ({
      matches: query.includes('pointer: fine'),
      addEventListener() {},
      removeEventListener() {},
      addListener() {},
      removeListener() {},
    }),
  });
  document.body.dataset.person = '7';
  return { sent, answer };
}

/** What the server answers: the body; one with a `status` is a refusal. */
export interface Answerer {
  with: (method: string, url: string) => unknown;
}

/** What stands around every screen of the shop: the theme, and what was read. */
export function Around({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <Asking>{children}</Asking>
    </ThemeProvider>
  );
}

/** A screen as it stands in the shop: with the theme around it. */
export function stand(screen: ReactElement): RenderResult {
  return render(screen, { wrapper: Around });
}

/** The field of a day, by its label: what it holds as ISO 8601, and typing another. */
export function dayField(label: string, within: HTMLElement = document.body) {
  const group = () => {
    const found = [...within.querySelectorAll<HTMLElement>('[role="group"]')].find(
      (g) => (g.getAttribute('aria-label') ?? labelOf(g)) === label,
    );
    if (!found) throw new Error(`There is no day called ${label}.`);
    return found;
  };
  const input = () => group().parentElement!.querySelector('input')!;
  return {
    get value() {
      return input().value;
    },
    type: (day: string) => fireEvent.change(input(), { target: { value: day } }),
  };
}

function labelOf(group: HTMLElement): string | null {
  const id = group.getAttribute('aria-labelledby');
  return id === null ? null : (document.getElementById(id)?.textContent ?? null);
}
