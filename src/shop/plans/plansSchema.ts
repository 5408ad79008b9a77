import { PLANS_FORM } from './dto';

const text = { type: 'string' } as const;
const flag = { type: 'boolean' } as const;
const some = { anyOf: [{ type: 'integer', minimum: 1 }, { type: 'null' }] };
const object = (properties: Record<string, object>, required = Object.keys(properties)) => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
});
const orNull = (schema: object) => ({ anyOf: [schema, { type: 'null' }] });
const habit = orNull(object({ days: some, hours: some, uses: some, times: some }));

/** JSON Schema (2020-12) of the plan of a kind; published under /api/v1/schemas/plans.json. */
export const plansSchema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:grit-keeper:plans:1',
  title: 'What falls due on a kind of machine, and how often',
  description:
    'Of every item the habit of its makers and of benches, and the interval of the shop’s own, which goes before the bench’s. Only `item` and `own` are read; the rest stands there for whoever wants to read it without us.',
  ...object(
    {
      form: { const: PLANS_FORM },
      kind: text,
      items: {
        type: 'array',
        maxItems: 100,
        items: object(
          {
            item: text,
            label: text,
            station: text,
            minutes: { type: 'number', minimum: 0 },
            maker: habit,
            bench: habit,
            heavyDays: some,
            tradeOnly: flag,
            floodedOnly: flag,
            beforeFrost: flag,
            byItsPeople: flag,
            own: orNull(object({ days: some, hours: some, uses: some, why: { ...text, maxLength: 500 } })),
          },
          ['item', 'own'],
        ),
      },
    },
    ['form', 'kind', 'items'],
  ),
};
