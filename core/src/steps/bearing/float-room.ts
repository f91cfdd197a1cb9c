import { bearingFloat, type FloatValues } from '../../arithmetic/bearings/float.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { gaugeFindings } from '../gauges.ts';
import type { BearingSetup } from './bearing-setup.ts';

export type FloatRoomValues = {
  /** Gap between ring and shoulder towards the fixed bearing, and away from it. */
  towardsMm: number | null;
  awayMm: number | null;
  float: FloatValues | null;
};

const PLACES = {
  'room/towards': 'Gap towards the fixed bearing',
  'room/away': 'Gap away from the fixed bearing',
} as const;

/** What the float part of a setup says of the shaft. @throws RangeError where there is none: a fault of ours */
export function floatOf({ float }: BearingSetup): NonNullable<BearingSetup['float']> {
  if (!float) throw new RangeError('This position has no float part.');
  return float;
}

/** Room each side of the ring in its seat, against the growth of the shaft; the ring is moved until it does. */
export const floatRoom = stepKind<BearingSetup, FloatRoomValues>('float-room', {
  repeats: true,
  report(facts, step) {
    const towardsMm = readingAt(facts, step.id, 'room/towards')?.value ?? null;
    const awayMm = readingAt(facts, step.id, 'room/away')?.value ?? null;
    const { spanMm, shaftOverBaseK, marginMm } = floatOf(facts.setup);
    const result =
      towardsMm === null || awayMm === null
        ? null
        : bearingFloat({
            spanMm,
            shaftOverBaseK,
            marginMm,
            roomMm: towardsMm + awayMm,
            offsetMm: (towardsMm - awayMm) / 2,
          });
    const next = towardsMm === null ? 'room/towards' : awayMm === null ? 'room/away' : null;
    return {
      findings: [
        ...(result?.findings ?? [
          {
            code: 'float.room',
            verdict: 'incomplete' as const,
            reason: 'The room each side of the ring is not measured yet.',
            params: {},
            acceptable: false,
          },
        ]),
        ...gaugeFindings(standing(facts, step.id)),
      ],
      working: result?.working ?? [],
      beams: [],
      values: { towardsMm, awayMm, float: result?.values ?? null } satisfies FloatRoomValues,
      next: next ? placeOf(facts, next) : null,
      act: next
        ? `Measure the ${PLACES[next].toLowerCase()}`
        : (result?.findings[0]?.remedy ?? 'Enough room on the side of growth.'),
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return 'There is no such place beside the ring.';
    return readingAt(facts, step.id, key)
      ? `${place.label} is measured already. Withdraw it, with a reason, to measure again.`
      : place;
  },
});

function placeOf(_facts: Facts<BearingSetup>, key: string): Place | null {
  const label = PLACES[key as keyof typeof PLACES];
  return label
    ? { key, label, quantity: 'length', low: 0, high: 100, instrumentKinds: ['caliper', 'feeler'] }
    : null;
}
