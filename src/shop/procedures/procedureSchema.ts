import { PROCEDURE_FORM } from './dto';

const text = (maxLength: number, minLength = 1) => ({ type: 'string', minLength, maxLength });
const step = { type: 'string', pattern: '^[a-z][a-z0-9-]{1,59}$' };
const minutes = { type: 'number', minimum: 0.05, maximum: 240 };
const object = (properties: Record<string, object>, required = Object.keys(properties)) => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
});
const fastener = object(
  {
    count: { type: 'integer', minimum: 1, maximum: 99 },
    what: text(40),
    drive: text(20, 0),
    length: { enum: ['short', 'medium', 'long'] },
    leftHand: { const: true },
    shape: text(40),
    hidden: { const: true },
    where: text(120),
  },
  ['count', 'what', 'drive', 'where'],
);
const change = (sort: string, more: Record<string, object>) => object({ sort: { const: sort }, step, ...more });

/** JSON Schema (2020-12) of a model’s procedure; published under /api/v1/schemas/procedure.json. */
export const procedureSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:grit-keeper:procedure:1',
  title: 'The way into a machine, and how one model of it differs',
  description: 'The changes are what is read; the steps stand there for whoever wants to read them without us.',
  type: 'object',
  required: ['form', 'kind', 'changes'],
  properties: {
    form: { const: PROCEDURE_FORM },
    kind: { type: 'string' },
    changes: {
      type: 'array',
      maxItems: 200,
      items: {
        oneOf: [
          change('drop', {}),
          change('note', { text: text(500) }),
          change('fasteners', { fasteners: { type: 'array', maxItems: 20, items: fastener } }),
          change('move', { after: step }),
          change('add', {
            after: step,
            label: text(200),
            lie: { enum: ['standing', 'back', 'side', 'upside-down', null] },
            tool: text(40, 0),
            minutes,
            back: text(200),
            backMinutes: minutes,
          }),
        ],
      },
    },
    steps: { type: 'array', items: { type: 'object' } },
  },
};
