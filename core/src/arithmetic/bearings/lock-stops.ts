import type { Text } from '../../message/message.ts';
import { forwardAlignments, lcm, lockMeetings, type Pattern, widestGap } from './lock-alignment.ts';
import { M } from './messages.ts';

/** A place ahead where the lock meets, and whether it lies in the band of angles. */
export type AheadStop = { forwardDeg: number; totalDeg: number; inBand: boolean };

/** Slots of a nut and tabs of what locks it, by count where they are even, by their angles where they are not. */
export type LockSetup = {
  nutSlots: number;
  washerTabs: number;
  lock?:
    | {
        /** Equal holes of a nut with a plate or a clip, and of what it locks into. */
        nutHoles?: number | undefined;
        lockHoles?: number | undefined;
        nutDeg?: number[] | undefined;
        washerDeg?: number[] | undefined;
      }
    | undefined;
};

/** Nut and lock patterns of a sleeve: equal ones by count, unequal ones by their angles. */
export function lockPatterns(setup: LockSetup): { nut: Pattern; washer: Pattern } {
  const { nutDeg, washerDeg, nutHoles, lockHoles } = setup.lock ?? {};
  return {
    nut: nutDeg?.length ? { anglesDeg: nutDeg } : { count: nutHoles ?? setup.nutSlots },
    washer: washerDeg?.length ? { anglesDeg: washerDeg } : { count: lockHoles ?? setup.washerTabs },
  };
}

/** Angle between lock positions where they are evenly spaced; null for unequal patterns. */
function evenSpacing(setup: LockSetup): number | null {
  const { nut, washer } = lockPatterns(setup);
  return 'count' in nut && 'count' in washer ? 360 / lcm(nut.count, washer.count) : null;
}

/** The widest way from one lock position to the next, degrees. */
export function lockSpacing(setup: LockSetup): number {
  const { nut, washer } = lockPatterns(setup);
  return evenSpacing(setup) ?? widestGap(forwardAlignments(nut, washer, 0));
}

/**
 * Where slot and tab meet next, from what was measured: for even patterns the gap from a slot on to the next tab the nut's way,
 * for uneven ones from the lock's first tab forward to the nut's first slot.
 */
export function lockMeets(
  setup: LockSetup,
  measuredDeg: number,
  way: 'forward' | 'back',
): { forwardDeg: number; slot: number; tab: number } | null {
  const { nut, washer } = lockPatterns(setup);
  const even = evenSpacing(setup) !== null;
  const lead = even ? (way === 'forward' ? -measuredDeg : measuredDeg) : measuredDeg;
  const first = lockMeetings(nut, washer, lead, way)[0];
  return first ? { forwardDeg: first.deg, slot: first.slot, tab: first.tab } : null;
}

/** What is measured to know where the lock meets: the gap to the next position, or for unequal patterns which slot stands where. */
export const lockMeasure = (setup: LockSetup): { label: Text; high: number } =>
  evenSpacing(setup) === null
    ? { label: M.fromLocksFirstTabForward, high: 360 }
    : { label: M.forwardGapFromSlotNext, high: 360 / (setup.lock?.lockHoles ?? setup.washerTabs) };

/**
 * What was measured, brought to where the nut stands after it was turned on since: the gap shrinks round its spacing, the lead of
 * the first slot grows.
 */
export function lockMeasureNow(setup: LockSetup, measuredDeg: number, turnedSinceDeg: number): number {
  const spacing = evenSpacing(setup);
  const around = (deg: number, whole: number) => ((deg % whole) + whole) % whole;
  return spacing === null
    ? around(measuredDeg + turnedSinceDeg, 360)
    : around(measuredDeg - turnedSinceDeg, spacing);
}

/** Lock positions ahead of the nut, as far as one beyond the band of angles. */
export function lockStops(
  setup: LockSetup,
  at: { measureNowDeg: number; nowDeg: number; minDeg: number; maxDeg: number },
): AheadStop[] {
  const { nut, washer } = lockPatterns(setup);
  const spacing = evenSpacing(setup);
  const inTurn =
    spacing === null
      ? forwardAlignments(nut, washer, at.measureNowDeg)
      : Array.from({ length: Math.round(360 / spacing) }, (_, i) => at.measureNowDeg + i * spacing);
  const stops: AheadStop[] = [];
  for (let turn = 0; turn < 6; turn++)
    for (const a of inTurn) {
      const forwardDeg = Number((a + 360 * turn).toFixed(6));
      const totalDeg = at.nowDeg + forwardDeg;
      stops.push({ forwardDeg, totalDeg, inBand: totalDeg >= at.minDeg && totalDeg <= at.maxDeg + 1e-6 });
      if (totalDeg > at.maxDeg) return stops;
    }
  return stops;
}

/**
 * A way along a nut's rim as the angle it is seen under: 360·s/(π·D). Source: geometry.
 * @example rimDegrees(10, 114.6) // about 10
 */
export const rimDegrees = (alongMm: number, rimMm: number): number => (360 * alongMm) / (Math.PI * rimMm);
