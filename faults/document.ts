/** The part of the published document that the faults read: enough to ask for every operation that it names. */
export interface Schema {
  $ref?: string;
  type?: string;
  enum?: unknown[];
  properties?: Record<string, Schema>;
  required?: string[];
  items?: Schema;
  anyOf?: Schema[];
  format?: string;
  pattern?: string;
  minLength?: number;
  maxLength?: number;
  minimum?: number;
  maximum?: number;
  maxItems?: number;
  example?: Record<string, unknown>;
}
export interface Operation {
  requestBody?: { content: Record<string, { schema: Schema }> };
  parameters?: { name: string; in: string }[];
  'x-max-body-bytes'?: number;
}
export interface Document {
  paths: Record<string, Record<string, Operation>>;
  components: { schemas: Record<string, Schema> };
}
export interface NamedOperation {
  path: string;
  method: string;
  operation: Operation;
}

const METHODS = ['get', 'post', 'put', 'delete'];

export function operationsOf(document: Document): NamedOperation[] {
  return Object.entries(document.paths).flatMap(([path, item]) =>
    Object.entries(item)
      .filter(([method]) => METHODS.includes(method))
      .map(([method, operation]) => ({ path, method: method.toUpperCase(), operation })),
  );
}

/** Where an operation of the document stands on the server, its places filled by name. */
export function addressOf(path: string, filled: (name: string) => string): string {
  const root = path === '/sign-in' ? '/api' : '/api/v1';
  return root + path.replaceAll(/\{(\w+)\}/g, (_, name: string) => filled(name));
}

export const schemaOf = (schema: Schema, document: Document): Schema =>
  schema.$ref ? (document.components.schemas[schema.$ref.split('/').at(-1)!] ?? {}) : schema;
