import { convertSchema } from '@sodaru/yup-to-json-schema';
import type { Schema } from 'yup';

/** Say in the JSON Schema what the checks do anyway: fields not named are refused. */
function closed(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(closed);
  if (schema === null || typeof schema !== 'object') return schema;
  // What may be anything has no type of its own there.
  const told = Object.entries(schema).filter(
    ([k, v]) => !(k === 'type' && (v === 'mixed' || (Array.isArray(v) && v.length === 0))),
  );
  const inner = Object.fromEntries(told.map(([k, v]) => [k, closed(v)]));
  return inner.type === 'object' && inner.properties ? { ...inner, additionalProperties: false } : inner;
}

/** The JSON Schema of a shape checks hold input to. */
export const jsonSchemaOf = (schema: Schema): Record<string, unknown> =>
  closed(convertSchema(schema)) as Record<string, unknown>;
