import { gauges } from '@/core/gauges/catalogue';
import type { Field, Fields } from '@/core/gauges/fields';
import { unitsOf, UNITS } from '@/core/units/units';

/** A field of a gauge as JSON Schema: text as typed, or a number in the base unit. */
function schemaOf(field: Field): object {
  const title = field.label;
  switch (field.sort) {
    case 'quantity': {
      const { base } = UNITS[field.quantity];
      return {
        title,
        description: `Text as typed (${unitsOf(field.quantity).filter(Boolean).join(', ') || 'a number'}), or a number${base ? ` in ${base}` : ''}.`,
        anyOf: [
          { type: 'string', maxLength: 60 },
          { type: 'number', minimum: field.min, maximum: field.max },
        ],
      };
    }
    case 'count':
      return { title, anyOf: [{ type: 'string' }, { type: 'integer', minimum: field.min, maximum: field.max }] };
    case 'choice':
      return { title, type: 'string', enum: field.options.map((o) => o.id) };
    case 'rows':
      return {
        title,
        description: `Lines of: ${Object.values(field.columns)
          .map((c) => c.label.toLowerCase())
          .join('; ')}.`,
        anyOf: [{ type: 'string' }, { type: 'array', minItems: field.minRows, maxItems: field.maxRows }],
      };
    case 'text':
    case 'file':
      return { title, type: 'string', maxLength: field.maxLength };
  }
}

function isNeeded(field: Field): boolean {
  return !field.when && !('optional' in field && field.optional);
}

function objectOf(fields: Fields): object {
  return {
    type: 'object',
    additionalProperties: false,
    required: Object.entries(fields)
      .filter(([, f]) => isNeeded(f))
      .map(([name]) => name),
    properties: Object.fromEntries(Object.entries(fields).map(([name, f]) => [name, schemaOf(f)])),
  };
}

/** For each gauge: its path in the document and the schema of its fields, with the worked example. */
export const gaugeBodies = gauges.map((g) => ({
  path: `/gauges/${g.id}`,
  summary: g.purpose,
  schema: { ...objectOf(g.fields), example: g.example },
}));
