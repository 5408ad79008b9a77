import { randomUUID } from 'node:crypto';
import { schemaOf, type Document, type Operation, type Schema } from './document';

/** What stands in a field that takes only what the shop knows, by the field’s name; where that is an empty list the field is left out, or empty. */
export type Known = Record<string, unknown[]>;

/** Where the document names no bound. */
const UNBOUNDED = { letters: 200, items: 200 };
/** Fields of a body that exclude each other: the larger way is asked for. */
const INSTEAD: Record<string, string[]> = {
  '/jobs': ['machineId', 'customerId', 'visit', 'photographs'],
  '/jobs/{id}/record-findings': ['shown'],
  '/customers/{id}/put-site': ['id'],
  '/customers/{id}/put-contact': ['id'],
  '/machines/{tag}/amend-machine': ['modelId', 'siteId'],
};

/**
 * The largest body of an operation that its schema lets through: every field there, every text as long, every list as
 * full and every number as high as may be; if that is more than the door takes, texts and lists are cut evenly.
 * A gauge's is its worked example with its tables filled up. What stands as `known` is taken in its order.
 */
export function largestBody(path: string, operation: Operation, document: Document, known: Known): string | undefined {
  const schema = operation.requestBody?.content['application/json']?.schema;
  if (!schema) return undefined;
  const most = operation['x-max-body-bytes']!;
  for (let share = 1; share > 1e-4; share /= 2) {
    const body = schema.example
      ? filledUp(schema, share)
      : (grown('', schema, document, known, share) as Record<string, unknown>);
    for (const name of INSTEAD[path] ?? []) delete body[name];
    const text = JSON.stringify(body);
    if (Buffer.byteLength(text) <= most) return text;
  }
  throw new Error(`nothing of ${path} fits into ${most} bytes`);
}

/** A worked example whose texts of several lines are repeated to their full length. */
function filledUp(schema: Schema, share: number): Record<string, unknown> {
  const fields = Object.entries(schema.example!).map(([name, value]) => {
    const longest = longestOf(schema.properties?.[name] ?? {}) * share;
    if (typeof value !== 'string' || !value.includes('\n')) return [name, value];
    return [name, `${value}\n`.repeat(Math.max(1, Math.floor(longest / (value.length + 1)))).trimEnd()];
  });
  return Object.fromEntries(fields) as Record<string, unknown>;
}

const longestOf = (schema: Schema): number =>
  Math.max(schema.maxLength ?? 0, ...(schema.anyOf ?? []).map((inner) => inner.maxLength ?? 0));

function grown(name: string, given: Schema, document: Document, known: Known, share: number, at = 0): unknown {
  const schema = schemaOf(given, document);
  const values = known[name];
  const inner = (n: string, s: Schema, i = at) => grown(n, s, document, known, share, i);
  if (schema.type === 'array') {
    if (values?.length === 0) return [];
    const inside = Object.keys(schemaOf(schema.items ?? {}, document).properties ?? {});
    const alike = inside.map((n) => known[n]?.length ?? 0).filter((length) => length > 1);
    const few = Math.max(1, Math.min(Math.ceil(share * (schema.maxItems ?? UNBOUNDED.items)), ...alike));
    const items = Array.from({ length: few }, (_, i) => inner(name, schema.items ?? {}, i));
    return values ? [...new Set(items)] : items;
  }
  if (name === 'key') return randomUUID();
  if (values && (!schema.enum || schema.enum.includes(values[0]))) return values[at % values.length];
  if (schema.enum) return schema.enum.at(-1);
  if (schema.anyOf) return inner(name, schema.anyOf[0]!);
  switch (schema.type) {
    case 'object':
      return Object.fromEntries(
        Object.entries(schema.properties ?? {})
          .filter(([n, s]) => known[n]?.length !== 0 || s.type === 'array')
          .map(([n, s]) => [n, inner(n, s)]),
      );
    case 'string':
      if (schema.pattern?.includes('\\d{4}-')) return name === 'promisedOn' ? '2199-12-31' : '2020-12-31';
      return 'x'.repeat(Math.max(schema.minLength ?? 1, Math.ceil(share * (schema.maxLength ?? UNBOUNDED.letters))));
    case 'integer':
    case 'number':
      return schema.maximum ?? 2;
    case 'boolean':
      return true;
    default:
      return 'x';
  }
}
