'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { useForm, useWatch, type FieldErrors } from 'react-hook-form';
import type { Visit } from '@/shop/jobView/dto';
import type { MachineListView } from '@/shop/machines/dto';
import { troublesOf, type FieldTrouble } from '../forms/dtoResolver';
import { draftKeeper } from '../parts/draftKeeper';
import type { Refusal } from '../parts/post';
import { pressSender } from '../parts/sendOnce';
import { readNumber } from '../parts/readNumber';

export interface ModelChoice {
  id: number;
  maker: string;
  name: string;
  kind: string;
  warrantyMonths: number;
  addedStations: { line: string; after: string; id: string; label: string }[];
  droppedStations: string[];
}

/** What stands in the form, as typed. */
export interface TakeInValues {
  machine: MachineListView | null;
  isNew: boolean;
  modelId: string;
  /** A model that is in no list, as its plate says. */
  isNewModel: boolean;
  newMaker: string;
  newName: string;
  newKind: string;
  newVolts: string;
  serial: string;
  madeYear: string;
  purchasedOn: string;
  hoursPerWeek: string;
  pets: boolean;
  customer: { id: number; name: string; phone: string; standing: string } | null;
  /** Which of the customer's sites it stands at; empty for none. */
  siteId: string;
  isNewCustomer: boolean;
  name: string;
  phone: string;
  email: string;
  address: string;
  standing: string;
  business: boolean;
  words: string;
  complaints: string[];
  visit: Visit;
  guess: string;
  pickedUp: string;
  everWet: 'not-asked' | 'no' | 'yes' | 'unknown';
  openedBefore: boolean;
  openedBy: string;
  signs: string[];
  accessories: string[];
  marks: { station: string; text: string }[];
  photographs: number[];
  meterHours: string;
  warrantyChoice: 'none' | 'repair-here' | 'authorised';
  promisedOn: string;
}

export const EMPTY: TakeInValues = {
  machine: null,
  isNew: false,
  modelId: '',
  isNewModel: false,
  newMaker: '',
  newName: '',
  newKind: '',
  newVolts: '',
  serial: '',
  madeYear: '',
  purchasedOn: '',
  hoursPerWeek: '1.5',
  pets: false,
  customer: null,
  siteId: '',
  isNewCustomer: false,
  name: '',
  phone: '',
  email: '',
  address: '',
  standing: '',
  business: false,
  words: '',
  complaints: [],
  visit: '',
  guess: '',
  pickedUp: '',
  everWet: 'not-asked',
  openedBefore: false,
  openedBy: '',
  signs: [],
  accessories: [],
  marks: [],
  photographs: [],
  meterHours: '',
  warrantyChoice: 'none',
  promisedOn: '',
};

/** The key is chosen when it is sent; the form is judged without it. */
const ANY_KEY = '00000000-0000-4000-8000-000000000000';

const judge = async () => (await import('@/shop/takeIn/dto')).TakeInDto;

/** Where the server names a field otherwise than the form does. */
const FIELDS: Partial<Record<keyof TakeInValues, string>> = {
  machine: 'machineId',
  isNew: 'machineId',
  modelId: 'newMachine.modelId',
  isNewModel: 'newMachine.modelId',
  newMaker: 'newMachine.newModel.maker',
  newName: 'newMachine.newModel.name',
  newKind: 'newMachine.newModel.kind',
  newVolts: 'newMachine.newModel.mainsV',
  serial: 'newMachine.serial',
  madeYear: 'newMachine.madeYear',
  purchasedOn: 'newMachine.purchasedOn',
  hoursPerWeek: 'newMachine.hoursPerWeek',
  customer: 'customerId',
  siteId: 'newMachine.siteId',
  isNewCustomer: 'customerId',
  name: 'newCustomer.name',
  phone: 'newCustomer.phone',
  email: 'newCustomer.email',
  address: 'newCustomer.address',
  standing: 'newCustomer.standing',
  guess: 'customerDiagnosis',
  signs: 'arrivalSigns',
  // A reason for the visit is what was missing.
  visit: 'complaints',
};

type Change = Partial<TakeInValues> | ((now: TakeInValues) => Partial<TakeInValues>);

type Name = keyof TakeInValues;
const NAMES = Object.keys(EMPTY) as Name[];
/** The server's name of a field. */
const sentAs = (name: Name): string => FIELDS[name] ?? name;
/** Where what is wrong with a member of what is sent is kept: at the first field that makes it. */
const keptAt = (member: string): Name | undefined =>
  NAMES.find((name) => sentAs(name) === member) ??
  NAMES.find((name) => member.startsWith(`${sentAs(name)}[`) || member.startsWith(`${sentAs(name)}.`));

/** What is wrong, each at its field. */
function errorsOf(found: readonly FieldTrouble[]): FieldErrors<TakeInValues> {
  const errors: Partial<Record<Name, { type: string; message: string }>> = {};
  for (const { field, message } of found) {
    const at = keptAt(field);
    if (at) errors[at] ??= { type: 'dto', message };
  }
  return errors as FieldErrors<TakeInValues>;
}

/** The take-in form: kept as a draft with every keystroke, checked by the server's own class, sent once. */
export function useTakeIn(initial: TakeInValues, onDone: (job: number, tag: string) => void) {
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const [inDoubt, setInDoubt] = useState(false);
  const [restored, setRestored] = useState(false);
  const [asked, setAsked] = useState(0);
  const [press] = useState(pressSender);
  const [draft] = useState(() => draftKeeper('take-in'));
  const touched = useRef(false);
  const { control, formState, getValues, setValue, setError, clearErrors, reset, handleSubmit } = useForm<TakeInValues>(
    {
      defaultValues: initial,
      shouldFocusError: false,
      resolver: async (typed) => {
        const found = [...missing(typed), ...(await troublesOf(judge, { ...toBody(typed), key: ANY_KEY }))];
        return found.length === 0 ? { values: typed, errors: {} } : { values: {}, errors: errorsOf(found) };
      },
    },
  );
  const { errors } = formState;
  const values = useWatch({ control }) as TakeInValues;

  useEffect(() => {
    let current = true;
    void restore();
    async function restore() {
      const kept = (await draft.restore()) as Partial<TakeInValues> | null;
      if (!current || kept === null || touched.current) return;
      const v = getValues();
      reset({ ...v, ...kept, machine: v.machine ?? kept.machine ?? null, promisedOn: v.promisedOn });
      setRestored(true);
    }
    return () => {
      current = false;
    };
  }, [draft, getValues, reset]);

  // From the latest values, not from those of the last picture: a photograph arrives while somebody types.
  const set = useCallback(
    (change: Change) => {
      const made = typeof change === 'function' ? change(getValues()) : change;
      for (const [name, value] of Object.entries(made)) setValue(name as Name, value);
      touched.current = true;
      draft.keep(getValues());
      // What was wrong with a field is no longer known once it is changed.
      for (const name of Object.keys(made) as Name[]) clearErrors(keptAt(sentAs(name)) ?? name);
    },
    [draft, getValues, setValue, clearErrors],
  );

  const go = handleSubmit(
    async (typed) => {
      await draft.settle();
      const sent = await press<{ job: number; tag: string }>('/api/v1/jobs', toBody(typed), setInDoubt);
      if (sent.ok) {
        await draft.drop();
        onDone(sent.value.job, sent.value.tag);
        return;
      }
      setBusy(false);
      setRefusal(sent.refusal);
      for (const [name, error] of Object.entries(errorsOf(sent.refusal.fields)))
        setError(name as Name, error as { type: string; message: string });
      setAsked((n) => n + 1);
    },
    () => {
      setBusy(false);
      setAsked((n) => n + 1);
    },
  );

  return {
    values,
    busy,
    /** The answer was lost, and the server is being asked whether the machine is in. */
    inDoubt,
    refusal,
    /** How often something was left to answer: each time its place is shown. */
    asked,
    restored,
    set,
    toggle(list: 'complaints' | 'signs' | 'accessories', id: string) {
      set((now) => ({ [list]: now[list].includes(id) ? now[list].filter((x) => x !== id) : [...now[list], id] }));
    },
    /** What is wrong with a member of what is sent. */
    fieldProblem: (member: string): string | undefined => errors[keptAt(member)!]?.message,
    clear() {
      void draft.drop();
      reset({ ...initial });
      setRestored(false);
    },
    async send() {
      if (busy) return;
      // From the press on: the judge is fetched the first time, and a second press meanwhile is none.
      setBusy(true);
      setRefusal(null);
      await go();
    },
  };
}

export type TakeInForm = ReturnType<typeof useTakeIn>;

function number(typed: string): number | undefined {
  const read = readNumber(typed);
  // What is no number stays none: the class that checks the form says so at its field.
  return read === null ? undefined : (read ?? NaN);
}

function toBody(v: TakeInValues) {
  const stranger = !v.machine && v.isNew;
  return {
    ...(v.machine ? { machineId: v.machine.id } : {}),
    ...(stranger
      ? {
          newMachine: {
            ...(v.isNewModel
              ? {
                  newModel: {
                    maker: v.newMaker.trim(),
                    name: v.newName.trim(),
                    kind: v.newKind,
                    ...(v.newVolts.trim() ? { mainsV: number(v.newVolts) } : {}),
                  },
                }
              : { modelId: number(v.modelId) }),
            serial: v.serial,
            madeYear: number(v.madeYear),
            ...(v.customer && v.siteId ? { siteId: Number(v.siteId) } : {}),
            ...(v.purchasedOn ? { purchasedOn: v.purchasedOn } : {}),
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
                  email: v.email,
                  address: v.address,
                  standing: v.standing,
                },
              }
            : {}),
        }
      : {}),
    words: v.words,
    complaints: v.complaints,
    visit: v.visit,
    ...(v.guess ? { customerDiagnosis: v.guess } : {}),
    pickedUp: v.pickedUp,
    everWet: v.everWet,
    openedBefore: v.openedBefore,
    openedBy: v.openedBefore ? v.openedBy : '',
    arrivalSigns: v.signs,
    accessories: v.accessories,
    marks: v.marks,
    photographs: v.photographs,
    ...(v.meterHours.trim() ? { meterHours: number(v.meterHours) } : {}),
    warrantyChoice: v.warrantyChoice,
    promisedOn: v.promisedOn,
  };
}

/** What only the form knows to be missing. */
function missing(v: TakeInValues): FieldTrouble[] {
  return [
    ...(!v.machine && !v.isNew ? [{ field: 'machineId', message: 'Which machine? Find it, or add it as new.' }] : []),
    ...(v.isNew && !v.machine && !v.customer && !v.isNewCustomer
      ? [{ field: 'customerId', message: 'Whose is it? Find them, or add them as new.' }]
      : []),
  ];
}
