import type { CalculatorResult } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import type { Hand } from '../../metrology/hand.ts';
import { dayReached, sayDay, TOO_EARLY, YEAR_DAYS } from '../../metrology/trend.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type WearInput = {
  /** Projection of the pins, or face from the spacer, by days since it was fitted; the first is the baseline. */
  readings: ReadonlyArray<{ days: number; projectionMm: number }>;
  /** At this projection the seal is due. 0 where flush means so. */
  serviceMm?: number | undefined;
  /** Step of the gauge, mm. */
  resolutionMm?: number | undefined;
  /** What is known of the hands that read it. */
  hand?: Hand | undefined;
};

export type WearValues = {
  wornMm: number;
  /** Robust slope, mm a year; null under two days apart. */
  mmPerYear: number | null;
  /** Days since fitting at which it is due; null where it does not wear. */
  dueDays: number | null;
  leftDays: number | null;
  /** The band of that day at 95 %, days since fitting; null where no day is told. */
  dueFromDays: number | null;
  dueToDays: number | null;
};

/**
 * Whenever it is read a seal sits a little elsewhere, whatever the gauge steps by: so much, known as from so many readings. Our own
 * choice, measured by `npm run proof -- uncertainty`.
 */
const SITS = { scatterMm: 0.026, knownAsFrom: 2 } as const;

/**
 * Wear of a face against the baseline measured when it was fitted, by a robust line that one bad reading does not turn; the day
 * it is due.
 * Source: Theil–Sen (Sen 1968).
 * @throws RangeError where there is no baseline
 */
export function sealWear(input: WearInput): CalculatorResult<WearValues> {
  const readings = [...input.readings].sort((a, b) => a.days - b.days);
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last) throw new MessageError(M.wearToldAgainstBaselineThere);
  const service = input.serviceMm ?? 0;
  const trend = dayReached({
    points: readings.map((r) => ({ day: r.days, value: r.projectionMm })),
    level: service,
    stepsBy: input.resolutionMm ?? 0.02,
    sits: SITS,
    hand: input.hand,
  });
  const { line, early, day: dueDays, left: leftDays, from, to } = trend;
  const wornMm = first.projectionMm - last.projectionMm;
  const mmPerYear = line ? -line.slope * YEAR_DAYS : null;
  const due = last.projectionMm <= service || (leftDays !== null && leftDays <= 0);
  return {
    values: {
      wornMm,
      mmPerYear,
      dueDays,
      leftDays,
      dueFromDays: from,
      dueToDays: to,
    },
    findings: [
      line === null
        ? {
            code: 'wear',
            verdict: 'incomplete',
            reason: M.baselineLaterReadingTellsWear({ projection: len(first.projectionMm, 2) }),
            params: { projectionMm: first.projectionMm },
            acceptable: false,
          }
        : due
          ? {
              code: 'wear',
              verdict: 'reject',
              reason: M.leftServiceDue({ projection: len(last.projectionMm, 2) }),
              params: { projectionMm: last.projectionMm },
              limit: len(service, 2),
              source: 'maker',
              remedy: M.orderPlanNow,
              acceptable: true,
            }
          : {
              code: 'wear',
              verdict: 'accept',
              reason: early
                ? M.worn({ worn: len(wornMm, 2), tooEarly: TOO_EARLY })
                : dueDays === null
                  ? M.wornNoTrendTowards({ worn: len(wornMm, 2), service: len(service, 2) })
                  : M.wornYearDue({
                      worn: len(wornMm, 2),
                      mmPerYear: len(mmPerYear ?? 0, 2),
                      trend: sayDay(trend),
                    }),
              params: {
                wornMm: early ? wornMm : null,
                TOO_EARLY: early ? TOO_EARLY : null,
                wornMm2: early ? null : dueDays === null ? wornMm : null,
                service: early ? null : dueDays === null ? service : null,
                wornMm3: early ? null : dueDays === null ? null : wornMm,
                mmPerYear: early ? null : dueDays === null ? null : (mmPerYear ?? 0),
                trend: early ? null : dueDays === null ? null : sayDay(trend),
              },
              source: 'practice',
              acceptable: false,
            },
    ],
    working: line
      ? [
          {
            what: COMMON.robustLine,
            sum: M.yearReachesAfter({
              level: num(line.level, 3),
              slope: num(-line.slope * YEAR_DAYS, 3),
              service: len(service, 2),
              dueDays: dueDays === null ? M.never : M.days({ dueDays: Math.round(dueDays) }),
            }),
          },
        ]
      : [],
    beams: [],
  };
}
