'use client';

import { useCallback, useEffect, useState } from 'react';
import { draftKeeper, type DraftKeeper } from './draftKeeper';

/** All texts of one form that were typed and not yet sent; one draft holds them together. */
interface KeptForm {
  texts: Record<string, string>;
  keeper: DraftKeeper;
  loaded: Promise<void>;
}

const forms = new Map<string, KeptForm>();

function keptForm(form: string): KeptForm {
  const known = forms.get(form);
  if (known) return known;
  const keeper = draftKeeper(form);
  const made: KeptForm = { texts: {}, keeper, loaded: Promise.resolve() };
  made.loaded = keeper.restore().then((kept) => {
    // What was typed while it was on its way is newer.
    made.texts = { ...(kept as Record<string, string> | null), ...made.texts };
  });
  forms.set(form, made);
  return made;
}

/**
 * A text that survives reload, sign-out and a lost connection.
 * @param form the form that it belongs to, such as `job-12`
 * @returns the text, its setter, and what forgets it after it was sent
 */
export function useKeptText(
  form: string,
  field: string,
  initial: string,
): [string, (text: string) => void, () => void] {
  const [text, setText] = useState(initial);
  useEffect(() => {
    let here = true;
    const kept = keptForm(form);
    void kept.loaded.then(() => {
      const was = kept.texts[field];
      if (here && was !== undefined) setText(was);
    });
    return () => {
      here = false;
    };
  }, [form, field]);
  const change = useCallback(
    (next: string) => {
      const kept = keptForm(form);
      kept.texts[field] = next;
      kept.keeper.keep(kept.texts);
      setText(next);
    },
    [form, field],
  );
  const drop = useCallback(() => {
    const kept = keptForm(form);
    delete kept.texts[field];
    if (Object.keys(kept.texts).length === 0) void kept.keeper.drop();
    else kept.keeper.keep(kept.texts);
  }, [form, field]);
  return [text, change, drop];
}
