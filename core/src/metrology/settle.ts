import type { Text } from '../message/message.ts';
import { len } from '../quantities/say.ts';
import { COVERAGE, type DecisionRule, SLACK_MM } from './decision.ts';
import { M } from './messages.ts';
import { doubtOfMean } from './uncertainty.ts';

/** More repeats than this nobody takes at one place. */
const REPEATS_MOST = 30;

export type SettleInput = {
  /** Distance of the value to the nearest limit, mm, either side. */
  marginMm: number;
  /** Smallest step of the gauge. */
  stepMm: number;
  /** Readings taken at the place so far. */
  count: number;
  /** Standard deviation of the repeats, where there are any. */
  scatterMm?: number | undefined;
  /** 2 where the value is a difference of two such places, else 1. */
  places?: 1 | 2 | undefined;
  rule?: DecisionRule | undefined;
};

export type Settle = {
  /** Readings more at each place, if they agree with those before; null where no number of them does it. */
  more: number | null;
  /** Largest step of a gauge with which one reading a place would settle it. */
  stepMm: number;
};

/**
 * How many more readings would settle a value that is too close to call, if they scatter as those before. The doubt of a mean shrinks
 * as in `meanUncertainty`: the step's share only where readings scatter over it.
 * Source: GUM 4.2, 4.3.7, G.4.
 *
 * @example settle({ marginMm: 0.002, stepMm: 0.005, count: 1 }).more // 2
 */
export function settle(input: SettleInput): Settle {
  const places = input.places ?? 1;
  const k = COVERAGE[input.rule ?? 'k2'];
  const margin = Math.abs(input.marginMm);
  const { stepMm, scatterMm = 0 } = input;
  const expanded = (count: number) => k * doubtOfMean({ count, stepMm, scatterMm, places });
  let more: number | null = null;
  for (let n = Math.max(1, input.count); n <= input.count + REPEATS_MOST && more === null; n++)
    if (margin >= expanded(n) - SLACK_MM) more = n - input.count;
  // The doubt of one reading grows as the step does.
  return { more, stepMm: margin / (k * doubtOfMean({ count: 1, stepMm: 1, places })) };
}

/** The answer as a sentence for a finding's remedy. `where` says what is to be read again, as “at that place”. */
export function saySettle(s: Settle, where: Text): Text {
  if (s.more !== null && s.more > 0)
    return M.wouldSettleIfTheyAgree({
      more: s.more === 1 ? M.oneMoreReading : M.moreReadings({ more: s.more }),
      where,
    });
  if (s.stepMm >= 0.0005) return M.noNumberReadingsGaugeSettles({ step: len(s.stepMm, 4) });
  return M.standsLimitItselfNoGauge;
}
