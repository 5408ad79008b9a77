import { LEARNING_FORM } from './dto';

const count = { type: 'integer', minimum: 0 } as const;
const object = (properties: Record<string, object>) => ({
  type: 'object',
  properties,
  required: Object.keys(properties),
  additionalProperties: false,
});

/** JSON Schema (2020-12) of exported learning; published under /api/v1/schemas/finder-learning.json. */
export const learningSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:grit-keeper:finder-learning:1',
  title: 'What a shop’s finder has learned',
  description: 'Finished jobs and confirmed faults by kind of machine. Nothing of customers or single machines.',
  ...object({
    form: { const: LEARNING_FORM },
    exportedAt: { type: 'string', format: 'date-time' },
    shop: { type: 'string', minLength: 1, maxLength: 200 },
    kinds: {
      type: 'array',
      items: object({
        kind: { type: 'string' },
        jobs: count,
        faults: { type: 'array', items: object({ fault: { type: 'string' }, confirmed: count }) },
      }),
    },
  }),
};
