import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { len, num } from '../../quantities/say.ts';
import type { LeakMethod } from './leak-method.ts';
import { M } from './messages.ts';

export type BreakInReading = {
  /** Minutes since the start. */
  minutes: number;
  /** Flats turned on each nut since finger-tight. */
  flats: number;
  dropsPerMin: number;
  /** Gland's temperature, °C, where it was felt or read. */
  glandC?: number | undefined;
};

export type BreakInInput = {
  shaftMm: number;
  /** Per 25 mm of shaft, or one flat figure. */
  school: LeakMethod;
  flatDropsPerMin?: number | undefined;
  pitchMm: number;
  /** How far the follower may still go before it bottoms, from finger-tight. */
  followerMm: number;
  readings: readonly BreakInReading[];
};

export type BreakInValues = {
  targetLow: number;
  targetHigh: number;
  state: 'settling' | 'wait' | 'turn' | 'done' | 'too-dry' | 'hot' | 'bottomed';
  flats: number;
  travelMm: number;
  leftMm: number;
  /** Flats still to turn by the trend of drops on flats; null where it tells nothing yet. */
  flatsToGo: number | null;
  nextMinutes: number | null;
  mlPerMin: number | null;
};

/** 8 to 12 drops a minute for each 25 mm of shaft, steady. Common practice, no source. */
const PER_25_MM = { low: 8, high: 12 } as const;
/** Generous leakage before the first flat; then a wait after each. Common practice, no source. */
const SETTLE_MIN = 10;
const WAIT_MIN = 10;
/** Steady is so many counts in the band, ten minutes apart. Common practice, no source. */
const STEADY_COUNTS = 3;
const ML_PER_DROP = 0.05;
const HOT_C = 80;
const FLAT_DROPS = { low: 8, high: 12 } as const;

/**
 * Break-in of compression packing: let it leak generously, then each nut one flat in turn and a wait, until the steady leakage; the
 * follower's travel per flat is a sixth of the pitch. Hot: back off, never quench.
 * Source: common practice, no source.
 */
export function packingBreakIn(input: BreakInInput): CalculatorResult<BreakInValues> {
  const scale = input.shaftMm / 25;
  const targetLow =
    input.school === 'per-diameter'
      ? PER_25_MM.low * scale
      : input.flatDropsPerMin === undefined
        ? FLAT_DROPS.low
        : input.flatDropsPerMin * 0.8;
  const targetHigh =
    input.school === 'per-diameter'
      ? PER_25_MM.high * scale
      : input.flatDropsPerMin === undefined
        ? FLAT_DROPS.high
        : input.flatDropsPerMin * 1.2;
  const readings = [...input.readings].sort((a, b) => a.minutes - b.minutes);
  const last = readings.at(-1);
  const flats = last?.flats ?? 0;
  const travelMm = (flats * input.pitchMm) / 6;
  const leftMm = input.followerMm - travelMm;
  const turnedAt = readings.find((r) => r.flats === flats)?.minutes ?? 0;
  const inBand = steadyCounts(readings, flats, targetLow, targetHigh);
  const ready =
    inBand.count > 0 ? inBand.lastMinutes + WAIT_MIN : flats === 0 ? SETTLE_MIN : turnedAt + WAIT_MIN;
  const state = stateOf(last, {
    targetLow,
    targetHigh,
    leftMm,
    ready,
    steady: inBand.count >= STEADY_COUNTS,
  });
  const flatsToGo = toGo(readings, (targetLow + targetHigh) / 2);
  const shared = { code: 'break-in', source: 'practice' as const, acceptable: true };
  const limit = M.dropsMinute({ targetLow: targetLow.toFixed(0), targetHigh: targetHigh.toFixed(0) });
  const said: Record<BreakInValues['state'], Finding> = {
    settling: {
      ...shared,
      verdict: 'incomplete',
      reason: M.letLeakGenerously30Minutes({ settleMin: SETTLE_MIN }),
      params: { SETTLE_MIN },
      limit,
      acceptable: false,
    },
    wait: {
      ...shared,
      verdict: 'incomplete',
      reason:
        inBand.count > 0
          ? M.dropsMinuteBandCountsTen({
              dropsPerMin: last?.dropsPerMin ?? 0,
              count: inBand.count,
              steadyCounts: STEADY_COUNTS,
              ready,
            })
          : M.dropsMinuteWaitUntilMinutes({ dropsPerMin: last?.dropsPerMin ?? 0, ready }),
      params: {
        dropsPerMin: inBand.count > 0 ? (last?.dropsPerMin ?? 0) : null,
        count: inBand.count > 0 ? inBand.count : null,
        STEADY_COUNTS: inBand.count > 0 ? STEADY_COUNTS : null,
        ready: inBand.count > 0 ? ready : null,
        dropsPerMin2: inBand.count > 0 ? null : (last?.dropsPerMin ?? 0),
        ready2: inBand.count > 0 ? null : ready,
      },
      limit,
    },
    turn: {
      ...shared,
      verdict: 'incomplete',
      reason: M.dropsMinuteTooManyYet({ dropsPerMin: last?.dropsPerMin ?? 0 }),
      params: { dropsPerMin: last?.dropsPerMin ?? 0 },
      limit,
    },
    done: {
      ...shared,
      verdict: 'accept',
      reason: M.dropsMinuteSteadyOverCounts({
        dropsPerMin: last?.dropsPerMin ?? 0,
        steadyCounts: STEADY_COUNTS,
      }),
      params: { dropsPerMin: last?.dropsPerMin ?? 0, STEADY_COUNTS },
      limit,
    },
    'too-dry': {
      ...shared,
      verdict: 'reject',
      reason: M.dropsMinuteTooDryWill({ dropsPerMin: last?.dropsPerMin ?? 0 }),
      params: { dropsPerMin: last?.dropsPerMin ?? 0 },
      limit,
      remedy: M.eachNutBackFlatLet,
    },
    hot: {
      ...shared,
      verdict: 'reject',
      reason: M.glandHot,
      params: {},
      remedy: M.backNutsOffLetCool,
    },
    bottomed: {
      ...shared,
      verdict: 'reject',
      reason: M.followerHasLeftStillLeaks({
        value: len(Math.max(0, leftMm), 1),
        dropsPerMin: last?.dropsPerMin ?? 0,
      }),
      params: { value: Math.max(0, leftMm), dropsPerMin: last?.dropsPerMin ?? 0 },
      remedy: M.anotherRingNewPackingOne,
    },
  };
  return {
    values: {
      targetLow,
      targetHigh,
      state,
      flats,
      travelMm,
      leftMm,
      flatsToGo,
      nextMinutes: state === 'done' ? null : Math.max(ready, last?.minutes ?? 0),
      mlPerMin: last ? last.dropsPerMin * ML_PER_DROP : null,
    },
    findings: [said[state]],
    working: [
      {
        what: M.target,
        sum: input.school === 'per-diameter' ? M.n81225({ shaft: num(input.shaftMm, 1), limit }) : limit,
      },
      {
        what: M.follower,
        sum: M.flats6Left({
          flats,
          pitch: num(input.pitchMm, 2),
          travel: len(travelMm, 2),
          left: len(leftMm, 2),
        }),
      },
    ],
    beams: [],
  };
}

/** Counts in the band in a row since the nuts were last turned, each ten minutes or more after the one before. */
function steadyCounts(
  readings: readonly BreakInReading[],
  flats: number,
  low: number,
  high: number,
): { count: number; lastMinutes: number } {
  let count = 0;
  let lastMinutes = 0;
  for (const r of readings.filter((x) => x.flats === flats)) {
    if (r.dropsPerMin < low || r.dropsPerMin > high) count = 0;
    else if (count === 0 || r.minutes - lastMinutes >= WAIT_MIN - 1e-9) {
      count++;
      lastMinutes = r.minutes;
    }
  }
  return { count, lastMinutes };
}

function stateOf(
  last: BreakInReading | undefined,
  at: { targetLow: number; targetHigh: number; leftMm: number; ready: number; steady: boolean },
): BreakInValues['state'] {
  if (!last) return 'settling';
  if ((last.glandC ?? 0) >= HOT_C) return 'hot';
  if (last.dropsPerMin < at.targetLow)
    return last.flats === 0 && last.minutes < SETTLE_MIN ? 'settling' : 'too-dry';
  if (last.dropsPerMin <= at.targetHigh) return at.steady ? 'done' : 'wait';
  if (at.leftMm <= 0) return 'bottomed';
  if (last.minutes < at.ready) return last.flats === 0 ? 'settling' : 'wait';
  return 'turn';
}

/** Flats to go by the fall of the drops from one flat to the next, a constant share each; null before it is seen. */
function toGo(readings: readonly BreakInReading[], target: number): number | null {
  const byFlats = [...new Map(readings.map((r) => [r.flats, r.dropsPerMin])).entries()];
  const first = byFlats[0];
  const last = byFlats.at(-1);
  if (!first || !last || last[0] <= first[0] || last[1] >= first[1] || last[1] <= target) return null;
  const share = (last[1] / first[1]) ** (1 / (last[0] - first[0]));
  return Math.log(target / last[1]) / Math.log(share);
}
