'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { send } from './post';

/**
 * A text that survives reload, sign-out and a lost connection: kept in this browser at once and on the server soon.
 * @returns the text, its setter, and what drops the kept copy after it was sent
 */
export function useKeptText(form: string, initial: string): [string, (text: string) => void, () => void] {
  const [text, setText] = useState(initial);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => {
    let current = true;
    void restore();
    async function restore() {
      const kept = window.localStorage.getItem(form) ?? (await keptOnServer(form));
      if (current && kept !== null) setText(kept);
    }
    return () => {
      current = false;
    };
  }, [form]);
  const change = useCallback(
    (next: string) => {
      setText(next);
      window.localStorage.setItem(form, next);
      if (timer.current) clearTimeout(timer.current);
      timer.current = setTimeout(() => void send('PUT', `/api/v1/drafts/${form}`, { content: { text: next } }), 600);
    },
    [form],
  );
  const drop = useCallback(() => {
    if (timer.current) clearTimeout(timer.current);
    window.localStorage.removeItem(form);
    void send('DELETE', `/api/v1/drafts/${form}`);
  }, [form]);
  return [text, change, drop];
}

/** What the server kept of a form's text; null when nothing, or when it is not reached. */
async function keptOnServer(form: string): Promise<string | null> {
  const response = await fetch(`/api/v1/drafts/${form}`).catch(() => null);
  if (!response?.ok) return null;
  const { content } = (await response.json()) as { content: { text?: string } | null };
  return content?.text ?? null;
}
