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
    const local = window.localStorage.getItem(form);
    if (local !== null) return setText(local);
    let current = true;
    fetch(`/api/v1/drafts/${form}`)
      .then((r) => (r.ok ? r.json() : null))
      .then((answer: { content: { text?: string } | null } | null) => {
        if (current && typeof answer?.content?.text === 'string') setText(answer.content.text);
      })
      .catch(() => undefined); // Not reached: the field starts from what the page came with.
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
