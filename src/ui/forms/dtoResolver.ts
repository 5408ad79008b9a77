import type { FieldErrors, Resolver } from 'react-hook-form';
import { ProblemError } from '@/shop/problem';

/** What stands in a form: one value per field. */
export type Values = Record<string, unknown>;

export type DtoClass = new () => object;
export interface FieldTrouble {
  field: string;
  message: string;
}

/** Whether a problem stands at a field: by its name, in a list or member of it, or as a member of something larger. */
export const isAt = (problem: string, name: string) =>
  problem.split(/[.[]/)[0] === name || problem.endsWith(`.${name}`);

/**
 * Judges what is typed by the class that the server reads it with, before it is sent.
 * @param dto the class, fetched when it is needed first
 * @param bodyOf what would be sent
 * @param fieldOf the field that shows what is wrong with a member of what is sent; its own name when absent
 * @param before what is wrong with the typing itself, such as a number that is none: then nothing else is asked
 */
export function dtoResolver<V extends Values>(
  dto: () => Promise<DtoClass>,
  bodyOf: (values: V) => object,
  before: (values: V) => FieldTrouble[] = () => [],
  fieldOf?: (member: string, values: V) => string,
): Resolver<V> {
  return async (values) => {
    const unread = before(values);
    const troubles = unread.length > 0 ? unread : await troublesOf(dto, bodyOf(values));
    if (troubles.length === 0) return { values, errors: {} };
    return {
      values: {},
      errors: errorsAt(Object.keys(values), troubles, (member) => fieldOf?.(member, values)) as FieldErrors<V>,
    };
  };
}

/** What is wrong with a body, by the class that the server reads it with. */
export async function troublesOf(dto: () => Promise<DtoClass>, body: object): Promise<readonly FieldTrouble[]> {
  // Fetched when the first form is sent: most who look at a screen send nothing.
  const judge = await Promise.all([dto(), import('@/shop/readDto')]).catch(() => null);
  // A server that is away cannot give them either: it judges by the same class when it is there again.
  if (!judge) return [];
  const [type, { readDto }] = judge;
  try {
    await readDto(type, body);
    return [];
  } catch (error) {
    if (error instanceof ProblemError) return error.fields;
    throw error;
  }
}

/** Each at the field that shows it; what no field shows, at the form as a whole. */
export function errorsAt(
  names: string[],
  troubles: readonly FieldTrouble[],
  fieldOf: (member: string) => string | undefined = () => undefined,
): FieldErrors {
  const errors: Record<string, { type: string; message: string }> = {};
  for (const { field, message } of troubles) {
    const shown = fieldOf(field) ?? field;
    const name = names.find((n) => isAt(shown, n)) ?? 'root';
    errors[name] ??= { type: 'dto', message };
  }
  return errors;
}
