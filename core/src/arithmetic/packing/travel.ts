import type { CalculatorResult } from '../../judgement/result.ts';
import { dayReached, sayDay, TOO_EARLY, YEAR_DAYS } from '../../metrology/trend.ts';
import { len } from '../../quantities/say.ts';

export type PackingTravelInput = {
  /** What the follower could still go in, by days since it was packed; the first is the baseline. */
  readings: ReadonlyArray<{ days: number; leftMm: number }>;
  /** At so much left a ring is added or the box packed anew; 0 where the follower bottoms. */
  stopMm?: number | undefined;
  resolutionMm?: number | undefined;
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
const SITS = { scatterMm: 0.3, knownAsFrom: 4 } as const;

/**
 * When the follower of a packed box will have no way left, from the way left at each adjusting since it was packed; with the
 * band of that day at 95 %.
 * Source: Theil–Sen (Sen 1968); inverse regression. What to do then: common practice, no source.
 * @throws RangeError where there is no reading
 */
export function packingTravel(input: PackingTravelInput): CalculatorResult<PackingTravelValues> {
  const readings = [...input.readings].sort((a, b) => a.days - b.days);
  const [first, last] = [readings[0], readings.at(-1)];
  if (!first || !last) throw new RangeError('The way of the follower is told against a first reading.');
  const stop = input.stopMm ?? 0;
  const trend = dayReached({
    points: readings.map((r) => ({ day: r.days, value: r.leftMm })),
    level: stop,
    stepsBy: input.resolutionMm ?? 0.5,
    sits: SITS,
  });
  const mmPerYear = trend.line ? -trend.line.slope * YEAR_DAYS : null;
  const due = last.leftMm <= stop || (trend.left !== null && trend.left <= 0);
  const used = `${len(first.leftMm - last.leftMm, 1)} of the way used`;
  const told =
    trend.line === null
      ? `${len(last.leftMm, 1)} of way; a later reading tells how fast it goes.`
      : trend.early
        ? `${used}: ${TOO_EARLY}`
        : trend.day === null
          ? `${used}; no trend towards the end of it.`
          : `${used}, ${len(mmPerYear ?? 0, 1)} a year: at its end ${sayDay(trend)}.`;
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
        reason: due ? `${len(last.leftMm, 1)} of way is left: the follower is at its end.` : told,
        params: { leftMm: due ? last.leftMm : null, told: due ? null : told },
        limit: len(stop, 1),
        source: 'practice',
        ...(due
          ? {
              remedy: 'Pack it anew; a ring added on top only tides it over to the next stop of the machine.',
            }
          : {}),
        acceptable: true,
      },
    ],
    working: [
      ...(trend.line
        ? [{ what: 'robust line', sum: `${len(trend.line.level, 1)} − ${len(mmPerYear ?? 0, 1)} a year` }]
        : []),
    ],
    beams: [],
  };
}
