import type { Text } from '../message/message.ts';
import { len } from '../quantities/say.ts';
import type { Instrument } from './instrument.ts';
import { gaugeKind } from './kinds.ts';
import { M } from './messages.ts';
import { quantityOf, sayReading } from './quantity.ts';

/** Does a gauge's range take in a value? */
export function reaches(instrument: Instrument, value: number): boolean {
  const own = gaugeKind(instrument.kind).reaches;
  return own ? own(instrument, value) : value >= instrument.low && value <= instrument.high;
}

/** What is said of a value a gauge does not reach: its range, whole millimetres for lengths. */
export const sayReach = ({ kind, name, low, high }: Instrument): Text =>
  quantityOf(kind) === 'length'
    ? M.doesNotReach({ name, low: len(low, 0), high: len(high, 0) })
    : M.doesNotReach({ name, low: sayReading(kind, low), high: sayReading(kind, high) });
