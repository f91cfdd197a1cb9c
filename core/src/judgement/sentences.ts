import { type Schema, setLocale, ValidationError } from 'yup';

/** Yup's faults as plain sentences; set once, wherever schemas are used. */
setLocale({
  mixed: {
    required: '${path} is missing.',
    defined: '${path} is missing.',
    notNull: '${path} is missing.',
    oneOf: '${path} must be one of: ${values}.',
    notType: ({ path, type, originalValue }) => {
      const what =
        type === 'array'
          ? 'a list'
          : type === 'object'
            ? 'an object'
            : type === 'boolean'
              ? 'true or false'
              : `a ${type}`;
      return originalValue === undefined ? `${path} is missing.` : `${path} must be ${what}.`;
    },
  },
  string: {
    min: '${path} is too short.',
    max: '${path} is longer than ${max} characters.',
    matches: '${path} is not of the right form.',
  },
  number: {
    min: '${path} must be ${min} or more.',
    max: '${path} must be ${max} or less.',
    moreThan: '${path} must be more than ${more}.',
    lessThan: '${path} must be less than ${less}.',
    positive: '${path} must be more than zero.',
    integer: '${path} must be a whole number.',
  },
  array: {
    min: '${path} needs at least ${min}.',
    max: '${path} takes at most ${max}.',
    length: '${path} needs exactly ${length}.',
  },
  object: { noUnknown: 'Unknown here: ${unknown}.' },
});

export type Checked<T> =
  | { ok: true; value: T }
  | { ok: false; faults: Array<{ path: string; message: string }> };

/**
 * Check a value against a schema, strictly (nothing is converted, unknown fields are refused), collecting every fault
 * as a sentence.
 */
export function check<T>(schema: Schema<T>, value: unknown): Checked<T> {
  try {
    return { ok: true, value: schema.validateSync(value, { strict: true, abortEarly: false }) as T };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    return {
      ok: false,
      faults: inner.map((e) => ({
        path: e.path ?? '',
        message: e.errors.join(' ').replace(/^this /, 'The input '),
      })),
    };
  }
}
