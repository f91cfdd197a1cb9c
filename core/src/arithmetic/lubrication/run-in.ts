import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { fitLine } from '../../metrology/line.ts';
import { temp, warmer } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type RunInReading = { minutes: number; temperatureC: number };

export type RunInInput = {
  ambientC: number;
  /** Since the start, in the order they were read. */
  readings: readonly RunInReading[];
};

export type RunInValues = {
  hottestC: number | null;
  riseK: number | null;
  /** Trend of the last readings, K an hour. */
  trendKPerH: number | null;
  steady: boolean;
  /** When the next reading is due, minutes since the start; null once it is steady. */
  nextMinutes: number | null;
};

/** Caution at 80 °C or 45 K over ambient, stop at 100 °C; steady under 2 K an hour over three readings. Common practice, no source. */
export const RUN_IN_LIMITS = { cautionC: 80, riseK: 45, stopC: 100 } as const;
const STEADY_K_PER_H = 2;
const EVERY_MIN = 15;

/** How far before its time a reading still counts as the one that was due, as a share of the way between two. Our own choice. */
const EARLY_SHARE = 1 / 3;

/**
 * When the next of readings a quarter of an hour apart is due, minutes after the start: the quarters stand by the start, so that one
 * taken early does not push the next on. @example nextDue(3) // 15 @example nextDue(13) // 30
 */
export const nextDue = (lastMinutes: number): number =>
  EVERY_MIN * (Math.floor(Math.max(0, lastMinutes) / EVERY_MIN + EARLY_SHARE) + 1);

/**
 * The first hours of a bearing: temperature every quarter of an hour until steady, with its caution, its stop and its trend.
 * Source: common practice, no source.
 */
export function runIn(input: RunInInput): CalculatorResult<RunInValues> {
  const readings = [...input.readings].sort((a, b) => a.minutes - b.minutes);
  const last = readings.at(-1);
  const hottestC = readings.length ? Math.max(...readings.map((r) => r.temperatureC)) : null;
  const riseK = hottestC === null ? null : hottestC - input.ambientC;
  const line = fitLine(
    readings.slice(-3).map((r) => ({ x: r.minutes / 60, y: r.temperatureC })),
    0.3,
  );
  const trendKPerH = line && readings.length >= 3 ? line.slope : null;
  // Three readings in a minute are no trend: they span two intervals, or nearly.
  const three = readings.slice(-3);
  const spanMin = (three.at(-1)?.minutes ?? 0) - (three[0]?.minutes ?? 0);
  const steady = trendKPerH !== null && Math.abs(trendKPerH) <= STEADY_K_PER_H && spanMin >= 1.6 * EVERY_MIN;
  const nextMinutes = steady ? null : last ? nextDue(last.minutes) : 0;
  const findings: Finding[] = [];
  const shared = { source: 'practice' as const, acceptable: true };
  if (hottestC === null || riseK === null || !last)
    findings.push({
      code: 'run-in',
      verdict: 'incomplete',
      reason: M.noTemperatureReadYet,
      params: {},
      acceptable: false,
    });
  else if (hottestC >= RUN_IN_LIMITS.stopC)
    findings.push({
      ...shared,
      code: 'run-in.stop',
      verdict: 'reject',
      reason: M.stopMachine({ hottestC: temp(hottestC) }),
      params: { hottestC },
      limit: temp(RUN_IN_LIMITS.stopC),
      remedy: M.letCoolLookOverFilling,
    });
  else if (hottestC >= RUN_IN_LIMITS.cautionC || riseK >= RUN_IN_LIMITS.riseK)
    findings.push({
      ...shared,
      code: 'run-in.caution',
      verdict: 'caution',
      reason: M.overAmbient({
        hottestC: temp(hottestC),
        riseK: warmer(riseK),
        trendKPerH:
          trendKPerH === null
            ? 'none'
            : trendKPerH < -STEADY_K_PER_H
              ? 'fallingUsualAfterFir'
              : trendKPerH > STEADY_K_PER_H
                ? 'stillClimbing'
                : 'steady',
      }),
      params: {
        hottestC,
        riseK,
        trendKPerH:
          trendKPerH === null
            ? null
            : trendKPerH < -STEADY_K_PER_H
              ? null
              : Boolean(trendKPerH > STEADY_K_PER_H),
      },
      limit: M.overAmbient2({ cautionC: temp(RUN_IN_LIMITS.cautionC), riseK: warmer(RUN_IN_LIMITS.riseK) }),
      remedy: M.stayReadEveryFewMinutes,
    });
  else
    findings.push({
      ...shared,
      code: 'run-in',
      verdict: 'accept',
      reason: M.overAmbient3({
        temperatureC: temp(last.temperatureC),
        temperatureC2: warmer(last.temperatureC - input.ambientC),
      }),
      params: { temperatureC: last.temperatureC, temperatureC2: last.temperatureC - input.ambientC },
      limit: M.overAmbient2({ cautionC: temp(RUN_IN_LIMITS.cautionC), riseK: warmer(RUN_IN_LIMITS.riseK) }),
    });
  if (last && !steady)
    findings.push({
      code: 'run-in.due',
      verdict: 'incomplete',
      reason: M.notSteadyYetNextReading({ nextMinutes }),
      params: { due: true, nextMinutes },
      acceptable: false,
    });
  return {
    values: { hottestC, riseK, trendKPerH, steady, nextMinutes },
    findings,
    working:
      trendKPerH === null
        ? []
        : [{ what: M.trendLastThree, sum: M.kHour({ trendKPerH: trendKPerH.toFixed(1) }) }],
    beams: [],
  };
}
