import type { Text } from '../message/message.ts';
import type { Instrument } from './instrument.ts';
import { INSTRUMENT_KINDS, type InstrumentKind } from './kinds.ts';
import { M } from './messages.ts';

/** What a value is told by where no gauge of the site's list is in hand. */
export type Way = { id: string; name: Text; kind: InstrumentKind; step: number };

const BY_HAND = 'by-hand';
/** A hand without a wrench shows no torque. */
const NO_TORQUE = { low: 0, high: 0 } as const;

/**
 * Ways that need no gauge, by the kind of gauge they stand for, and how closely they tell: steps in the unit of the kind. A nut's angle
 * by eye to a twelfth of a quarter turn; a rule to half a millimetre. Common practice, no source.
 */
export const WAYS: readonly Way[] = [
  { id: BY_HAND, name: M.byHand, kind: 'wrench', step: 1 },
  { id: 'by-eye', name: M.byEye, kind: 'protractor', step: 5 },
  { id: 'by-watch', name: M.byWatch, kind: 'counter', step: 1 },
  { id: 'plain-rule', name: M.plainRule, kind: 'caliper', step: 0.5 },
  { id: 'strokes-counted', name: M.strokesCounted, kind: 'gun', step: 1 },
];

/** What a gauge of a kind usually steps by in a workshop, in the unit of the kind: offered for one that is not listed. Common practice, no source. */
export const USUAL_STEP: Record<InstrumentKind, number> = {
  feeler: 0.05,
  micrometer: 0.01,
  dial: 0.01,
  caliper: 0.05,
  roughness: 0.0002,
  laser: 0.1,
  wrench: 5,
  protractor: 5,
  pressure: 0.5,
  thermometer: 1,
  gun: 1,
  counter: 1,
  vibration: 0.1,
  tension: 0.5,
  force: 5,
};

/** Is a value told by one of these, just as it is given here? Another step or kind under its name is a gauge somebody named. */
export const isWay = ({ id, kind, step, unlisted }: Instrument): boolean =>
  unlisted === true && WAYS.some((w) => w.id === id && w.kind === kind && w.step === step);

/** Of a gauge that is not listed nobody knows the range. */
const ANY_RANGE = { low: 0, high: 10_000 } as const;

const COLDEST_C = -60;

/**
 * A gauge that is not in the site's list, as it is kept with the reading: named, with what it steps by, and without a calibration.
 * @param step in the unit of the kind
 */
export const unlisted = (kind: InstrumentKind, id: string, name: string, step: number): Instrument => ({
  id,
  name,
  kind,
  step,
  ...ANY_RANGE,
  ...(kind === 'thermometer' ? { low: COLDEST_C } : {}),
  ...(id === BY_HAND ? NO_TORQUE : {}),
  unlisted: true,
});

/** Kinds of gauge that are kept without a calibration date in many workshops. */
const UNDATED: readonly InstrumentKind[] = ['feeler', 'caliper', 'protractor', 'gun', 'counter'];

/** Must a gauge of this kind have a calibration date to stand in the site's list? */
export const needsDate = (kind: InstrumentKind): boolean =>
  INSTRUMENT_KINDS.includes(kind) && !UNDATED.includes(kind);

/** Is its calibration out of date on a day? One without a date never is. @param day ISO 8601 */
export const outOfDate = ({ calibrationDue }: Pick<Instrument, 'calibrationDue'>, day: string): boolean =>
  calibrationDue !== undefined && calibrationDue < day;
