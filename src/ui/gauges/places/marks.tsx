import { createContext, useContext, type ReactNode } from 'react';
import type { Fields, RawValues } from '@/core/gauges/fields';

/** What the places of a drawing know: what is typed, which field is being typed into, and how to get to another. */
export interface Desk {
  fields: Fields;
  typed: RawValues;
  at: string | null;
  onPick(field: string): void;
}
export const DeskOfPlaces = createContext<Desk>({ fields: {}, typed: {}, at: null, onPick: () => {} });

/** A thing with the places at which it is measured. */
export interface Place {
  /** The same in words, for whoever does not see it. */
  says: string;
  /** Of the board, whose colour the measured places have. */
  line: 'drive' | 'power' | 'air' | 'water';
  height: number;
  draw: ReactNode;
}

/** What is typed or chosen for a field, short enough for a drawing; a list of readings is no single number. */
function valueOf({ fields, typed }: Desk, name: string | undefined): string {
  if (name === undefined) return '';
  const value = String(typed[name] ?? '').trim();
  const field = fields[name];
  const shown =
    field?.sort === 'choice' ? (field.options.find((o) => o.id === value)?.label.split(/[:,]/)[0] ?? '') : value;
  return shown.includes('\n') || shown.length > 12 ? '' : shown;
}

/** Something measured: its name, what is typed for it, and the way to its field. */
export function Measured({
  field,
  name,
  x,
  y,
  anchor = 'middle',
  children,
}: {
  /** Of the gauge; absent for what is only shown. */
  field?: string;
  name: string;
  x: number;
  y: number;
  anchor?: 'start' | 'middle' | 'end';
  children: ReactNode;
}) {
  const desk = useContext(DeskOfPlaces);
  const { at, onPick } = desk;
  const value = valueOf(desk, field);
  return (
    <g
      data-measured=""
      data-place={field}
      data-at={field !== undefined && field === at ? '' : undefined}
      onClick={field === undefined ? undefined : () => onPick(field)}
    >
      {children}
      <text x={x} y={y} textAnchor={anchor}>
        {name}
        {value && (
          <tspan data-value="" dx="4">
            {value}
          </tspan>
        )}
      </text>
    </g>
  );
}

/** A place at which something is held, led out to its name: to the left or right of where the line ends. */
export function Hold({
  at,
  to,
  name,
  field,
}: {
  at: [number, number];
  to: [number, number];
  name: string;
  field: string;
}) {
  const isLeft = to[0] < at[0];
  return (
    <Measured field={field} name={name} x={to[0] + (isLeft ? -4 : 4)} y={to[1] + 4} anchor={isLeft ? 'end' : 'start'}>
      <path d={`M${at[0]} ${at[1]} L${to[0]} ${to[1]}`} />
      <circle cx={at[0]} cy={at[1]} r="3.2" fill="currentColor" />
    </Measured>
  );
}

/** A distance between two marks, with the name of its field. */
export function Span({
  from,
  to,
  y,
  name,
  field,
  below = false,
}: {
  from: number;
  to: number;
  y: number;
  name: string;
  field?: string;
  below?: boolean;
}) {
  return (
    <Measured {...(field ? { field } : {})} name={name} x={(from + to) / 2} y={below ? y + 14 : y - 6}>
      <path d={`M${from} ${y - 4} V${y + 4} M${to} ${y - 4} V${y + 4} M${from} ${y} H${to}`} />
    </Measured>
  );
}

/** The same upright, its name to the right. */
export function Rise({
  x,
  from,
  to,
  name,
  field,
}: {
  x: number;
  from: number;
  to: number;
  name: string;
  field?: string;
}) {
  return (
    <Measured {...(field ? { field } : {})} name={name} x={x + 8} y={(from + to) / 2 + 4} anchor="start">
      <path d={`M${x - 4} ${from} H${x + 4} M${x - 4} ${to} H${x + 4} M${x} ${from} V${to}`} />
    </Measured>
  );
}

/** What a part of the drawing is called. */
export function Part({
  x,
  y,
  name,
  anchor = 'start',
}: {
  x: number;
  y: number;
  name: string;
  anchor?: 'start' | 'middle' | 'end';
}) {
  return (
    <text x={x} y={y} textAnchor={anchor} data-part="">
      {name}
    </text>
  );
}

/** A meter with its two leads. */
export function Meter({ x, y, a, b }: { x: number; y: number; a: [number, number]; b: [number, number] }) {
  return (
    <g>
      <path d={`M${x - 9} ${y} L${a[0]} ${a[1]} M${x + 9} ${y} L${b[0]} ${b[1]}`} />
      <rect x={x - 14} y={y - 12} width="28" height="18" rx="3" fill="var(--paper)" />
      <path d={`M${x - 6} ${y - 1} L${x + 5} ${y - 8}`} />
    </g>
  );
}
