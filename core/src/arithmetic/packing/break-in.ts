import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { len, num, temp } from '../../quantities/say.ts';
import { type BreakInAct, type BreakInSeen, seenSoFar } from './break-in-seen.ts';
import type { LeakMethod } from './leak-method.ts';
import { M } from './messages.ts';

export type BreakInInput = {
  shaftMm: number;
  /** Per 25 mm of shaft, or one flat figure. */
  school: LeakMethod;
  flatDropsPerMin?: number | undefined;
  pitchMm: number;
  /** How far the follower may still go before it bottoms, from finger-tight. */
  followerMm: number;
  /** What was counted, turned and felt, in the order it was done. */
  acts: readonly BreakInAct[];
};

/**
 * What to do now. `start`: let it leak, count. `wait`: nothing until a time. `count`: the drops. `turn`: each nut one flat. `back`: each
 * nut back one flat, now. `feel`: the gland's warmth. `renew`: the follower is at its end. `done`: steady in its band.
 */
export type BreakInDo = 'start' | 'wait' | 'count' | 'turn' | 'back' | 'feel' | 'renew' | 'done';

export type BreakInValues = {
  targetLow: number;
  targetHigh: number;
  do: BreakInDo;
  /** What stands in the way: nothing, too dry, too hot. */
  stop: 'dry' | 'hot' | null;
  flats: number;
  travelMm: number;
  leftMm: number;
  /** Flats still to turn by the trend of drops on flats, never more than the way left; null where it tells nothing yet. */
  flatsToGo: number | null;
  /** When the next act is due, in minutes after the start; null where it is due now, or nothing is. */
  nextMinutes: number | null;
  mlPerMin: number | null;
};

/** 8 to 12 drops a minute for each 25 mm of shaft, steady. Common practice, no source. */
const PER_25_MM = { low: 8, high: 12 } as const;
const FLAT_DROPS = { low: 8, high: 12 } as const;
/** Generous leakage before the first flat; then a wait after each. Common practice, no source. */
const SETTLE_MIN = 10;
const WAIT_MIN = 10;
/** After the nuts went back the drops are counted, and the gland felt, so soon. Our own choice. */
const RELIEF_MIN = 2;
/** Steady is so many counts in the band, ten minutes apart. Common practice, no source. */
const STEADY_COUNTS = 3;
/** Counts that still fall, or rise, by more than this share of their mean are no steady ones; two drops are nothing. Our own choice. */
const TREND_SHARE = 0.15;
const TREND_DROPS = 2;
const ML_PER_DROP = 0.05;

/** The band of drops a minute a box is brought to. */
export function breakInBand(input: Pick<BreakInInput, 'shaftMm' | 'school' | 'flatDropsPerMin'>): {
  low: number;
  high: number;
} {
  if (input.school === 'per-diameter') {
    const scale = input.shaftMm / 25;
    return { low: PER_25_MM.low * scale, high: PER_25_MM.high * scale };
  }
  const flat = input.flatDropsPerMin;
  return flat === undefined ? FLAT_DROPS : { low: flat * 0.8, high: flat * 1.2 };
}

/**
 * Break-in of compression packing: let it leak generously, then each nut one flat in turn and a wait, until the steady leakage; the
 * follower's travel per flat is a sixth of the pitch. One instruction follows from the last act. Dry or hot stops at once and stands until
 * a wetter count or a cooler gland; hot: back off, never quench.
 * Source: common practice, no source.
 */
export function packingBreakIn(input: BreakInInput): CalculatorResult<BreakInValues> {
  const band = breakInBand(input);
  const seen = seenSoFar(input.acts, band.low);
  const perFlatMm = input.pitchMm / 6;
  const travelMm = seen.flats * perFlatMm;
  const leftMm = input.followerMm - travelMm;
  const trend = toGo(seen, (band.low + band.high) / 2);
  const flatsLeft = Math.max(0, Math.floor(leftMm / perFlatMm + 1e-9));
  const told = instruct(seen, band, leftMm);
  const beyond = trend !== null && trend > flatsLeft && told.do !== 'done';
  return {
    values: {
      targetLow: band.low,
      targetHigh: band.high,
      do: told.do,
      stop: seen.stop,
      flats: seen.flats,
      travelMm,
      leftMm,
      flatsToGo: trend === null || beyond ? null : trend,
      nextMinutes: told.due,
      mlPerMin: seen.last ? seen.last.drops * ML_PER_DROP : null,
    },
    findings: [
      judged(seen, told, band, leftMm),
      ...(beyond
        ? [
            {
              code: 'break-in.travel',
              verdict: 'caution' as const,
              reason: M.trendWantsMoreThanTravelLeft({ left: len(Math.max(0, leftMm), 1), flatsLeft }),
              params: { flatsLeft },
              source: 'practice' as const,
              remedy: M.anotherRingNewPackingOne,
              acceptable: false,
            },
          ]
        : []),
      ...(seen.mostAtOnce > 1
        ? [
            {
              code: 'break-in.at-once',
              verdict: 'caution' as const,
              reason: M.moreFlatsAtOnce({ flats: seen.mostAtOnce }),
              params: { flats: seen.mostAtOnce },
              source: 'practice' as const,
              remedy: M.oneFlatThenWait,
              acceptable: false,
            },
          ]
        : []),
    ],
    working: [
      {
        what: COMMON.target,
        sum:
          input.school === 'per-diameter'
            ? M.n81225({ shaft: num(input.shaftMm, 1), limit: limitOf(band) })
            : limitOf(band),
      },
      {
        what: M.follower,
        sum: M.flats6Left({
          flats: seen.flats,
          pitch: num(input.pitchMm, 2),
          travel: len(travelMm, 2),
          left: len(leftMm, 2),
        }),
      },
    ],
    beams: [],
  };
}

type Band = { low: number; high: number };
const limitOf = (band: Band) =>
  M.dropsMinute({ targetLow: band.low.toFixed(0), targetHigh: band.high.toFixed(0) });

type Told = { do: BreakInDo; due: number | null; count?: number; drifting?: boolean };

/** The one thing to do now, driven by what was done last. */
function instruct(seen: BreakInSeen, band: Band, leftMm: number): Told {
  const { last, stop, backedAt } = seen;
  if (stop) {
    // Backed off since it was dry or hot: soon looked at again, and back again where that did not help.
    if (backedAt === null) return { do: 'back', due: null };
    return { do: stop === 'hot' ? 'feel' : 'count', due: backedAt + RELIEF_MIN };
  }
  if (!last) return seen.turnedAt === null ? { do: 'start', due: null } : { do: 'count', due: null };
  const ready = seen.turnedAt === null ? SETTLE_MIN : seen.turnedAt + WAIT_MIN;
  // Turned since the last count: the packing follows some minutes later.
  if (seen.turnedAt !== null && seen.turnedAt >= last.minutes && seen.turnedAfterCount)
    return { do: 'wait', due: ready };
  if (last.drops > band.high) {
    if (leftMm <= 1e-9) return { do: 'renew', due: null };
    return last.minutes < ready - 1e-9 ? { do: 'wait', due: ready } : { do: 'turn', due: null };
  }
  const steady = steadyCounts(seen, band);
  if (steady.count >= STEADY_COUNTS && !steady.drifting) return { do: 'done', due: null };
  return { do: 'wait', due: Math.max(ready, last.minutes + WAIT_MIN), ...steady };
}

/** Counts in the band since the nuts were last turned, ten minutes apart; whether the last three still drift. */
function steadyCounts(seen: BreakInSeen, band: Band): { count: number; drifting: boolean } {
  const kept: Array<{ minutes: number; drops: number }> = [];
  for (const c of seen.sinceTurn) {
    if (c.drops < band.low || c.drops > band.high) kept.length = 0;
    else if (kept.length === 0 || c.minutes - (kept.at(-1)?.minutes ?? 0) >= WAIT_MIN - 1e-9) kept.push(c);
  }
  const lastThree = kept.slice(-STEADY_COUNTS).map((c) => c.drops);
  const mean = lastThree.reduce((s, d) => s + d, 0) / Math.max(1, lastThree.length);
  const moved = Math.abs((lastThree.at(-1) ?? 0) - (lastThree[0] ?? 0));
  return {
    count: Math.min(kept.length, STEADY_COUNTS),
    drifting: lastThree.length >= STEADY_COUNTS && moved > Math.max(TREND_DROPS, TREND_SHARE * mean),
  };
}

/** What stands, as a finding: the same judgement as the instruction. */
function judged(seen: BreakInSeen, told: Told, band: Band, leftMm: number): Finding {
  const drops = seen.last?.drops ?? 0;
  const shared = { code: 'break-in', source: 'practice' as const, limit: limitOf(band) };
  if (seen.stop === 'dry')
    return {
      ...shared,
      code: 'break-in.dry',
      verdict: 'reject',
      reason: M.dropsMinuteTooDryWill({ dropsPerMin: drops }),
      params: { drops },
      remedy: M.eachNutBackFlatLet,
      acceptable: true,
    };
  if (seen.stop === 'hot')
    return {
      ...shared,
      code: 'break-in.hot',
      verdict: 'reject',
      reason: M.glandHotAt({ warm: temp(seen.warmC ?? 0) }),
      params: { warmC: seen.warmC ?? 0 },
      remedy: M.backNutsOffLetCool,
      acceptable: true,
    };
  if (told.do === 'renew')
    return {
      ...shared,
      verdict: 'reject',
      reason: M.followerHasLeftStillLeaks({ value: len(Math.max(0, leftMm), 1), dropsPerMin: drops }),
      params: { leftMm: Math.max(0, leftMm), drops },
      remedy: M.anotherRingNewPackingOne,
      acceptable: true,
    };
  if (told.do === 'done')
    return {
      ...shared,
      verdict: 'accept',
      reason: M.dropsMinuteSteadyOverCounts({ dropsPerMin: drops, steadyCounts: STEADY_COUNTS }),
      params: { drops },
      acceptable: false,
    };
  const reason =
    told.do === 'start'
      ? M.letLeakGenerously30Minutes({ settleMin: SETTLE_MIN })
      : told.do === 'turn'
        ? M.dropsMinuteTooManyYet({ dropsPerMin: drops })
        : told.drifting
          ? M.inBandStillDrifting({ dropsPerMin: drops })
          : (told.count ?? 0) > 0
            ? M.inBandCountOf({ dropsPerMin: drops, count: told.count ?? 0, steadyCounts: STEADY_COUNTS })
            : seen.turnedAfterCount
              ? M.turnedNowWait({ waitMin: WAIT_MIN })
              : M.waitBeforeNextCount({ dropsPerMin: drops });
  return { ...shared, verdict: 'incomplete', reason, params: { do: told.do, drops }, acceptable: false };
}

/** Flats to go by the fall of the drops from one flat to the next, a constant share each; null before it is seen. */
function toGo(seen: BreakInSeen, target: number): number | null {
  const byFlats = [...new Map(seen.counts.map((c) => [c.flats, c.drops])).entries()];
  const first = byFlats[0];
  const last = byFlats.at(-1);
  if (!first || !last || last[0] <= first[0] || last[1] >= first[1] || last[1] <= target) return null;
  const share = (last[1] / first[1]) ** (1 / (last[0] - first[0]));
  return Math.log(target / last[1]) / Math.log(share);
}
