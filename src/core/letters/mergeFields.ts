const FIELD = /\{([a-z]+)\}/g;

/** Fields that a text names and that are not among those it may name; each once. */
export function unknownFields(text: string, known: readonly string[]): string[] {
  return [...new Set([...text.matchAll(FIELD)].map((m) => m[1]!))].filter((f) => !known.includes(f));
}

/**
 * A text with its fields filled in; what is filled in is never read for fields again, and a field without a value stays as it
 * is written.
 * @example merged('Dear {owner},', { owner: 'Jory {tag}' }) // → 'Dear Jory {tag},'
 */
export function merged(text: string, values: Readonly<Record<string, string>>): string {
  return text.replace(FIELD, (whole, name: string) => (Object.hasOwn(values, name) ? values[name]! : whole));
}
