import { array, number, object, type Schema, string } from 'yup';
import type { Text } from '../message/message.ts';
import type { CalculatorResult } from './result.ts';

export type Calculator = {
  id: string;
  title: Text;
  schema: Schema;
  run: (input: never) => CalculatorResult<unknown>;
};

export const mm = (max = 1000) => number().moreThan(0).max(max);
/** A deviation or gap that may be of either sign. */
export const signed = (max = 50) => number().min(-max).max(max);
export const rule = () => string().oneOf(['k2', 'one-sided'] as const);
/** Indicator readings round a turn: at how many degrees, how much. */
export const turn = (least = 2) =>
  array(
    object({ angleDeg: number().min(0).lessThan(360).required(), valueMm: signed().required() })
      .noUnknown()
      .required(),
  )
    .min(least)
    .max(400)
    .required();

/** Let a calculator stand in the registry: its schema and its function agree on the input, checked by the compiler. */
export function entry<I>(
  id: string,
  title: Text,
  schema: Schema<I>,
  run: (input: I) => CalculatorResult<unknown>,
): Calculator {
  return { id, title, schema, run: run as Calculator['run'] };
}
