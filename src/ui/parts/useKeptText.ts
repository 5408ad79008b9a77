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

/** What was typed into some fields of a form and not yet sent: read, kept, forgotten; see `useKeptText`. */
export const keptTexts = {
  async read(form: string): Promise<Readonly<Record<string, string>>> {
    const kept = keptForm(form);
    await kept.loaded;
    return kept.texts;
  },
  keep(form: string, field: string, text: string): void {
    const kept = keptForm(form);
    kept.texts[field] = text;
    kept.keeper.keep(kept.texts);
  },
  forget(form: string, field: string): void {
    const kept = keptForm(form);
    delete kept.texts[field];
    if (Object.keys(kept.texts).length === 0) void kept.keeper.drop();
    else kept.keeper.keep(kept.texts);
  },
};

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
    void keptTexts.read(form).then(({ [field]: was }) => {
      if (here && was !== undefined) setText(was);
    });
    return () => {
      here = false;
    };
  }, [form, field]);
  const change = useCallback(
    (next: string) => {
      keptTexts.keep(form, field, next);
      setText(next);
    },
    [form, field],
  );
  const drop = useCallback(() => keptTexts.forget(form, field), [form, field]);
  return [text, change, drop];
}
