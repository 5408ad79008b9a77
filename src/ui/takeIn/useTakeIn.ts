'use client';

import { plainToInstance } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { useEffect, useRef, useState } from 'react';
import type { MachineListView } from '@/shop/machines/dto';
import { TakeInDto } from '@/shop/takeIn/dto';
import { draftKeeper } from '../parts/draftKeeper';
import { send, type Refusal } from '../parts/post';

export interface ModelChoice {
  id: number;
  maker: string;
  name: string;
  kind: string;
}

/** What stands in the form, as typed. */
export interface TakeInValues {
  machine: MachineListView | null;
  isNew: boolean;
  modelId: string;
  serial: string;
  madeYear: string;
  hoursPerWeek: string;
  pets: boolean;
  customer: { id: number; name: string; phone: string } | null;
  isNewCustomer: boolean;
  name: string;
  phone: string;
  address: string;
  business: boolean;
  words: string;
  complaints: string[];
  guess: string;
  openedBefore: boolean;
  signs: string[];
  promisedOn: string;
}

export const EMPTY: TakeInValues = {
  machine: null,
  isNew: false,
  modelId: '',
  serial: '',
  madeYear: '',
  hoursPerWeek: '1.5',
  pets: false,
  customer: null,
  isNewCustomer: false,
  name: '',
  phone: '',
  address: '',
  business: false,
  words: '',
  complaints: [],
  guess: '',
  openedBefore: false,
  signs: [],
  promisedOn: '',
};

/** Where the server names a field otherwise than the form does. */
const FIELDS: Partial<Record<keyof TakeInValues, string>> = {
  machine: 'machineId',
  isNew: 'machineId',
  modelId: 'newMachine.modelId',
  serial: 'newMachine.serial',
  madeYear: 'newMachine.madeYear',
  hoursPerWeek: 'newMachine.hoursPerWeek',
  customer: 'customerId',
  isNewCustomer: 'customerId',
  name: 'newCustomer.name',
  phone: 'newCustomer.phone',
  address: 'newCustomer.address',
  guess: 'customerDiagnosis',
  signs: 'arrivalSigns',
};

/** The take-in form: kept as a draft with every keystroke, checked by the server's own class, sent once. */
export function useTakeIn(initial: TakeInValues, onDone: (job: number) => void) {
  const [values, setValues] = useState(initial);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [restored, setRestored] = useState(false);
  const key = useRef<{ content: string; key: string } | null>(null);
  const [draft] = useState(() => draftKeeper('take-in'));
  const touched = useRef(false);

  useEffect(() => {
    let current = true;
    void restore();
    async function restore() {
      const kept = (await draft.restore()) as Partial<TakeInValues> | null;
      if (!current || kept === null || touched.current) return;
      setValues((v) => ({ ...v, ...kept, machine: v.machine ?? kept.machine ?? null, promisedOn: v.promisedOn }));
      setRestored(true);
    }
    return () => {
      current = false;
    };
  }, [draft]);

  const set = (change: Partial<TakeInValues>) => {
    const next = { ...values, ...change };
    setValues(next);
    touched.current = true;
    draft.keep(next);
    // What was wrong with a field is no longer known once it is changed.
    const changed = Object.keys(change).map((k) => FIELDS[k as keyof TakeInValues] ?? k);
    setProblems((p) =>
      Object.fromEntries(Object.entries(p).filter(([field]) => !changed.some((c) => field.startsWith(c)))),
    );
  };

  return {
    values,
    busy,
    refusal,
    restored,
    set,
    toggle(list: 'complaints' | 'signs', id: string) {
      const has = values[list].includes(id);
      set({ [list]: has ? values[list].filter((x) => x !== id) : [...values[list], id] });
    },
    fieldProblem: (field: string): string | undefined =>
      problems[field] ?? Object.entries(problems).find(([name]) => name.startsWith(`${field}[`))?.[1],
    clear() {
      void draft.drop();
      setValues({ ...initial });
      setProblems({});
      setRestored(false);
    },
    async send() {
      if (busy) return;
      setRefusal(null);
      const body = toBody(values);
      const content = JSON.stringify(body);
      // Pressed twice, or again after a lost answer: the same key, one job.
      if (key.current?.content !== content) key.current = { content, key: crypto.randomUUID() };
      const dto = { ...body, key: key.current.key };
      const found = missing(values, await validate(plainToInstance(TakeInDto, dto)));
      setProblems(found);
      if (Object.keys(found).length > 0) return;
      setBusy(true);
      await draft.settle();
      const sent = await send<{ job: number }>('POST', '/api/v1/jobs', dto);
      if (sent.ok) {
        await draft.drop();
        onDone(sent.value.job);
        return;
      }
      setBusy(false);
      setRefusal(sent.refusal);
      setProblems(Object.fromEntries(sent.refusal.fields.map((f) => [f.field, f.message])));
    },
  };
}

function number(typed: string): number | undefined {
  return typed.trim() === '' ? undefined : Number(typed.replace(',', '.'));
}

function toBody(v: TakeInValues) {
  return {
    ...(v.machine ? { machineId: v.machine.id } : {}),
    ...(!v.machine && v.isNew
      ? {
          newMachine: {
            modelId: number(v.modelId),
            serial: v.serial,
            madeYear: number(v.madeYear),
            pets: v.pets,
            hoursPerWeek: number(v.hoursPerWeek),
          },
          ...(v.customer ? { customerId: v.customer.id } : {}),
          ...(!v.customer && v.isNewCustomer
            ? {
                newCustomer: {
                  name: v.name.trim(),
                  kind: v.business ? 'business' : 'household',
                  phone: v.phone,
                  email: '',
                  address: v.address,
                },
              }
            : {}),
        }
      : {}),
    words: v.words,
    complaints: v.complaints,
    ...(v.guess ? { customerDiagnosis: v.guess } : {}),
    openedBefore: v.openedBefore,
    arrivalSigns: v.signs,
    promisedOn: v.promisedOn,
  };
}

function missing(v: TakeInValues, errors: ValidationError[]): Record<string, string> {
  const found: Record<string, string> = {};
  const walk = (list: ValidationError[], parent: string) => {
    for (const e of list) {
      const field = parent ? `${parent}.${e.property}` : e.property;
      const first = Object.values(e.constraints ?? {})[0];
      if (first) found[field] = first;
      walk(e.children ?? [], field);
    }
  };
  walk(errors, '');
  if (!v.machine && !v.isNew) found.machineId = 'Which machine? Find it, or add it as new.';
  if (v.isNew && !v.machine && !v.customer && !v.isNewCustomer)
    found.customerId = 'Whose is it? Find them, or add them as new.';
  return found;
}
