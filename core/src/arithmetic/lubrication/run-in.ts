import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { fitLine } from '../../metrology/line.ts';
import { temp, warmer } from '../../quantities/say.ts';

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
      reason: 'No temperature is read yet.',
      params: {},
      acceptable: false,
    });
  else if (hottestC >= RUN_IN_LIMITS.stopC)
    findings.push({
      ...shared,
      code: 'run-in.stop',
      verdict: 'reject',
      reason: `${temp(hottestC)}: stop the machine.`,
      params: { hottestC },
      limit: temp(RUN_IN_LIMITS.stopC),
      remedy: 'Let it cool; look for over-filling, tight clearance, a binding seal, misalignment.',
    });
  else if (hottestC >= RUN_IN_LIMITS.cautionC || riseK >= RUN_IN_LIMITS.riseK)
    findings.push({
      ...shared,
      code: 'run-in.caution',
      verdict: 'caution',
      reason: `${temp(hottestC)}, ${warmer(riseK)} over ambient${trendKPerH === null ? '' : trendKPerH < -STEADY_K_PER_H ? ', and falling: usual after a first fill' : trendKPerH > STEADY_K_PER_H ? ', and still climbing' : ', and steady'}.`,
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
      limit: `${temp(RUN_IN_LIMITS.cautionC)} or ${warmer(RUN_IN_LIMITS.riseK)} over ambient`,
      remedy: 'Stay with it; read every few minutes until it falls.',
    });
  else
    findings.push({
      ...shared,
      code: 'run-in',
      verdict: 'accept',
      reason: `${temp(last.temperatureC)}, ${warmer(last.temperatureC - input.ambientC)} over ambient.`,
      params: { temperatureC: last.temperatureC, temperatureC2: last.temperatureC - input.ambientC },
      limit: `${temp(RUN_IN_LIMITS.cautionC)} or ${warmer(RUN_IN_LIMITS.riseK)} over ambient`,
    });
  if (last && !steady)
    findings.push({
      code: 'run-in.due',
      verdict: 'incomplete',
      reason: `Not steady yet: the next reading is due ${nextMinutes} minutes after the start.`,
      params: { due: true, nextMinutes },
      acceptable: false,
    });
  return {
    values: { hottestC, riseK, trendKPerH, steady, nextMinutes },
    findings,
    working:
      trendKPerH === null
        ? []
        : [{ what: 'trend of the last three', sum: `${trendKPerH.toFixed(1)} K an hour` }],
    beams: [],
  };
}
