'use client';

import { useEffect, useState } from 'react';
import { useForm, type DefaultValues, type Path, type PathValue, type UseFormReturn } from 'react-hook-form';
import { dtoResolver, errorsAt, type DtoClass, type FieldTrouble, type Values } from '../forms/dtoResolver';
import { keptTexts } from '../parts/useKeptText';
import type { JobDesk } from './useJob';

interface Wanted<V extends Values> {
  desk: JobDesk;
  deed: string;
  /** What the server reads of it: the same class judges here before anything is sent. */
  dto: () => Promise<DtoClass>;
  start: V;
  /** What is sent, from what is typed. */
  body?: (values: V) => Record<string, unknown>;
  /** What is wrong with the typing itself. */
  unread?: (values: V) => FieldTrouble[];
  /** The field that shows what is wrong with a member of what is sent; its own name when absent. */
  fieldOf?: (member: string, values: V) => string;
  /** Texts that survive a reload until they are sent: by field, the name under which they are kept with the job. */
  kept?: Partial<Record<keyof V & string, string>>;
  onDone?: () => void;
}

/** A small form whose content is one deed of the job. */
export function useDeedForm<V extends Values>(wanted: Wanted<V>): UseFormReturn<V> & { submit: () => void } {
  const { desk, deed, dto, body = (v: V) => v, unread, fieldOf } = wanted;
  const { id, version } = desk.job;
  const draft = `job-${id}`;
  const [kept] = useState(() => Object.entries(wanted.kept ?? {}) as [Path<V>, string][]);
  const form = useForm<V>({
    defaultValues: wanted.start as DefaultValues<V>,
    resolver: dtoResolver<V>(
      dto,
      (values) => ({ ...body(values), version, key: crypto.randomUUID() }),
      unread,
      fieldOf,
    ),
  });
  const { setValue, subscribe, setError, handleSubmit, getValues } = form;
  useEffect(() => {
    let here = true;
    void keptTexts.read(draft).then((texts) => {
      for (const [field, name] of kept)
        // What was typed meanwhile is in it already.
        if (here && texts[name] !== undefined) setValue(field, texts[name] as PathValue<V, Path<V>>);
    });
    const leave = subscribe({
      formState: { values: true },
      callback({ name, values, type }) {
        const of = kept.find(([field]) => field === name);
        if (type === 'change' && of) keptTexts.keep(draft, of[1], String(values[of[0]]));
      },
    });
    return () => {
      here = false;
      leave();
    };
  }, [draft, kept, setValue, subscribe]);
  // A refusal of the desk is this form's while its own press was the last.
  const [place] = useState({ fieldOf });
  const [isOurs, setOurs] = useState(false);
  const { refusal } = desk;
  useEffect(() => {
    if (!refusal || !isOurs) return;
    const values = getValues();
    const told = errorsAt(Object.keys(values), refusal.fields, (member) => place.fieldOf?.(member, values));
    for (const [name, error] of Object.entries(told))
      if (name !== 'root') setError(name as Path<V>, error as { type: string; message: string });
  }, [refusal, isOurs, place, setError, getValues]);
  const submit = handleSubmit(async (values) => {
    setOurs(true);
    const done = await desk.act(deed, body(values));
    if (!done) return;
    setOurs(false);
    for (const [, name] of kept) keptTexts.forget(draft, name);
    wanted.onDone?.();
  });
  return { ...form, submit: () => void submit() };
}
