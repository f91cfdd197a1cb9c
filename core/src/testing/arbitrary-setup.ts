import fc from 'fast-check';
import type { ObjectSchema, SchemaDescription, SchemaObjectDescription } from 'yup';
import type { Setup } from '../engine/setup.ts';
import { setupSchema, tradeOf } from '../engine/trades.ts';
import { check } from '../judgement/sentences.ts';

type Described = SchemaDescription & Partial<SchemaObjectDescription> & { innerType?: SchemaDescription };

const param = (d: Described, test: string, name: string): number | undefined =>
  d.tests.find((t) => t.name === test && t.params && name in t.params)?.params?.[name] as number | undefined;

/** Any value a schema's own description lets through; what its tests say beyond that is left to a filter. */
function within(description: SchemaDescription): fc.Arbitrary<unknown> {
  const d = description as Described;
  if (d.oneOf.length > 0) return fc.constantFrom(...d.oneOf);
  if (d.type === 'boolean') return fc.boolean();
  if (d.type === 'string') return fc.constantFrom('Trial', '2026-01-31', 'x');
  if (d.type === 'number') {
    const low = param(d, 'min', 'min') ?? param(d, 'min', 'more') ?? -1e6;
    const high = param(d, 'max', 'max') ?? param(d, 'max', 'less') ?? 1e6;
    const whole = d.tests.some((t) => t.name === 'integer');
    const between = whole
      ? fc.integer({ min: Math.ceil(low), max: Math.floor(high) })
      : fc.double({ min: low, max: high, noNaN: true });
    // Ends of the range, and round numbers as people type them, more often than chance would.
    return fc.oneof(
      between,
      fc.constantFrom(low, high, Math.round((low + high) / 2)),
      between.map((v) => Number(v.toPrecision(2))),
    );
  }
  if (d.type === 'array') {
    const inner = d.innerType ? within(d.innerType) : fc.constant(null);
    return fc.uniqueArray(inner, {
      minLength: param(d, 'min', 'min') ?? 0,
      maxLength: Math.min(6, param(d, 'max', 'max') ?? 6),
    });
  }
  if (d.type === 'object' && d.fields)
    return fc.record(
      Object.fromEntries(Object.entries(d.fields).map(([k, f]) => [k, within(f as SchemaDescription)])),
      { requiredKeys: Object.entries(d.fields).flatMap(([k, f]) => ((f as Described).optional ? [] : [k])) },
    );
  return fc.constant(undefined);
}

/** A usual setup with some of its fields set to anything the schema lets through, some of the others left out; always one the whole schema accepts. */
export function arbitrarySetup(usual: Setup): fc.Arbitrary<Setup> {
  const schema = tradeOf(usual).schema as ObjectSchema<object>;
  const fields = Object.entries(schema.describe().fields).filter(
    ([k]) => !['procedure', 'machine', 'position'].includes(k),
  );
  const change = fc.record(Object.fromEntries(fields.map(([k, f]) => [k, within(f as SchemaDescription)])), {
    requiredKeys: [],
  });
  return fc
    .tuple(
      change,
      fc.subarray(
        fields.map(([k]) => k),
        { maxLength: Math.min(8, fields.length) },
      ),
      fc.subarray(
        fields.map(([k]) => k),
        { maxLength: 2 },
      ),
    )
    .map(([values, taken, dropped]) => {
      const setup: Record<string, unknown> = { ...usual };
      for (const k of taken) if (k in values) setup[k] = (values as Record<string, unknown>)[k];
      for (const k of dropped) delete setup[k];
      return setup as unknown as Setup;
    })
    .filter((s) => check(setupSchema, s).ok);
}
