'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { ambiguity } from '@/core/units/units';
import { draftKeeper } from '../parts/draftKeeper';
import { Notice } from '../parts/Notice';
import type { Refusal } from '../parts/post';
import { readNumber } from '../parts/readNumber';
import { pressSender } from '../parts/sendOnce';
import { Words } from '../parts/Words';
import { BothVersions } from './BothVersions';
import { dtoResolver, errorsAt, isAt, type FieldTrouble, type Values } from '../forms/dtoResolver';
import type { EditField, EditSheetProps } from './sheet';
import { differences, merged } from './mergeEdits';
import { SheetField } from './SheetField';

/** The form of a sheet. */
export function EditForm(props: EditSheetProps<unknown>) {
  const { title, fields, values: initial, url, draft: draftName, onDone, onClose } = props;
  const [base, setBase] = useState({ values: initial, version: props.version });
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [theirs, setTheirs] = useState<{ values: Values; version: number } | null>(null);
  const [chosen, setChosen] = useState<Record<string, 'mine' | 'theirs'>>({});
  const [inDoubt, setInDoubt] = useState(false);
  const [restored, setRestored] = useState(false);
  const [draft] = useState(() => (draftName ? draftKeeper(draftName) : null));
  const [press] = useState(pressSender);
  const sentOf = (typed: Values, version: number | undefined) => ({
    ...(props.body ? props.body(typed) : typed),
    ...(version === undefined ? {} : { version }),
  });
  const { control, handleSubmit, getValues, reset, setError, subscribe, formState } = useForm<Values>({
    defaultValues: initial,
    resolver: dtoResolver(
      props.dto,
      (typed) => ({ ...sentOf(typed, base.version), key: crypto.randomUUID() }),
      (typed) => unreadNumbers(fields, typed),
    ),
  });
  const { errors, isSubmitting: busy } = formState;

  useEffect(() => {
    let here = true;
    void restore();
    async function restore() {
      const kept = (await draft?.restore()) as { values?: Values } | null | undefined;
      // What was typed meanwhile is newer.
      if (!here || !kept?.values || JSON.stringify(getValues()) !== JSON.stringify(initial)) return;
      reset({ ...initial, ...kept.values }, { keepDefaultValues: true });
      setRestored(true);
    }
    return () => {
      here = false;
    };
    // Once: what the card is later is laid beside what is typed, not under it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);
  useEffect(
    () =>
      subscribe({
        formState: { values: true },
        callback({ values, type }) {
          if (type === 'change') draft?.keep({ values });
        },
      }),
    [subscribe, draft],
  );

  const save = async (typed: Values, version: number | undefined) => {
    setRefusal(null);
    await draft?.settle();
    const answer = await press<unknown>(url, sentOf(typed, version), setInDoubt);
    if (answer.ok) {
      await draft?.drop();
      onDone(answer.value);
      return;
    }
    const told = errorsAt(
      fields.map((f) => f.name),
      answer.refusal.fields,
    );
    for (const { name } of fields) if (told[name]) setError(name, told[name] as { type: string; message: string });
    setRefusal(answer.refusal);
    if (answer.refusal.status !== 409 || !answer.refusal.current) return;
    if (props.current) {
      setTheirs(props.current(answer.refusal.current));
      setChosen({});
    } else {
      // There is nothing to lay side by side (a merge, a passphrase): saving again goes to the card as it is now.
      const { version: now } = answer.refusal.current as { version: number };
      setBase((b) => ({ ...b, version: now }));
    }
  };
  const saveBoth = async (seen: { values: Values; version: number }) => {
    const both = merged(base.values, getValues(), seen.values, chosen);
    reset(both, { keepDefaultValues: true });
    setBase(seen);
    setTheirs(null);
    await save(both, seen.version);
  };
  const isMoved = refusal?.status === 409 && refusal.current !== undefined && !props.current;
  const elsewhere = (refusal?.fields ?? []).filter((f) => !fields.some((x) => isAt(f.field, x.name)));
  const mine = getValues();

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="sheet-title">
      <Box
        component="form"
        noValidate
        onSubmit={(e) => {
          void handleSubmit((typed) => (theirs ? saveBoth(theirs) : save(typed, base.version)))(e);
        }}
        sx={{ p: 2.5, display: 'grid', gap: 1.5 }}
      >
        <Words size="h2" id="sheet-title">
          {title}
        </Words>
        {restored && (
          <Words as="div" tone="soft">
            What you had typed is back.{' '}
            <Button
              size="small"
              variant="text"
              color="inherit"
              onClick={() => {
                void draft?.drop();
                reset(base.values);
                setRestored(false);
              }}
            >
              Start afresh
            </Button>
          </Words>
        )}
        {(refusal || errors.root) && (
          <Notice live title={refusal?.title ?? 'Some of it cannot be used as typed.'}>
            {isMoved && (
              <Words>
                What you typed is still here. If it still holds, press the button again: it goes to the card as it is
                now.
              </Words>
            )}
            {errors.root?.message && <Words>{errors.root.message}</Words>}
            {elsewhere.map((f) => (
              <Words key={f.field}>{f.message}</Words>
            ))}
          </Notice>
        )}
        {theirs ? (
          <BothVersions
            fields={fields}
            rows={differences(base.values, mine, theirs.values)}
            chosen={(field) =>
              chosen[field] ?? (JSON.stringify(mine[field]) === JSON.stringify(base.values[field]) ? 'theirs' : 'mine')
            }
            onChoose={(field, whose) => setChosen({ ...chosen, [field]: whose })}
          />
        ) : (
          <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(6, 1fr)' }}>
            {fields.map((f, i) => (
              <Box key={f.name} sx={{ gridColumn: { xs: '1 / -1', sm: `span ${f.span ?? 6}` } }}>
                <Controller
                  name={f.name}
                  control={control}
                  render={({ field, fieldState }) => (
                    <SheetField
                      field={f}
                      value={field.value}
                      problem={fieldState.error?.message}
                      first={i === 0}
                      onChange={field.onChange}
                      inputRef={field.ref}
                    />
                  )}
                />
              </Box>
            ))}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          <Button type="submit" variant="contained" disabled={busy}>
            {inDoubt
              ? 'Asking whether it was saved …'
              : busy
                ? 'Saving …'
                : theirs
                  ? 'Save both together'
                  : (props.saveLabel ?? 'Save')}
          </Button>
          <Button onClick={onClose}>{draft ? 'Close, keep what is typed' : 'Close'}</Button>
        </Box>
      </Box>
    </Dialog>
  );
}

/** Numbers that are none: told at their field, never taken for nothing. */
function unreadNumbers(fields: EditField[], values: Values): FieldTrouble[] {
  return fields
    .filter((f) => f.sort === 'number' && readNumber(String(values[f.name] ?? '')) === undefined)
    .map((f) => ({
      field: f.name,
      message: ambiguity('number', String(values[f.name])) ?? 'A number, such as 12 or 12.5.',
    }));
}
