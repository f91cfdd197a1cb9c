import type { Text } from '../message/message.ts';
import { expr } from '../message/message.ts';
import { type MeasuredUnit, measured, type Quantity } from '../quantities/measured.ts';
import type { Instrument } from './instrument.ts';
import { type GAUGE_KINDS, gaugeKind } from './kinds.ts';

/** What a kind of gauge measures. @example quantityOf('dial') // 'length' */
export const quantityOf = (kind: Instrument['kind']): Quantity => gaugeKind(kind).measures;

type Counted = {
  [K in keyof typeof GAUGE_KINDS]: (typeof GAUGE_KINDS)[K] extends { counts: { unit: infer U } } ? U : never;
};
/** Units open data carries readings in. */
export type OpenUnit = MeasuredUnit | Counted[keyof Counted];

/**
 * A reading in the unit open data carries it in: lengths mm, roughness µm, angles degrees, pressures MPa, temperatures °C.
 * @example inOpenUnit('roughness', 0.0008) // { value: 0.8, unit: 'µm' }
 */
export function inOpenUnit(kind: Instrument['kind'], value: number): { value: number; unit: OpenUnit } {
  const { open } = measured(quantityOf(kind));
  return {
    value: Number((open.factor * value).toFixed(6)),
    unit: (gaugeKind(kind).counts?.unit ?? open.unit) as OpenUnit,
  };
}

/** A reading in a sentence. */
export function sayReading(kind: Instrument['kind'], value: number): Text {
  const { counts, measures } = gaugeKind(kind);
  if (counts) return expr`${value} ${value === 1 ? counts.one : counts.more}`;
  return measured(measures).mark(value);
}
