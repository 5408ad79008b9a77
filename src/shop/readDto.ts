import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { validate, type ValidationError } from 'class-validator';
import { refuseIf, type FieldProblem } from './problem';

/**
 * A request body as an instance of its DTO class.
 * @throws ProblemError 400 that names each field: missing, of the wrong shape, out of range, or not known at all
 */
export async function readDto<T extends object>(type: ClassConstructor<T>, body: unknown): Promise<T> {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    refuseIf([{ field: '', message: 'A JSON object is needed.' }]);
  refuseIf(tooDeep(body as object, MOST_DEPTH) ? [{ field: '', message: 'It is nested too deeply.' }] : []);
  refuseIf(zeroCharacters(body, ''));
  const instance = plainToInstance(type, body);
  const errors = await validate(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  refuseIf(errors.flatMap((e) => flatten(e, '')));
  return instance;
}

/** Nothing that is sent to this shop is nested deeper. */
const MOST_DEPTH = 12;

/** Whether there is something below so many levels; looked at level by level, so that no depth can exhaust the stack. */
function tooDeep(body: object, most: number): boolean {
  let level: object[] = [body];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth >= most) return true;
    level = level.flatMap((v) => Object.values(v).filter((x): x is object => typeof x === 'object' && x !== null));
  }
  return false;
}

/** Text with the character zero in it: no database of ours can hold it, and nobody types it. */
function zeroCharacters(value: unknown, field: string): FieldProblem[] {
  if (typeof value === 'string')
    return value.includes('\0') ? [{ field, message: 'There is a character in it that is no text.' }] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([name, inner]) =>
    zeroCharacters(inner, Array.isArray(value) ? `${field}[${name}]` : field === '' ? name : `${field}.${name}`),
  );
}

function flatten(error: ValidationError, parent: string): FieldProblem[] {
  const index = /^\d+$/.test(error.property);
  const field = parent === '' ? error.property : index ? `${parent}[${error.property}]` : `${parent}.${error.property}`;
  const own = Object.values(error.constraints ?? {}).map((message) => ({ field, message }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, field))];
}
