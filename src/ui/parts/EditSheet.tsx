'use client';

import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { draftKeeper } from './draftKeeper';
import { DayField } from './DayField';
import { differences, merged, type Values } from './mergeEdits';
import { Notice } from './Notice';
import type { Refusal } from './post';
import { ambiguity } from '@/core/units/units';
import { pressSender } from './sendOnce';
import { readNumber } from './readNumber';

/** One field of a sheet; its value is text, a tick, lines of text, or several of its choices. */
export interface EditField {
  name: string;
  label: string;
  sort?: 'text' | 'long' | 'lines' | 'number' | 'date' | 'tick' | 'choice' | 'several' | 'secret';
  choices?: { value: string; label: string }[];
  help?: string;
  /** Share of a row of six; the whole row when absent. */
  span?: 1 | 2 | 3 | 4;
}

interface Props<View> {
  title: string;
  fields: EditField[];
  /** The card as it is now, as the fields show it. */
  values: Values;
  /** Version of the card; absent for something new. */
  version?: number;
  url: string;
  /** Name of the kept draft; absent for what must not be kept, such as a passphrase. */
  draft?: string;
  saveLabel?: string;
  /** What is sent, from what is typed. */
  body?: (values: Values) => object;
  /** The fields of the card as somebody else saved it, from the refusal. */
  current?: (card: unknown) => { values: Values; version: number };
  onDone: (answer: View) => void;
  onClose: () => void;
}

/** A card being corrected: kept as a draft, refused field by field, and merged when somebody saved meanwhile. */
export function EditSheet<View>(props: Props<View>) {
  const { title, fields, values: initial, url, draft: draftName, onDone, onClose } = props;
  const [base, setBase] = useState({ values: initial, version: props.version });
  const [values, setValues] = useState(initial);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [theirs, setTheirs] = useState<{ values: Values; version: number } | null>(null);
  const [chosen, setChosen] = useState<Record<string, 'mine' | 'theirs'>>({});
  const [busy, setBusy] = useState(false);
  const [inDoubt, setInDoubt] = useState(false);
  const [restored, setRestored] = useState(false);
  const [draft] = useState(() => (draftName ? draftKeeper(draftName) : null));
  const [press] = useState(pressSender);
  const touched = useRef(false);

  useEffect(() => {
    let here = true;
    void restore();
    async function restore() {
      const kept = (await draft?.restore()) as { values?: Values } | null | undefined;
      if (!here || !kept?.values || touched.current) return;
      setValues((v) => ({ ...v, ...kept.values }));
      setRestored(true);
    }
    return () => {
      here = false;
    };
  }, [draft]);

  const set = (name: string, value: unknown) => {
    touched.current = true;
    const next = { ...values, [name]: value };
    setValues(next);
    draft?.keep({ values: next });
    setRefusal((r) => r && { ...r, fields: r.fields.filter((f) => !isAt(f.field, name)) });
  };
  const save = async (sent: Values, version: number | undefined) => {
    if (busy) return;
    const unread = unreadNumbers(fields, sent);
    if (unread.length > 0)
      return setRefusal({ status: 400, title: 'Some of it cannot be used as typed.', fields: unread });
    setBusy(true);
    const body = { ...(props.body ? props.body(sent) : sent), ...(version === undefined ? {} : { version }) };
    await draft?.settle();
    const answer = await press<View>(url, body, setInDoubt);
    setBusy(false);
    if (answer.ok) {
      await draft?.drop();
      onDone(answer.value);
      return;
    }
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
  const isMoved = refusal?.status === 409 && refusal.current !== undefined && !props.current;
  const problem = (name: string) => refusal?.fields.find((f) => isAt(f.field, name))?.message;

  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="sheet-title">
      <Box
        component="form"
        noValidate
        onSubmit={(e) => {
          e.preventDefault();
          if (theirs) {
            const both = merged(base.values, values, theirs.values, chosen);
            setValues(both);
            setBase({ values: theirs.values, version: theirs.version });
            setTheirs(null);
            void save(both, theirs.version);
          } else void save(values, base.version);
        }}
        sx={{ p: 2.5, display: 'grid', gap: 1.5 }}
      >
        <Typography id="sheet-title" component="h2" variant="h2">
          {title}
        </Typography>
        {restored && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            What you had typed is back.{' '}
            <Button
              size="small"
              variant="text"
              color="inherit"
              onClick={() => {
                void draft?.drop();
                setValues(base.values);
                setRestored(false);
              }}
            >
              Start afresh
            </Button>
          </Typography>
        )}
        {refusal && (
          <Notice live title={refusal.title}>
            {isMoved && (
              <Typography variant="body2">
                What you typed is still here. If it still holds, press the button again: it goes to the card as it is
                now.
              </Typography>
            )}
            {refusal.fields
              .filter((f) => !fields.some((x) => isAt(f.field, x.name)))
              .map((f) => (
                <Typography key={f.field} variant="body2">
                  {f.message}
                </Typography>
              ))}
          </Notice>
        )}
        {theirs ? (
          <BothVersions
            fields={fields}
            rows={differences(base.values, values, theirs.values)}
            chosen={(field) =>
              chosen[field] ??
              (JSON.stringify(values[field]) === JSON.stringify(base.values[field]) ? 'theirs' : 'mine')
            }
            onChoose={(field, whose) => setChosen({ ...chosen, [field]: whose })}
          />
        ) : (
          <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(6, 1fr)' }}>
            {fields.map((f, i) => (
              <Box key={f.name} sx={{ gridColumn: { xs: '1 / -1', sm: `span ${f.span ?? 6}` } }}>
                <Field
                  field={f}
                  value={values[f.name]}
                  problem={problem(f.name)}
                  first={i === 0}
                  onChange={(v) => set(f.name, v)}
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

/** Whether a problem stands at a field: by its name, in a list or member of it, or as a member of something larger. */
const isAt = (problem: string, name: string) => problem.split(/[.[]/)[0] === name || problem.endsWith(`.${name}`);

/** Numbers that are none: told at their field, never taken for nothing. */
function unreadNumbers(fields: EditField[], values: Values): Refusal['fields'] {
  return fields
    .filter((f) => f.sort === 'number' && readNumber(String(values[f.name] ?? '')) === undefined)
    .map((f) => ({
      field: f.name,
      message: ambiguity('number', String(values[f.name])) ?? 'A number, such as 12 or 12.5.',
    }));
}

function Field({
  field,
  value,
  problem,
  first,
  onChange,
}: {
  field: EditField;
  value: unknown;
  problem: string | undefined;
  first: boolean;
  onChange: (value: unknown) => void;
}) {
  const { sort = 'text', label, choices, help } = field;
  if (sort === 'tick')
    return (
      <FormControlLabel
        control={<Checkbox checked={value === true} onChange={(e) => onChange(e.target.checked)} />}
        label={problem ? `${label} (${problem})` : label}
      />
    );
  if (sort === 'several') {
    const wordsOf = (id: string) => choices?.find((c) => c.value === id)?.label ?? id;
    return (
      <Autocomplete
        multiple
        options={(choices ?? []).map((c) => c.value)}
        value={value as string[]}
        onChange={(_, chosen) => onChange(chosen)}
        getOptionLabel={wordsOf}
        renderInput={(params) => (
          <TextField {...params} label={label} error={Boolean(problem)} helperText={problem ?? help} />
        )}
      />
    );
  }
  if (sort === 'date')
    return (
      <DayField
        label={label}
        day={String(value ?? '')}
        onDay={onChange}
        problem={problem}
        help={help}
        autoFocus={first}
      />
    );
  const lines = sort === 'lines';
  return (
    <TextField
      select={sort === 'choice'}
      label={label}
      type={sort === 'secret' ? 'password' : 'text'}
      autoFocus={first}
      autoComplete={sort === 'secret' ? 'new-password' : 'off'}
      multiline={sort === 'long' || lines}
      minRows={sort === 'long' || lines ? 2 : undefined}
      value={lines ? (value as string[]).join('\n') : String(value ?? '')}
      onChange={(e) => onChange(lines ? e.target.value.split('\n') : e.target.value)}
      error={Boolean(problem)}
      helperText={problem ?? help}
      slotProps={{ htmlInput: sort === 'number' ? { inputMode: 'decimal' } : {} }}
    >
      {choices?.map((c) => (
        <MenuItem key={c.value} value={c.value}>
          {c.label}
        </MenuItem>
      ))}
    </TextField>
  );
}

function BothVersions({
  fields,
  rows,
  chosen,
  onChoose,
}: {
  fields: EditField[];
  rows: ReturnType<typeof differences>;
  chosen: (field: string) => 'mine' | 'theirs';
  onChoose: (field: string, whose: 'mine' | 'theirs') => void;
}) {
  const words = (field: EditField | undefined, v: unknown) => {
    if (v === true) return 'yes';
    if (v === false) return 'no';
    if (Array.isArray(v))
      return v.map((x) => field?.choices?.find((c) => c.value === x)?.label ?? String(x)).join(', ') || 'empty';
    return field?.choices?.find((c) => c.value === v)?.label ?? (String(v ?? '') || 'empty');
  };
  if (rows.length === 0)
    return <Typography variant="body2">They saved the very same. Save again to take over from here.</Typography>;
  return (
    <Box
      component="table"
      aria-label="Both versions"
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        '& td, & th': {
          p: 0.75,
          textAlign: 'left',
          verticalAlign: 'top',
          borderBottom: '1px solid',
          borderColor: 'divider',
          fontSize: '0.95rem',
        },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Differs</th>
          <th scope="col">Yours</th>
          <th scope="col">Theirs, saved meanwhile</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => {
          const field = fields.find((f) => f.name === r.field);
          return (
            <tr key={r.field}>
              <th scope="row">
                {field?.label ?? r.field}
                {r.clash && (
                  <Typography variant="caption" sx={{ display: 'block', color: 'bench.brass', fontWeight: 600 }}>
                    both changed it
                  </Typography>
                )}
              </th>
              {(['mine', 'theirs'] as const).map((whose) => (
                <td key={whose}>
                  <label>
                    <input
                      type="radio"
                      name={`both-${r.field}`}
                      checked={chosen(r.field) === whose}
                      onChange={() => onChoose(r.field, whose)}
                    />{' '}
                    {words(field, r[whose])}
                  </label>
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </Box>
  );
}
