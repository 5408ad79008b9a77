import 'reflect-metadata';
import { getMetadataStorage } from 'class-validator';

/** The validator keeps what it was told of every class by its property; its types call that private. */
interface Storage {
  validationMetadatas: Map<unknown, { propertyName: string }[]> | { propertyName: string }[];
}

let names: Set<string> | null = null;

function namesOfFields(): Set<string> {
  const { validationMetadatas: told } = getMetadataStorage() as unknown as Storage;
  const all = told instanceof Map ? [...told.values()].flat() : told;
  return new Set(all.map((m) => m.propertyName));
}

/** Whether every part of a field's way is a name of ours: anything else is what somebody typed, and stays out of the log. */
export function isKnownField(field: string): boolean {
  names ??= namesOfFields();
  return field.split(/[.[\]]+/).every((part) => part === '' || /^\d+$/.test(part) || names!.has(part));
}
