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
  const instance = plainToInstance(type, body);
  const errors = await validate(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  refuseIf(errors.flatMap((e) => flatten(e, '')));
  return instance;
}

function flatten(error: ValidationError, parent: string): FieldProblem[] {
  const index = /^\d+$/.test(error.property);
  const field = parent === '' ? error.property : index ? `${parent}[${error.property}]` : `${parent}.${error.property}`;
  const own = Object.values(error.constraints ?? {}).map((message) => ({ field, message }));
  return [...own, ...(error.children ?? []).flatMap((child) => flatten(child, field))];
}
