import 'reflect-metadata';
import { Type } from 'class-transformer';
import { ValidateNested } from 'class-validator';

type Class = new () => object;

/** The framework may load a class once per route, and the validator knows them all: so does this. */
const held = globalThis as { gritkeeperNested?: Map<unknown, Map<string, () => Class>> };
const inner = (held.gritkeeperNested ??= new Map());

/**
 * A property that holds another class of ours, or a list of them: it is made from plain data, validated, and known by its
 * class where the published document is written.
 */
export function Nested(type: () => Class, how: { each?: boolean; message?: string } = {}): PropertyDecorator {
  return (prototype, property) => {
    ValidateNested(how)(prototype, property);
    Type(type)(prototype, property as string);
    const of = inner.get(prototype.constructor) ?? new Map<string, () => Class>();
    inner.set(prototype.constructor, of.set(String(property), type));
  };
}

/** The class that a nested property holds. @throws Error for a property that was not declared so */
export function classIn(target: unknown, property: string): Class {
  const type = inner.get(target)?.get(property);
  if (!type) throw new Error(`${String(target)}.${property} is not declared with Nested.`);
  return type();
}
