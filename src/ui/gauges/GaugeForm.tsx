'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef, useState, type DragEvent } from 'react';
import { isAsked, type Field, type Fields, type FileField, type RawValues } from '@/core/gauges/fields';
import { readField } from '@/core/gauges/readFields';
import { shownIn, unitFor, withUnit, type UnitSystem } from '@/core/units/unitSystem';

interface Props {
  fields: Fields;
  typed: RawValues;
  units: UnitSystem;
  /** What is wrong, by field; shown once something is typed there or a field is named by the answer. */
  problems: ReadonlyMap<string, string>;
  onType: (name: string, value: string) => void;
}

/** Questions that choose between ways of asking stand first, as a row of keys. */
const LEADING = new Set(['asks', 'sort', 'run']);

/** The fields of a gauge, made from their specification; each shows how it was read. */
export function GaugeForm({ fields, typed, units, problems, onType }: Props) {
  const asked = Object.entries(fields).filter(([, f]) => isAsked(f, typed));
  return (
    <Box
      component="form"
      aria-label="What was measured"
      onSubmit={(e) => e.preventDefault()}
      sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', alignItems: 'start' }}
    >
      {asked.map(([name, field]) => (
        <Box
          key={name}
          sx={{ gridColumn: LEADING.has(name) || field.sort === 'rows' || field.sort === 'file' ? '1 / -1' : 'auto' }}
        >
          <GaugeField
            name={name}
            field={field}
            value={String(typed[name] ?? '')}
            units={units}
            problem={problems.get(name)}
            onType={(v) => onType(name, v)}
          />
        </Box>
      ))}
    </Box>
  );
}

function GaugeField({
  name,
  field,
  value,
  units,
  problem,
  onType,
}: {
  name: string;
  field: Field;
  value: string;
  units: UnitSystem;
  problem: string | undefined;
  onType: (value: string) => void;
}) {
  if (field.sort === 'file') return <FileDrop field={field} loaded={value} problem={problem} onText={onType} />;
  if (field.sort === 'choice' && LEADING.has(name))
    return (
      <ToggleButtonGroup
        exclusive
        size="small"
        value={value}
        aria-label={field.label}
        onChange={(_, v: string | null) => v !== null && onType(v)}
        sx={{ flexWrap: 'wrap' }}
      >
        {field.options.map((o) => (
          <ToggleButton key={o.id} value={o.id}>
            {o.label}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    );
  const shown = value.trim() !== '' || problem?.startsWith('Needed') === false ? problem : undefined;
  return (
    <TextField
      select={field.sort === 'choice'}
      label={labelOf(field, units)}
      value={value}
      title={bothWays(field, value, units)}
      onChange={(e) => onType(e.target.value)}
      multiline={field.sort === 'rows'}
      minRows={field.sort === 'rows' ? (field.maxRows > 12 ? 4 : 3) : undefined}
      error={Boolean(shown) && value !== ''}
      helperText={
        shown ??
        readAs(field, value, units) ??
        field.hint ??
        ('optional' in field && field.optional && value === '' ? 'if known' : undefined)
      }
      slotProps={{ htmlInput: { autoComplete: 'off', spellCheck: false } }}
    >
      {field.sort === 'choice'
        ? field.options.map((o) => (
            <MenuItem key={o.id} value={o.id}>
              {o.label}
            </MenuItem>
          ))
        : undefined}
    </TextField>
  );
}

function labelOf(field: Field, units: UnitSystem): string {
  const unit = field.sort === 'quantity' ? (field.unit ?? unitFor(field.quantity, units)) : '';
  return `${field.label}${unit ? `, ${unit}` : ''}`;
}

/** What is typed in both systems, for the pointer. */
function bothWays(field: Field, value: string, units: UnitSystem): string | undefined {
  if (field.sort !== 'quantity') return undefined;
  const read = readField(field, field.unit ? value : withUnit(field.quantity, value, units));
  if (!read || !('value' in read)) return undefined;
  const [a, b] = (['metric', 'inch'] as const).map((s) => shownIn(field.quantity, read.value as number, s));
  return a === b ? a : `${a} = ${b}`;
}

/** How it was read, when that says more than what is typed. */
function readAs(field: Field, value: string, units: UnitSystem): string | null {
  if (value.trim() === '' || field.sort === 'choice') return null;
  const read = readField(
    field,
    field.sort === 'quantity' && !field.unit ? withUnit(field.quantity, value, units) : value,
  );
  return read && 'readAs' in read && read.readAs !== '' && read.readAs !== value.trim()
    ? `Read as ${read.readAs}`
    : null;
}

/** A file dropped or chosen; its text stays on this machine until the result is kept. */
function FileDrop({
  field,
  loaded,
  problem,
  onText,
}: {
  field: FileField;
  loaded: string;
  problem: string | undefined;
  onText: (text: string) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [name, setName] = useState('');
  const [over, setOver] = useState(false);
  const [trouble, setTrouble] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > field.maxLength) return setTrouble('The file is too long.');
    setTrouble('');
    setName(file.name);
    onText(await file.text());
  };
  const drop = (e: DragEvent) => {
    e.preventDefault();
    setOver(false);
    void take(e.dataTransfer.files[0]);
  };
  const said = trouble || (loaded === '' ? field.hint : (problem ?? `${name || 'A file'} is read.`));
  return (
    <Box
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      sx={{
        border: '2px dashed',
        borderColor: over ? 'bench.action' : 'bench.soft',
        bgcolor: over ? 'bench.well' : 'transparent',
        p: 1.5,
        display: 'flex',
        gap: 1.5,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Button size="small" onClick={() => input.current?.click()}>
        {field.label} …
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        onChange={(e) => void take(e.target.files?.[0])}
      />
      <Typography variant="body2" role="status" sx={{ flex: 1, minWidth: 120 }}>
        {said ?? ''} {loaded === '' && 'Drop it here, or choose it.'}
      </Typography>
    </Box>
  );
}
