import 'reflect-metadata';
import { plainToInstance, type ClassConstructor } from 'class-transformer';
import { ARRAY_MAX_SIZE, getMetadataStorage, validate, type ValidationError } from 'class-validator';
import { MOST_PROBLEMS, problemsOfBody } from './plainBody';
import { refuseIf, UNKNOWN_FIELD, type FieldProblem } from './problem';

/**
 * A request body as an instance of its DTO class.
 * @throws ProblemError 400 that names each field, 100 at most: missing, of the wrong shape, out of range, or not known at all
 */
export async function readDto<T extends object>(type: ClassConstructor<T>, body: unknown): Promise<T> {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    refuseIf([{ field: '', message: 'A JSON object is needed.' }]);
  refuseIf(problemsOfBody(body as object));
  refuseIf(listsTooLong(type, body as Record<string, unknown>));
  const instance = plainToInstance(type, body);
  const errors = await validate(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  const problems: FieldProblem[] = [];
  for (const error of errors) flatten(error, '', problems);
  refuseIf(problems);
  return instance;
}

/** Lists of more than their field takes, told before a single item of them is looked at. */
function listsTooLong(type: object, body: Record<string, unknown>): FieldProblem[] {
  let lists = listsOf.get(type);
  if (!lists) listsOf.set(type, (lists = boundedLists(type)));
  return lists
    .filter(({ field, most }) => Array.isArray(body[field]) && body[field].length > most)
    .map(({ field, most }) => ({ field, message: `At most ${most} of them.` }));
}

/** Reading it takes a walk over the rules of every class: once for each is enough. */
const listsOf = new WeakMap<object, { field: string; most: number }[]>();

function boundedLists(type: object) {
  return getMetadataStorage()
    .getTargetValidationMetadatas(type as new () => object, '', true, false)
    .filter(({ name }) => name === ARRAY_MAX_SIZE)
    .map(({ propertyName, constraints }) => ({ field: propertyName, most: (constraints as [number])[0] }));
}

function flatten(error: ValidationError, parent: string, into: FieldProblem[]): void {
  const index = /^\d+$/.test(error.property);
  const field = parent === '' ? error.property : index ? `${parent}[${error.property}]` : `${parent}.${error.property}`;
  for (const [rule, message] of Object.entries(error.constraints ?? {})) {
    if (into.length >= MOST_PROBLEMS) return;
    into.push({ field, message: rule === 'whitelistValidation' ? UNKNOWN_FIELD : message });
  }
  for (const child of error.children ?? []) flatten(child, field, into);
}
