'use client';

import { useRef, type ClipboardEvent, type KeyboardEvent } from 'react';
import type { Column, RowsField } from '@/core/gauges/fields';
import { unitFor, type UnitSystem } from '@/core/units/unitSystem';
import { Press } from '../parts/Press';
import { classes, Words } from '../parts/Words';
import styles from './gauge.module.css';

interface Props {
  field: RowsField;
  /** A line for each row, its cells between semicolons: the same text that a program sends. */
  value: string;
  units: UnitSystem;
  problem: string | undefined;
  onType: (value: string) => void;
}

const isNumber = (column: Column) => column.is !== 'text' && column.is !== 'date' && column.is !== 'clock';
const isEmpty = (cell: string) => cell.trim() === '';

/** The cells of a text, as many in each row as there are columns; blanks stay as they are typed. */
function cellsOf(text: string, columns: number): string[][] {
  return text
    .split('\n')
    .filter((line) => !isEmpty(line))
    .map((line) => {
      const cells = line.split(';').map((cell, i) => (i > 0 && cell.startsWith(' ') ? cell.slice(1) : cell));
      return Array.from({ length: columns }, (_, i) => cells[i] ?? '');
    });
}

/** Rows in which anything stands, as text; cells left empty at the end of a line are left out. */
function textOf(rows: string[][]): string {
  return rows
    .filter((cells) => !cells.every(isEmpty))
    .map((cells) => cells.slice(0, cells.findLastIndex((cell) => !isEmpty(cell)) + 1).join('; '))
    .join('\n');
}

/** Readings of several columns as a table of cells with their units at the head; a pasted table fills it. */
export function RowsGrid({ field, value, units, problem, onType }: Props) {
  const table = useRef<HTMLTableElement>(null);
  const columns = Object.entries(field.columns);
  const typed = cellsOf(value, columns.length);
  // One empty row waits for the next.
  const rows = typed.length < field.maxRows ? [...typed, columns.map(() => '')] : typed;
  const set = (row: number, column: number, cell: string) => {
    const next = rows.map((cells, i) => (i === row ? cells.map((c, k) => (k === column ? cell : c)) : cells));
    onType(textOf(next));
  };
  const paste = (e: ClipboardEvent, row: number, column: number) => {
    const lines = e.clipboardData.getData('text').replace(/\r/g, '').split('\n');
    if (lines.length < 2 && !/[\t;]/.test(lines[0] ?? '')) return;
    e.preventDefault();
    const next = rows.map((cells) => [...cells]);
    lines
      .filter((line) => line.trim() !== '')
      .forEach((line, i) => {
        const cells = (next[row + i] ??= columns.map(() => ''));
        line.split(/\t|;/).forEach((cell, k) => {
          if (column + k < columns.length) cells[column + k] = cell.trim();
        });
      });
    onType(textOf(next.slice(0, field.maxRows)));
  };
  const walk = (e: KeyboardEvent, row: number, column: number) => {
    const to = e.key === 'ArrowDown' || e.key === 'Enter' ? row + 1 : e.key === 'ArrowUp' ? row - 1 : null;
    if (to === null) return;
    e.preventDefault();
    table.current?.querySelector<HTMLInputElement>(`input[data-cell="${to}/${column}"]`)?.focus();
  };
  return (
    <div className={styles.grid}>
      <Words weight="strong">{field.label}</Words>
      <div className={styles.scroll}>
        <table ref={table} aria-label={field.label} className={styles.table}>
          <thead>
            <tr>
              {columns.map(([name, column]) => (
                <th key={name} scope="col">
                  {headOf(column, units)}
                </th>
              ))}
              <th aria-label="Away" />
            </tr>
          </thead>
          <tbody>
            {rows.map((cells, row) => (
              <tr key={row}>
                {columns.map(([name, column], k) => (
                  <td key={name}>
                    <input
                      data-cell={`${row}/${k}`}
                      aria-label={`${column.label}, row ${row + 1}`}
                      value={cells[k]}
                      inputMode={isNumber(column) ? 'decimal' : undefined}
                      autoComplete="off"
                      spellCheck={false}
                      onChange={(e) => set(row, k, e.target.value.replaceAll(';', ','))}
                      onPaste={(e) => paste(e, row, k)}
                      onKeyDown={(e) => walk(e, row, k)}
                    />
                  </td>
                ))}
                <td className={styles.away}>
                  {row < typed.length && (
                    <Press
                      small
                      aria-label={`Row ${row + 1} away`}
                      onClick={() => onType(textOf(typed.filter((_, i) => i !== row)))}
                    >
                      ×
                    </Press>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Words
        role={problem ? 'alert' : undefined}
        tone={problem ? undefined : 'soft'}
        className={classes(problem && styles.wrong)}
      >
        {problem ?? field.grid}
      </Words>
    </div>
  );
}

function headOf(column: Column, units: UnitSystem): string {
  if (!isNumber(column) || column.is === 'count') return column.label;
  const unit = column.unit ?? unitFor(column.is as Exclude<Column['is'], 'date' | 'clock' | 'count' | 'text'>, units);
  return unit ? `${column.label}, ${unit}` : column.label;
}
