import { type Instrument, quantityOf, sayReading } from '@fulcrant/core/instruments';
import type { Text } from '@fulcrant/core/messages';
import { formatLength, type LengthUnit, say } from '@fulcrant/core/units';
import { M } from './messages.ts';

/** A gauge's step or range in the unit it is read in. */
export function sayIn(g: Instrument, value: number, unit: LengthUnit, decimals = 3): Text {
  if (quantityOf(g.kind) === 'length') return formatLength(value, unit, decimals);
  if (g.kind === 'counter') return M.dropsMin({ value });
  // A roughness is kept in mm and told in µm: its last digit lies far behind the point.
  return say(sayReading(g.kind, Number(value.toFixed(g.kind === 'roughness' ? 7 : 4))), unit);
}

/** What a gauge steps by. A step of temperature is a difference: no zero to shift. */
export const sayStep = (g: Instrument, step: number, unit: LengthUnit): Text =>
  g.kind === 'thermometer'
    ? unit === 'mm'
      ? `${Number(step.toFixed(2))} K`
      : `${Number((1.8 * step).toFixed(2))} °F`
    : sayIn(g, step, unit, 4);
