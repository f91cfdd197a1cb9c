import type { CalculatorResult } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import type { Hand } from '../../metrology/hand.ts';
import { dayReached, sayDay, TOO_EARLY, YEAR_DAYS } from '../../metrology/trend.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type RunoutGrowthInput = {
  /** Total run-out at one station by days since the first survey. */
  readings: ReadonlyArray<{ days: number; runoutMm: number }>;
  limitMm: number;
  resolutionMm?: number | undefined;
  /** What is known of the hands that read it. */
  hand?: Hand | undefined;
};

export type RunoutGrowthValues = {
  grownMm: number;
  mmPerYear: number | null;
  dueDays: number | null;
  leftDays: number | null;
  dueFromDays: number | null;
  dueToDays: number | null;
};

/** A shaft lies a little elsewhere in its bearings, and the dial on it, at each survey. Our own choice, measured by `npm run proof -- uncertainty`. */
const SITS = { scatterMm: 0.003, knownAsFrom: 2 } as const;

/**
 * Run-out over the years at one station, and the day it will stand at its limit with its band at 95 %.
 * Source: Theil–Sen (Sen 1968); inverse regression.
 * @throws RangeError where there is no reading
 */
export function runoutGrowth(input: RunoutGrowthInput): CalculatorResult<RunoutGrowthValues> {
  const readings = [...input.readings].sort((a, b) => a.days - b.days);
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last) throw new MessageError(M.growthToldAgainstFirstSurvey);
  const trend = dayReached({
    points: readings.map((r) => ({ day: r.days, value: r.runoutMm })),
    level: input.limitMm,
    stepsBy: input.resolutionMm ?? 0.01,
    sits: SITS,
    hand: input.hand,
  });
  const mmPerYear = trend.line ? trend.line.slope * YEAR_DAYS : null;
  const grownMm = last.runoutMm - first.runoutMm;
  const due = last.runoutMm >= input.limitMm || (trend.left !== null && trend.left <= 0);
  const grown = M.by({ grown: grownMm < 0 ? 'fallen' : 'grown', grown2: len(Math.abs(grownMm), 3) });
  const told =
    trend.line === null
      ? M.firstSurveyLaterOneTells({ runout: len(last.runoutMm, 3) })
      : trend.early
        ? expr`${grown}: ${TOO_EARLY}`
        : trend.day === null
          ? M.noTrendTowards({ grown, limit: len(input.limitMm, 3) })
          : M.year({
              grown,
              mmPerYear: len(mmPerYear ?? 0, 3),
              limit: len(input.limitMm, 3),
              trend: sayDay(trend),
            });
  return {
    values: {
      grownMm,
      mmPerYear,
      dueDays: trend.day,
      leftDays: trend.left,
      dueFromDays: trend.from,
      dueToDays: trend.to,
    },
    findings: [
      {
        code: 'runout.growth',
        verdict: due ? 'reject' : trend.line === null ? 'incomplete' : 'accept',
        reason: due
          ? M.againstStandsLimit({ runout: len(last.runoutMm, 3), limit: len(input.limitMm, 3) })
          : told,
        params: {
          runoutMm: due ? last.runoutMm : null,
          limitMm: due ? input.limitMm : null,
          told: due ? null : told,
        },
        limit: len(input.limitMm, 3),
        source: 'practice',
        ...(due ? { remedy: M.surveyShaftShapeLookBearings } : {}),
        acceptable: true,
      },
    ],
    working: trend.line
      ? [
          {
            what: COMMON.robustLine,
            sum: M.year2({ level: len(trend.line.level, 3), mmPerYear: len(mmPerYear ?? 0, 3) }),
          },
        ]
      : [],
    beams: [],
  };
}
