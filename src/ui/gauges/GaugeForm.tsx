'use client';

import { useRef, useState, type DragEvent, type ReactNode } from 'react';
import { isAsked, type Field, type Fields, type FileField, type RawValues } from '@/core/gauges/fields';
import { readField } from '@/core/gauges/readFields';
import { shownIn, unitFor, withUnit, type UnitSystem } from '@/core/units/unitSystem';
import { PlainChoice } from '../parts/PlainChoice';
import { PlainField } from '../parts/PlainField';
import { Press } from '../parts/Press';
import { Ways } from '../parts/Ways';
import { Words } from '../parts/Words';
import styles from './gauge.module.css';
import { RowsGrid } from './RowsGrid';

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
    <div
      key={name}
      data-field={name}
      onFocus={() => onAt?.(name)}
      className={LEADING.has(name) || field.sort === 'rows' || field.sort === 'file' ? styles.wide : undefined}
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
    </div>
  );
  const rare = asked.filter(([, f]) => isRare(f));
  // What is typed there and wrong is never out of sight; nor is what another gauge has filled in.
  const isWanted = rare.some(
    ([name, f]) => problems.has(name) || ('optional' in f && f.optional && textOf(typed[name]) !== ''),
  );
  return (
    <form aria-label="What was measured" onSubmit={(e) => e.preventDefault()} className={styles.form}>
      <div className={styles.fields}>{asked.filter(([, f]) => !isRare(f)).map(row)}</div>
      {rare.length > 0 && (
        <Folded told={inShort(rare, typed, units)} isWanted={isWanted}>
          <div className={styles.fields}>{rare.map(row)}</div>
        </Folded>
      )}
    </form>
  );
}

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
    <details open={isOpened || isWanted} onToggle={(e) => setIsOpened(e.currentTarget.open)} className={styles.folded}>
      <Words as="summary">
        <Words as="span" weight="strong">
          More:
        </Words>{' '}
        {told}
      </Words>
      {children}
    </details>
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
    return <Ways label={field.label} ways={field.options} value={value} onChoose={(id) => id !== null && onType(id)} />;
  const shown = value.trim() !== '' || problem?.startsWith('Needed') === false ? problem : undefined;
  const isWrong = Boolean(shown) && value !== '';
  const told =
    shown ??
    readAs(field, value, units) ??
    field.hint ??
    ('optional' in field && field.optional && value === '' ? 'if known' : undefined);
  const same = { label: labelOf(field, units), value, wrong: isWrong ? shown! : null, help: told };
  if (field.sort === 'choice') return <PlainChoice {...same} options={field.options} onChoose={onType} />;
  const list = offers.length > 0 ? `offers-${name}` : undefined;
  return (
    <>
      <PlainField
        {...same}
        title={bothWays(field, value, units)}
        list={list}
        spellCheck={false}
        onChange={(e) => onType(e.target.value)}
        {...(field.sort === 'rows' ? { lines: field.maxRows > 12 ? 4 : 3 } : {})}
      />
      {list && (
        <datalist id={list}>
          {offers.map((o) => (
            <option key={o} value={o} />
          ))}
        </datalist>
      )}
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
    <div
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      data-over={over ? '' : undefined}
      className={styles.drop}
    >
      <Press small onClick={() => input.current?.click()}>
        {field.label} …
      </Press>
      <input
        ref={input}
        hidden
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        onChange={(e) => void take(e.target.files?.[0])}
      />
      <Words role="status">
        {said ?? ''} {loaded === '' && 'Drop it here, or choose it.'}
      </Words>
    </div>
  );
}
