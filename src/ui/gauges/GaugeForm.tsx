'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef, useState, type DragEvent, type ReactNode, type SyntheticEvent } from 'react';
import { isAsked, type Field, type Fields, type FileField, type RawValues } from '@/core/gauges/fields';
import { readField } from '@/core/gauges/readFields';
import { shownIn, unitFor, withUnit, type UnitSystem } from '@/core/units/unitSystem';
import { RowsGrid } from './RowsGrid';
import { longText } from '../parts/longText';

interface Props {
  fields: Fields;
  typed: RawValues;
  units: UnitSystem;
  /** What is wrong, by field; shown once something is typed there or a field is named by the answer. */
  problems: ReadonlyMap<string, string>;
  /** Words that a field is likely to hold, by its name. */
  offers?: Readonly<Record<string, readonly string[]>>;
  onType: (name: string, value: string) => void;
  /** Somebody is at this field now. */
  onAt?: (name: string) => void;
}

const NONE: readonly string[] = [];
/** Questions that choose between ways of asking stand first, as a row of keys. */
const LEADING = new Set(['asks', 'sort', 'run']);

const isRare = (field: Field) => 'rare' in field && field.rare === true;
const textOf = (value: unknown) => String(value ?? '').trim();

/** The fields of a gauge, made from their specification; each shows how it was read. What few know is folded away. */
export function GaugeForm({ fields, typed, units, problems, offers = {}, onType, onAt }: Props) {
  const asked = Object.entries(fields).filter(([, f]) => isAsked(f, typed));
  const row = ([name, field]: [string, Field]) => (
    <Box
      key={name}
      data-field={name}
      onFocus={() => onAt?.(name)}
      sx={{ gridColumn: LEADING.has(name) || field.sort === 'rows' || field.sort === 'file' ? '1 / -1' : 'auto' }}
    >
      <GaugeField
        name={name}
        field={field}
        value={String(typed[name] ?? '')}
        units={units}
        problem={problems.get(name)}
        offers={offers[name] ?? NONE}
        onType={(v) => onType(name, v)}
      />
    </Box>
  );
  const rare = asked.filter(([, f]) => isRare(f));
  // What is typed there and wrong is never out of sight; nor is what another gauge has filled in.
  const isWanted = rare.some(
    ([name, f]) => problems.has(name) || ('optional' in f && f.optional && textOf(typed[name]) !== ''),
  );
  return (
    <Box
      component="form"
      aria-label="What was measured"
      onSubmit={(e) => e.preventDefault()}
      sx={{ display: 'grid', gap: 1.25 }}
    >
      <Box sx={GRID}>{asked.filter(([, f]) => !isRare(f)).map(row)}</Box>
      {rare.length > 0 && (
        <Folded told={inShort(rare, typed, units)} isWanted={isWanted}>
          <Box sx={GRID}>{rare.map(row)}</Box>
        </Folded>
      )}
    </Box>
  );
}

const GRID = { display: 'grid', gap: 1.25, gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', alignItems: 'start' };

/** What stands folded away, with its values, so that nobody need open it to know what is reckoned with. */
function inShort(rare: [string, Field][], typed: RawValues, units: UnitSystem): string {
  return rare
    .map(([name, field]) => {
      const value = textOf(typed[name]);
      if (value === '') return field.label.toLowerCase();
      if (field.sort === 'rows') return `${field.label.toLowerCase()}, ${value.split('\n').length} lines`;
      const unit = field.sort === 'quantity' ? (field.unit ?? unitFor(field.quantity, units)) : '';
      return `${field.label.toLowerCase()} ${value}${/^[\d.,]+$/.test(value) && unit ? ` ${unit}` : ''}`;
    })
    .join(', ');
}

function Folded({ told, isWanted, children }: { told: string; isWanted: boolean; children: ReactNode }) {
  const [isOpened, setIsOpened] = useState(false);
  return (
    <Box
      component="details"
      open={isOpened || isWanted}
      onToggle={(e: SyntheticEvent<HTMLDetailsElement>) => setIsOpened(e.currentTarget.open)}
      sx={{ '& summary': { cursor: 'pointer', minHeight: 36, mb: 1 } }}
    >
      <Typography component="summary" variant="body2">
        <Box component="span" sx={{ fontWeight: 600 }}>
          More:
        </Box>{' '}
        {told}
      </Typography>
      {children}
    </Box>
  );
}

function GaugeField({
  name,
  field,
  value,
  units,
  problem,
  offers,
  onType,
}: {
  name: string;
  field: Field;
  value: string;
  units: UnitSystem;
  problem: string | undefined;
  offers: readonly string[];
  onType: (value: string) => void;
}) {
  if (field.sort === 'file') return <FileDrop field={field} loaded={value} problem={problem} onText={onType} />;
  if (field.sort === 'rows' && field.grid !== undefined)
    return (
      <RowsGrid
        field={field}
        value={value}
        units={units}
        problem={value === '' ? undefined : problem}
        onType={onType}
      />
    );
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
  const list = offers.length > 0 ? `offers-${name}` : undefined;
  const shown = value.trim() !== '' || problem?.startsWith('Needed') === false ? problem : undefined;
  const html = { autoComplete: 'off', spellCheck: false, ...(list ? { list } : {}) };
  const text = (
    <TextField
      select={field.sort === 'choice'}
      label={labelOf(field, units)}
      value={value}
      title={bothWays(field, value, units)}
      onChange={(e) => onType(e.target.value)}
      error={Boolean(shown) && value !== ''}
      helperText={
        shown ??
        readAs(field, value, units) ??
        field.hint ??
        ('optional' in field && field.optional && value === '' ? 'if known' : undefined)
      }
      {...(field.sort === 'rows' ? longText(field.maxRows > 12 ? 4 : 3, html) : { slotProps: { htmlInput: html } })}
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
  if (!list) return text;
  return (
    <>
      {text}
      <datalist id={list}>
        {offers.map((o) => (
          <option key={o} value={o} />
        ))}
      </datalist>
    </>
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
