import { measuredAt, type PlaceQuantity } from '../engine/place-quantity.ts';
import type { Text } from '../message/message.ts';
import {
  formatLength,
  fromNominal,
  type LengthUnit,
  leadingPoint,
  parseLength,
  parseTypedNumber,
} from '../quantities/length.ts';
import { measured } from '../quantities/measured.ts';
import { inBoth } from '../quantities/quantity.ts';
import { M } from './messages.ts';

export type Understood = { value: number; said: Text; note?: Text | undefined };

/**
 * What was typed, understood for a kind of place: in the unit inside, said back in people’s units; or why not.
 * @param believable could a length here be so many mm? Tells which unit a leading point means
 * @param nominalMm what it is nominally, where it may be said by how much it is over or under that
 */
export function readValue(
  text: string,
  kind: PlaceQuantity,
  unit: LengthUnit,
  believable?: (mm: number) => boolean,
  nominalMm?: number,
): Understood | { message: Text } {
  if (kind === 'flats') {
    const n = parseTypedNumber(text.trim().replace(/\s*flats?$/, ''));
    return n
      ? {
          value: 60 * n.value,
          said: `${n.value} ${Math.abs(n.value) === 1 ? 'flat' : 'flats'} · ${(60 * n.value).toFixed(0)}°`,
        }
      : { message: M.typeHowManyFlatsExample };
  }
  const quantity = measuredAt(kind);
  if (quantity !== 'length') {
    const read = measured(quantity).read(text, unit);
    return read.ok ? { value: read.value, said: read.said } : { message: read.message };
  }
  const off = nominalMm === undefined ? null : fromNominal(text, nominalMm, unit);
  if (off)
    return {
      value: off.mm,
      said: inBoth(formatLength, off.mm),
      note: off.said,
    };
  const point = unit === 'mm' && believable ? leadingPoint(text, believable) : null;
  if (point && 'ask' in point) return { message: point.ask };
  if (point)
    return {
      value: point.mm,
      said: inBoth(formatLength, point.mm),
      note: point.mm > Number(text) ? M.leadingPointReadAsInches : undefined,
    };
  const length = parseLength(text, unit);
  if (!length.ok) return { message: length.message };
  return {
    value: length.mm,
    said: inBoth(formatLength, length.mm),
    note: length.assumed,
  };
}
