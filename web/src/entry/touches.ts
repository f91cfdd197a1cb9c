import type { Instrument } from '@fulcrant/core/instruments';
import type { Place } from '@fulcrant/core/job';
import { type LengthUnit, lengthDigits } from '@fulcrant/core/units';

/**
 * How many steps of the gauge above and below the last reading lie ready to be touched: blades mostly thinner, since a gap that is driven
 * up closes; a pointer either way. A micrometer has none: a figure that lies ready would be read instead of the drum.
 */
const READY: Partial<Record<Instrument['kind'], { of: Place['quantity'][]; above: number; below: number }>> =
  {
    feeler: { of: ['gap'], above: 1, below: 4 },
    dial: { of: ['length', 'dial'], above: 3, below: 3 },
  };

/**
 * What a hand would most likely read next, greatest first: the blades by their stamps, or the divisions of a dial, round the reading
 * that went last at this step.
 * @param lastMm the last reading at this step, null where none is
 * @returns nothing where the gauge in hand has neither, or nothing was read yet: no number is offered that nobody read
 */
export function touchesNear(
  place: Place,
  gauge: Instrument | null,
  lastMm: number | null,
  unit: LengthUnit,
): string[] {
  // A tester reads what it reads: only plates are one of a few.
  if (place.offers && gauge && gauge.step >= (place.offers.step ?? 0) * 0.999)
    return place.offers.values.map((v) => offered(place.quantity, v, unit));
  const ready = gauge ? READY[gauge.kind] : undefined;
  if (!gauge || !ready?.of.includes(place.quantity) || lastMm === null) return [];
  const { above, below } = ready;
  const stamps = Array.from({ length: above + below + 1 }, (_, i) => lastMm + (above - i) * gauge.step)
    .filter((mm) => mm >= place.low && mm <= place.high)
    .filter((mm) => place.low < 0 || (mm >= gauge.low && mm <= gauge.high))
    .map((mm) => lengthDigits(mm, unit));
  return [...new Set(stamps)];
}

/** A value that lies ready, as it would be typed. */
const offered = (quantity: Place['quantity'], value: number, unit: LengthUnit): string =>
  quantity === 'angle'
    ? String(value)
    : quantity === 'roughness'
      ? String(unit === 'mm' ? Number((1000 * value).toFixed(3)) : Math.round((1e6 * value) / 25.4))
      : lengthDigits(value, unit);
