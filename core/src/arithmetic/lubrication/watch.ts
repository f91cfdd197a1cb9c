import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { fitLine } from '../../metrology/line.ts';
import { temp } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type WatchInput = {
  /** Before the first stroke; null where nobody read it: then nothing is said to be back where it was. */
  startC: number | null;
  /** Since the first stroke, minutes, in any order. */
  readings: ReadonlyArray<{ minutes: number; temperatureC: number }>;
};

export type WatchValues = {
  state: 'waiting' | 'rising' | 'stays' | 'falling-back' | 'back' | 'climbing' | 'hot';
  hottestC: number | null;
  /** Trend of the last half hour, or of the last three readings, K an hour. */
  trendKPerH: number | null;
};

/** Within this of where it began it is back. Common practice, no source. */
const BACK_K = 5;
/** A rise that still climbs so long after greasing is not the usual one. Common practice, no source. */
const CLIMBS_AFTER_MIN = 120;
const STOP_C = 100;
const CAUTION_C = 80;
const TREND_K_PER_H = 2;

/**
 * Temperature after regreasing: a rise that falls back within hours is usual, churning of the new grease; one that keeps
 * climbing is not. Source: common practice, no source.
 */
export function regreasingWatch(input: WatchInput): CalculatorResult<WatchValues> {
  const readings = [...input.readings].sort((a, b) => a.minutes - b.minutes);
  const last = readings.at(-1);
  const hottestC = readings.length ? Math.max(...readings.map((r) => r.temperatureC)) : null;
  const recent = readings.filter((r) => last && r.minutes >= last.minutes - 30);
  const looked = recent.length >= 3 ? recent : readings.slice(-3);
  const line =
    looked.length >= 2
      ? fitLine(
          looked.map((r) => ({ x: r.minutes / 60, y: r.temperatureC })),
          0.3,
        )
      : null;
  const trendKPerH = line?.slope ?? null;
  const state = stateOf(input, last, hottestC, trendKPerH);
  const shared = { code: 'watch', source: 'practice' as const, acceptable: true };
  const now = last ? temp(last.temperatureC) : '';
  const findings: Record<WatchValues['state'], Finding> = {
    waiting: {
      ...shared,
      verdict: 'incomplete',
      reason: M.noTemperatureReadSinceFirst,
      params: {},
      acceptable: false,
    },
    rising: {
      ...shared,
      verdict: 'incomplete',
      reason: M.notFallingYetUsualWhile({ now }),
      params: { now },
      acceptable: false,
    },
    stays: {
      ...shared,
      verdict: 'caution',
      reason: M.noFallAfterTwoHours({ now }),
      params: { now },
      limit: M.steady({ cautionC: temp(CAUTION_C) }),
      remedy: M.openReliefDrainWatchUntil,
    },
    'falling-back': {
      ...shared,
      verdict: (last?.temperatureC ?? 0) > CAUTION_C ? 'caution' : 'accept',
      reason: M.fallingBackFromUsualRise({ now, hottestC: temp(hottestC ?? 0) }),
      params: { now, hottestC: hottestC ?? 0 },
    },
    back: {
      ...shared,
      verdict: 'accept',
      reason: M.backWhereBeforeGreasing({ now }),
      params: { now },
    },
    climbing: {
      ...shared,
      verdict: 'reject',
      reason: M.stillClimbingAfterTwoHours({ now }),
      params: { now },
      remedy: M.openReliefDrainLetGrease,
    },
    hot: {
      ...shared,
      verdict: 'reject',
      reason: M.stopMachineLookBeforeRuns({ hottestC: temp(hottestC ?? 0) }),
      params: { hottestC: hottestC ?? 0 },
      limit: temp(STOP_C),
      remedy: M.letCoolLookOverFilling2,
    },
  };
  return {
    values: { state, hottestC, trendKPerH },
    findings: [findings[state]],
    working:
      trendKPerH === null
        ? []
        : [{ what: M.trendLately, sum: M.kHour({ trendKPerH: trendKPerH.toFixed(1) }) }],
    beams: [],
  };
}

function stateOf(
  input: WatchInput,
  last: WatchInput['readings'][number] | undefined,
  hottestC: number | null,
  trend: number | null,
): WatchValues['state'] {
  if (!last || hottestC === null) return 'waiting';
  // Once so hot is a stop until somebody has looked, whatever it reads since.
  if (hottestC >= STOP_C) return 'hot';
  if (trend === null) return 'rising';
  if (trend > TREND_K_PER_H) return last.minutes >= CLIMBS_AFTER_MIN ? 'climbing' : 'rising';
  if (input.startC !== null && last.temperatureC - input.startC <= BACK_K) return 'back';
  if (hottestC - last.temperatureC >= 1) return 'falling-back';
  return last.minutes >= CLIMBS_AFTER_MIN ? 'stays' : 'rising';
}
