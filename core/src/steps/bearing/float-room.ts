import { bearingFloat, type FloatValues } from '../../arithmetic/bearings/float.ts';
import { readingAt, standing } from '../../engine/facts.ts';
import type { Facts, Place } from '../../engine/state.ts';
import { stepKind } from '../../engine/step.ts';
import { COMMON } from '../../message/common/messages.ts';
import { inline } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { gaugeFindings } from '../gauges.ts';
import type { BearingSetup } from './bearing-setup.ts';
import { M } from './messages.ts';

export type FloatRoomValues = {
  /** Gap between ring and shoulder towards the fixed bearing, and away from it. */
  towardsMm: number | null;
  awayMm: number | null;
  float: FloatValues | null;
};

const PLACES = {
  'room/towards': M.gapTowardsFixedBearing,
  'room/away': M.gapAwayFromFixedBearing,
} as const;

/** What the float part of a setup says of the shaft. @throws RangeError where there is none: a fault of ours */
export function floatOf({ float }: BearingSetup): NonNullable<BearingSetup['float']> {
  if (!float) throw new MessageError(M.positionHasNoFloatPart);
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
            reason: M.roomEachSideRingNot,
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
        ? M.measure({ place: inline(PLACES[next]) })
        : (result?.findings[0]?.remedy ?? M.enoughRoomSideGrowth),
    };
  },
  place(facts, step, key) {
    const place = placeOf(facts, key);
    if (!place) return M.thereNoSuchPlaceBeside;
    return readingAt(facts, step.id, key)
      ? COMMON.measuredAlreadyWithdrawReasonMeasure({ label: place.label })
      : place;
  },
});

function placeOf(_facts: Facts<BearingSetup>, key: string): Place | null {
  const label = PLACES[key as keyof typeof PLACES];
  return label
    ? { key, label, quantity: 'length', low: 0, high: 100, instrumentKinds: ['caliper', 'feeler'] }
    : null;
}
