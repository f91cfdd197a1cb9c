import { number, ObjectSchema } from 'yup';
import type { Calculator } from '../judgement/entry.ts';
import { jsonSchemaOf } from '../judgement/json-schema.ts';
import type { CalculatorResult } from '../judgement/result.ts';
import { check } from '../judgement/sentences.ts';
import { COMMON } from '../message/common/messages.ts';
import type { Text } from '../message/message.ts';
import type { LengthUnit } from '../quantities/length.ts';
import { saidBy } from '../quantities/message-error.ts';
import { sayAll } from '../quantities/say.ts';
import { ALIGNMENT_ENTRIES } from './alignment/entries.ts';
import { BEARING_ENTRIES } from './bearings/entries.ts';
import { BOLTING_ENTRIES } from './bolting/entries.ts';
import { BOX_ENTRIES } from './box/entries.ts';
import { DRIVE_ENTRIES } from './drives/entries.ts';
import { LUBRICATION_ENTRIES } from './lubrication/entries.ts';
import { M } from './messages.ts';
import { PACKING_ENTRIES } from './packing/entries.ts';
import { PLANNING_ENTRIES } from './planning/entries.ts';
import { REBUILD_ENTRIES } from './rebuild/entries.ts';
import { SEAL_ENTRIES } from './seals/entries.ts';
import { SHAFT_ENTRIES } from './shaft/entries.ts';

/** The chapters calculators stand in, and what each works out, as its trade gives it. */
const BY_CHAPTER: ReadonlyArray<readonly [title: Text, entries: readonly Calculator[]]> = [
  [M.shaftsAndFits, SHAFT_ENTRIES],
  [M.stuffingBoxes, BOX_ENTRIES],
  [M.alignment, ALIGNMENT_ENTRIES],
  [COMMON.bearings, BEARING_ENTRIES],
  [COMMON.bolts, BOLTING_ENTRIES],
  [COMMON.grease, LUBRICATION_ENTRIES],
  [COMMON.seals, SEAL_ENTRIES],
  [COMMON.packing, PACKING_ENTRIES],
  [M.pumpRebuild, REBUILD_ENTRIES],
  [M.beltsAndDrives, DRIVE_ENTRIES],
  [M.planningAndReadings, PLANNING_ENTRIES],
];

/** The chapters of the calculators by title, each with the ids of what stands in it. */
export const CHAPTERS: ReadonlyArray<{ title: Text; ids: readonly string[] }> = BY_CHAPTER.map(
  ([title, entries]) => ({ title, ids: entries.map((c) => c.id) }),
);

const ALL: readonly Calculator[] = BY_CHAPTER.flatMap(([, entries]) => entries);

/** What a step of the gauge is called in the inputs of a calculator, and what the repeatability of whoever reads it. */
const REPEATS = {
  resolutionMm: 'repeatsWithinMm',
  bladeStepMm: 'repeatsWithinMm',
  stepMm: 'repeatsWithinMm',
  resolutionUm: 'repeatsWithinUm',
  step: 'repeatsWithin',
} as const;
/** A repeat check is ten readings. */
const CARD_FREE = 9;

/** A calculator that judges readings, with the repeatability of whoever took them as an input that may be left out. */
function withRepeats(calculator: Calculator): Calculator {
  const { schema } = calculator;
  if (!(schema instanceof ObjectSchema)) return calculator;
  const step = (Object.keys(REPEATS) as Array<keyof typeof REPEATS>).find((k) => k in schema.fields);
  if (!step) return calculator;
  const name = REPEATS[step];
  return {
    ...calculator,
    schema: schema.shape({ [name]: number().min(0).max(100) }),
    run: (input) => {
      const { [name]: scatter, ...rest } = input as Record<string, unknown>;
      const hand = typeof scatter === 'number' ? { card: { scatter, free: CARD_FREE } } : undefined;
      return calculator.run({ ...rest, ...(hand ? { hand } : {}) } as never);
    },
  };
}

/** Every calculator: screens, HTTP and command line all call them through here. */
export const CALCULATORS: readonly Calculator[] = ALL.map(withRepeats);

export type CalculatorListing = { id: string; title: Text; input: unknown };

/** Id, title and JSON Schema of every calculator's input. */
export function listCalculators(): CalculatorListing[] {
  return CALCULATORS.map(({ id, title, schema }) => ({
    id,
    title,
    input: {
      $schema: 'http://json-schema.org/draft-07/schema#',
      ...jsonSchemaOf(schema),
    },
  }));
}

export type CalculatorAnswer =
  | { ok: true; result: CalculatorResult<unknown> }
  | { ok: false; known: boolean; faults: Array<{ path: string; message: Text }> };

/**
 * Run a calculator by id on untrusted input. Faults come back as sentences; quantities in the texts are put into
 * `unit`.
 * @example runCalculator('tolerance.iso286', { nominalMm: 90, designation: 'h9' })
 */
export function runCalculator(id: string, input: unknown, unit: LengthUnit = 'mm'): CalculatorAnswer {
  const calculator = CALCULATORS.find((c) => c.id === id);
  if (!calculator) {
    return {
      ok: false,
      known: false,
      faults: [
        {
          path: '',
          message: M.thereNoCalculatorKnown({ id, calculators: CALCULATORS.map((c) => c.id).join(', ') }),
        },
      ],
    };
  }
  const checked = check(calculator.schema, input);
  if (!checked.ok) return { ok: false, known: true, faults: checked.faults };
  try {
    return { ok: true, result: sayAll(calculator.run(checked.value as never), unit) };
  } catch (error) {
    // A RangeError is core's word for "this value is outside what is tabled": the asker's fault, not ours.
    if (error instanceof RangeError)
      return { ok: false, known: true, faults: [{ path: '', message: saidBy(error) }] };
    throw error;
  }
}
