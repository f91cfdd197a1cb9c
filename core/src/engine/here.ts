import type { Text } from '../message/message.ts';
import { inline, listOf } from '../message/message.ts';
import { type Field, fieldsOf, standsAs, valueIn } from './asked.ts';
import { lackingAt } from './lacking.ts';
import { M } from './messages.ts';
import type { Setup } from './setup.ts';
import type { Facts, StepReport } from './state.ts';
import type { StepDefinition } from './step.ts';
import { tradeOf } from './trades.ts';

/**
 * What a step needs of the setup and nobody has said yet: a job is opened without it, and whoever stands before the part says it
 * there. Fields in the order the step names them.
 */
export function lackingHere(setup: Setup, step: Pick<StepDefinition, 'needs'>): Field[] {
  if (!step.needs || step.needs.length === 0) return [];
  const { needs } = step;
  const fields = fieldsOf(tradeOf(setup).schema);
  // In the order the step asks for them.
  const unsaid = needs.flatMap((name) =>
    fields.filter((f) => f.name === name && valueIn(setup, name) === undefined),
  );
  // Asked with every event, and nearly always all is said: the form is laid out only where it decides something.
  if (unsaid.length === 0) return [];
  const form = standsAs(fields, setup);
  return unsaid.filter(
    (f) => (!f.when || f.when(form)) && (typeof f.needed !== 'function' || f.needed(form) !== undefined),
  );
}

/** Torques, sizes and grades come from a sheet; how many there are is seen. */
const fromSheet = (f: Field): boolean => f.quantity === 'torque' || f.quantity === 'choice';

/** What a step still waits for: what the sheet is said not to give is asked no more. */
const stillLacking = (facts: Facts, step: StepDefinition): Field[] => {
  const fields = lackingHere(facts.setup, step);
  return fields.length > 0 && step.kind.bolt && lackingAt(facts, step.id)
    ? fields.filter((f) => !fromSheet(f))
    : fields;
};

const words = (fields: readonly Field[]): Text =>
  listOf(
    fields.map((f) => inline(f.label)),
    ', ',
  );

/** The report of a step that waits for such a word; null where it waits for none. */
export function askedHere(facts: Facts, step: StepDefinition): StepReport | null {
  const lacking = stillLacking(facts, step);
  if (lacking.length === 0) return null;
  // Not measured at all: what would have been wanted for it is wanted no more.
  if (!step.kind.bolt && lackingAt(facts, step.id))
    return { findings: [], working: [], beams: [], values: null, next: null, act: M.notMeasured };
  return {
    findings: [
      {
        code: `${step.id}.unsaid`,
        verdict: 'incomplete',
        reason: M.notSaidYet({ words: words(lacking) }),
        params: { lacking: words(lacking) },
        remedy: M.readOffPartMakersSheet,
        acceptable: false,
      },
    ],
    working: [],
    beams: [],
    values: null,
    next: null,
    act: M.sayWhatFrontYou({ words: words(lacking) }),
    asks: lacking.map((f) => f.name),
  };
}

/** Why nothing is read or tightened at a step that waits for such a word; null where it waits for none. */
export function unsaidHere(facts: Facts, step: StepDefinition): Text | null {
  const lacking = stillLacking(facts, step);
  return lacking.length === 0 ? null : M.firstSayWhatFrontYou({ words: words(lacking) });
}

/** Names of a part’s fields, as steps say what they need. @example partNeeds('baseBolts', 'size', 'count') */
export const partNeeds = (part: string, ...fields: string[]): string[] => fields.map((f) => `${part}.${f}`);

/** Does a changed setup only say what a step had to ask for, and nothing that stood before is otherwise? */
export function saysOnlyWhatWasAsked(before: Setup, after: Setup): boolean {
  const fields = fieldsOf(tradeOf(after).schema);
  const filled = fields.filter(
    (f) => f.later && valueIn(before, f.name) === undefined && valueIn(after, f.name) !== undefined,
  );
  const blank = (setup: Setup): unknown => {
    const copy = JSON.parse(JSON.stringify(setup)) as Record<string, unknown>;
    for (const name of filled.flatMap((f) => (f.upTo ? [f.name, f.upTo] : [f.name]))) {
      const [head = '', tail] = name.split('.') as [string, string?];
      const part = copy[head];
      if (tail === undefined) delete copy[head];
      else if (part !== null && typeof part === 'object') delete (part as Record<string, unknown>)[tail];
    }
    return copy;
  };
  const text = (setup: Setup) => JSON.stringify(sorted(blank(setup)));
  return filled.length > 0 && text(before) === text(after);
}

/** The same with its keys in order, however they were put in. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([k, v]) => [k, sorted(v)]),
  );
}
