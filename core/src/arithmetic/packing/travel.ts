import type { CalculatorResult } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import type { Hand } from '../../metrology/hand.ts';
import { dayReached, sayDay, TOO_EARLY, YEAR_DAYS } from '../../metrology/trend.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type PackingTravelInput = {
  /** What the follower could still go in, by days since it was packed; the first is the baseline. */
  readings: ReadonlyArray<{ days: number; leftMm: number }>;
  /** At so much left a ring is added or the box packed anew; 0 where the follower bottoms. */
  stopMm?: number | undefined;
  resolutionMm?: number | undefined;
  /** What is known of the hands that read it. */
  hand?: Hand | undefined;
};

export type PackingTravelValues = {
  leftMm: number;
  mmPerYear: number | null;
  dueDays: number | null;
  leftDays: number | null;
  dueFromDays: number | null;
  dueToDays: number | null;
};

/** A follower is drawn flat by flat and stands a little askew when it is read. Our own choice, measured by `npm run proof -- uncertainty`. */
const SITS = { scatterMm: 0.3, knownAsFrom: 2 } as const;

/**
 * When the follower of a packed box will have no way left, from the way left at each adjusting since it was packed; with the
 * band of that day at 95 %.
 * Source: Theil–Sen (Sen 1968); inverse regression. What to do then: common practice, no source.
 * @throws RangeError where there is no reading
 */
export function packingTravel(input: PackingTravelInput): CalculatorResult<PackingTravelValues> {
  const readings = [...input.readings].sort((a, b) => a.days - b.days);
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last) throw new MessageError(M.wayFollowerToldAgainstFirst);
  const stop = input.stopMm ?? 0;
  const trend = dayReached({
    points: readings.map((r) => ({ day: r.days, value: r.leftMm })),
    level: stop,
    stepsBy: input.resolutionMm ?? 0.5,
    sits: SITS,
    hand: input.hand,
  });
  const mmPerYear = trend.line ? -trend.line.slope * YEAR_DAYS : null;
  const due = last.leftMm <= stop || (trend.left !== null && trend.left <= 0);
  const used = M.wayUsed({ left: len(first.leftMm - last.leftMm, 1) });
  const told =
    trend.line === null
      ? M.wayLaterReadingTellsHow({ left: len(last.leftMm, 1) })
      : trend.early
        ? expr`${used}: ${TOO_EARLY}`
        : trend.day === null
          ? M.noTrendTowardsEnd({ used })
          : M.yearEnd({ used, mmPerYear: len(mmPerYear ?? 0, 1), trend: sayDay(trend) });
  return {
    values: {
      leftMm: last.leftMm,
      mmPerYear,
      dueDays: trend.day,
      leftDays: trend.left,
      dueFromDays: trend.from,
      dueToDays: trend.to,
    },
    findings: [
      {
        code: 'packing.travel',
        verdict: due ? 'reject' : trend.line === null ? 'incomplete' : 'accept',
        reason: due ? M.wayLeftFollowerEnd({ left: len(last.leftMm, 1) }) : told,
        params: { leftMm: due ? last.leftMm : null, told: due ? null : told },
        limit: len(stop, 1),
        source: 'practice',
        ...(due
          ? {
              remedy: M.packAnewRingAddedTop,
            }
          : {}),
        acceptable: true,
      },
    ],
    working: [
      ...(trend.line
        ? [
            {
              what: COMMON.robustLine,
              sum: M.year({ level: len(trend.line.level, 1), mmPerYear: len(mmPerYear ?? 0, 1) }),
            },
          ]
        : []),
    ],
    beams: [],
  };
}
