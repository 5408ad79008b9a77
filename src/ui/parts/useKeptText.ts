'use client';

import { useCallback, useEffect, useState } from 'react';
import { draftKeeper } from './draftKeeper';

/**
 * A text that survives reload, sign-out and a lost connection.
 * @returns the text, its setter, and what drops the kept copy after it was sent
 */
export function useKeptText(form: string, initial: string): [string, (text: string) => void, () => void] {
  const [text, setText] = useState(initial);
  const [draft] = useState(() => draftKeeper(form));
  useEffect(() => {
    let current = true;
    void restore();
    async function restore() {
      const kept = (await draft.restore()) as { text?: string } | null;
      if (current && typeof kept?.text === 'string') setText(kept.text);
    }
    return () => {
      current = false;
    };
  }, [draft]);
  const change = useCallback(
    (next: string) => {
      setText(next);
      draft.keep({ text: next });
    },
    [draft],
  );
  const drop = useCallback(() => void draft.drop(), [draft]);
  return [text, change, drop];
}
