import type { Quantity } from '../units/units';

/** Another field has one of these choices. */
interface Condition {
  field: string;
  is: readonly string[];
}

/** A number with its unit, as typed: `9.5 mm`, `3/8 in`. */
export interface QuantityField {
  sort: 'quantity';
  label: string;
  quantity: Quantity;
  /** In the quantity's base unit, both ends included. */
  min: number;
  max: number;
  /** The unit of a bare number as typed, where the shop's usual one would be awkward: metres of cord. */
  unit?: string;
  optional?: boolean;
  /** Few know it, or it is nearly always the same: folded away until somebody wants it. */
  rare?: boolean;
  /** One short line under the field. */
  hint?: string;
  /** Only when this other field has one of these choices; otherwise it is not asked and not read. */
  when?: Condition & { and?: Condition };
}

/** One of a few. */
export interface ChoiceField {
  sort: 'choice';
  label: string;
  options: readonly { id: string; label: string }[];
  hint?: string;
  when?: QuantityField['when'];
}

/** A whole number. */
export interface CountField {
  sort: 'count';
  label: string;
  min: number;
  max: number;
  optional?: boolean;
  hint?: string;
  when?: QuantityField['when'];
}

export interface Column {
  label: string;
  /** `date` is a calendar day, `clock` a time of day or a date and time, `text` a word. */
  is: Quantity | 'date' | 'clock' | 'count' | 'text';
  min?: number;
  max?: number;
  /** The unit of a bare number, as the head of the column says. */
  unit?: string;
  /** Left out at the end of a line it is taken to be this; of a word, what stands for none. */
  otherwise?: number | string;
}

/** Lines of readings, one line each, as typed or pasted. */
export interface RowsField {
  sort: 'rows';
  label: string;
  columns: Record<string, Column>;
  minRows: number;
  maxRows: number;
  optional?: boolean;
  hint?: string;
  /** All numbers of one column in a row, with spaces or lines between. */
  flat?: boolean;
  /** Folded away until somebody wants it. */
  rare?: boolean;
  /** Shown as a table of cells, with this line under it. */
  grid?: string;
  when?: QuantityField['when'];
}

/** The text of a file. */
export interface FileField {
  sort: 'file';
  label: string;
  /** Characters at most. */
  maxLength: number;
  optional?: boolean;
  hint?: string;
  when?: QuantityField['when'];
}

/** A few words, such as a name. */
export interface TextField {
  sort: 'text';
  label: string;
  maxLength: number;
  optional?: boolean;
  hint?: string;
  when?: QuantityField['when'];
}

export type Field = TextField | QuantityField | ChoiceField | CountField | RowsField | FileField;
export type Fields = Record<string, Field>;

/** What a row holds: numbers in base units; days and clock times as milliseconds since 1970 (UTC). */
type RowOf<C extends Record<string, Column>> = {
  [K in keyof C]: C[K]['is'] extends 'text' ? string : number;
};

type ValueOf<F> = F extends { sort: 'choice'; options: readonly { id: infer Id }[] }
  ? Id
  : F extends { sort: 'rows'; columns: infer C extends Record<string, Column> }
    ? RowOf<C>[]
    : F extends { sort: 'file' | 'text' }
      ? string
      : number;

/** The values of fields once read: numbers in base units; what is optional or not asked may be missing. */
export type ValuesOf<F extends Fields> = {
  [K in keyof F as F[K] extends { optional: true } | { when: object } ? never : K]: ValueOf<F[K]>;
} & {
  [K in keyof F as F[K] extends { optional: true } | { when: object } ? K : never]?: ValueOf<F[K]>;
};

/** What is typed or sent for fields, by name: text as typed, or a number in the base unit. */
export type RawValues = Record<string, unknown>;

type More<F extends Field> = Omit<F, 'sort' | 'label' | 'quantity' | 'min' | 'max'>;

/** A number with its unit; bounds in the base unit. */
export function quantity<const M extends Partial<More<QuantityField>>>(
  of: Quantity,
  label: string,
  [min, max]: readonly [number, number],
  more: M = {} as M,
) {
  return { sort: 'quantity' as const, label, quantity: of, min, max, ...more };
}

export function count<const M extends Partial<More<CountField>>>(
  label: string,
  [min, max]: readonly [number, number],
  more: M = {} as M,
) {
  return { sort: 'count' as const, label, min, max, ...more };
}

export function choice<const Id extends string, const M extends Partial<Pick<ChoiceField, 'hint' | 'when'>>>(
  label: string,
  options: Record<Id, string>,
  more: M = {} as M,
) {
  const list = Object.entries<string>(options).map(([id, text]) => ({ id: id as Id, label: text }));
  return { sort: 'choice' as const, label, options: list, ...more };
}

export function rows<
  const C extends Record<string, Column>,
  const M extends Partial<Pick<RowsField, 'hint' | 'when' | 'optional' | 'flat' | 'grid' | 'rare'>>,
>(label: string, columns: C, [minRows, maxRows]: readonly [number, number], more: M = {} as M) {
  return { sort: 'rows' as const, label, columns, minRows, maxRows, ...more };
}

/** Is this field asked at all, with what is chosen? */
export function isAsked(field: Field, raw: RawValues): boolean {
  const holds = ({ field: of, is }: Condition) => is.includes(String(raw[of] ?? ''));
  return !field.when || (holds(field.when) && (!field.when.and || holds(field.when.and)));
}
