import { type Schema, setLocale, ValidationError } from 'yup';
import { isMessage, isParts, listOf, type Text } from '../message/message.ts';
import { M } from './messages.ts';

/** What a fault is of: its path, or the whole. */
const of = (p: { path?: string }): Text => (p.path === undefined || p.path === 'this' ? M.theInput : p.path);
type P = { path?: string };
const missing = (p: P) => M.pathMissing({ path: of(p) });

/** Yup's faults as messages; set once, wherever schemas are used. */
setLocale({
  mixed: {
    default: (p: P) => M.pathInvalid({ path: of(p) }),
    required: missing,
    defined: missing,
    notNull: missing,
    oneOf: (p) => M.pathOneOf({ path: of(p), values: String(p.values) }),
    notType: (p) =>
      p.originalValue === undefined
        ? missing(p)
        : M.pathOfKind({
            path: of(p),
            kind: p.type === 'array' || p.type === 'object' || p.type === 'boolean' ? p.type : 'plain',
            type: p.type,
          }),
  },
  string: {
    min: (p: P) => M.pathTooShort({ path: of(p) }),
    max: (p) => M.pathTooLong({ path: of(p), max: p.max }),
    matches: (p: P) => M.pathNotOfForm({ path: of(p) }),
  },
  number: {
    min: (p) => M.pathAtLeast({ path: of(p), min: p.min }),
    max: (p) => M.pathAtMost({ path: of(p), max: p.max }),
    moreThan: (p) => M.pathMoreThan({ path: of(p), more: p.more }),
    lessThan: (p) => M.pathLessThan({ path: of(p), less: p.less }),
    positive: (p: P) => M.pathPositive({ path: of(p) }),
    integer: (p: P) => M.pathWhole({ path: of(p) }),
  },
  array: {
    min: (p) => M.pathNeedsAtLeast({ path: of(p), min: p.min }),
    max: (p) => M.pathTakesAtMost({ path: of(p), max: p.max }),
    length: (p) => M.pathNeedsExactly({ path: of(p), length: p.length }),
  },
  object: { noUnknown: (p) => M.unknownHere({ unknown: String(p.unknown) }) },
});

/** The bounds a fault may name, by the parameters of its message. */
const BOUNDS = ['min', 'max', 'more', 'less'] as const;

/**
 * A fault that names its field by the path, with what people call the field instead.
 * @param amount a bound as the quantity it is, where the field has one: it is said in the reader's unit
 */
export function withLabel(
  message: Text,
  path: string,
  label: Text,
  amount: (bound: number) => Text | null = () => null,
): Text {
  if (isParts(message))
    return { ...message, parts: message.parts.map((m) => withLabel(m as Text, path, label, amount)) };
  const at = isMessage(message) ? message.params.path : undefined;
  if (!isMessage(message) || typeof at !== 'string' || !at.startsWith(path)) return message;
  // Of a list the fault is of one row: what follows its name stays.
  const named = at === path ? label : listOf([label, at.slice(path.length)], '');
  const bounds = BOUNDS.flatMap((b) => {
    const bound = message.params[b];
    const said = typeof bound === 'number' ? amount(bound) : null;
    return said === null ? [] : [[b, said] as const];
  });
  return { ...message, params: { ...message.params, ...Object.fromEntries(bounds), path: named } };
}

export type Checked<T> =
  | { ok: true; value: T }
  | { ok: false; faults: Array<{ path: string; message: Text }> };

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
      faults: inner.map((e) => {
        // Yup calls them strings; ours are messages.
        const told = e.errors as unknown as Text[];
        return { path: e.path ?? '', message: told.length === 1 ? (told[0] ?? '') : listOf(told, ' ') };
      }),
    };
  }
}
