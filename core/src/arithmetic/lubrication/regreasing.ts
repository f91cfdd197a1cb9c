import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { M } from './messages.ts';

export const ROLLING_KINDS = ['spherical', 'cylindrical', 'ball'] as const;
export type RollingKind = (typeof ROLLING_KINDS)[number];

/** Factor of the interval rule by kind of bearing. Source: general bearing handbooks, from memory. */
const KIND_FACTOR: Record<RollingKind, number> = { spherical: 1, cylindrical: 5, ball: 10 };

export type RegreasingInput = {
  outsideMm: number;
  widthMm: number;
  gramsPerStroke?: number | undefined;
};

/**
 * How much grease to put in at a regreasing: G = 0.005·D·B grams, and how many strokes of this gun that is.
 * Source: general bearing handbooks (from memory).
 * @example regreasing({ outsideMm: 180, widthMm: 46 }).values.grams // 41.4
 */
export function regreasing(
  input: RegreasingInput,
): CalculatorResult<{ grams: number; strokes: number | null }> {
  const grams = 0.005 * input.outsideMm * input.widthMm;
  const strokes = input.gramsPerStroke ? Math.max(1, Math.round(grams / input.gramsPerStroke)) : null;
  return {
    values: { grams, strokes },
    findings: [
      {
        code: 'regreasing',
        verdict: 'accept',
        reason: M.gSlowlyNippleReliefClean({
          grams: grams.toFixed(0),
          strokes: strokes === null ? '' : M.gun({ strokes }),
        }),
        params: {
          grams,
          strokes: strokes === null ? null : strokes,
          strokes2: strokes === null ? null : Boolean(strokes === 1),
        },
        source: 'bearing-handbooks',
        acceptable: false,
      },
    ],
    working: [
      { what: M.quantity, sum: `0.005 × ${input.outsideMm} × ${input.widthMm} = ${grams.toFixed(1)} g` },
    ],
    beams: [],
  };
}

export type IntervalInput = {
  kind: RollingKind;
  boreMm: number;
  speedRpm: number;
  /** Temperature of the bearing in service, °C. */
  temperatureC?: number | undefined;
  vertical?: boolean | undefined;
  /** 1 for clean, less for dirt and damp. */
  dirtFactor?: number | undefined;
};

export type IntervalValues = {
  ruleHours: number;
  /** After temperature, position and dirt, and not over a year; null where the rule gives none. */
  hours: number | null;
  capped: boolean;
};

const YEAR_H = 8760;
const LEAST_H = 24;
const RULE_C = 70;

/**
 * Hours between regreasings: K·(14·10⁶/(n·√d) − 4d), halved per 15 K above 70 °C and on a vertical shaft, times a dirt factor,
 * a year at the most. Fast large bearings make the rule negative: then there is no interval and the maker is asked.
 * Source: general bearing handbooks (from memory), lithium grease, horizontal, 70 °C.
 */
export function regreasingInterval(input: IntervalInput): CalculatorResult<IntervalValues> {
  const k = KIND_FACTOR[input.kind];
  const ruleHours = k * (14e6 / (input.speedRpm * Math.sqrt(input.boreMm)) - 4 * input.boreMm);
  const hot = Math.max(0, ((input.temperatureC ?? RULE_C) - RULE_C) / 15);
  const factor = 0.5 ** hot * (input.vertical ? 0.5 : 1) * (input.dirtFactor ?? 1);
  const worked = ruleHours * factor;
  // Under a day it is no interval but a feed.
  const none = ruleHours <= 0 || worked < LEAST_H;
  const capped = !none && worked > YEAR_H;
  const hours = none ? null : Math.min(YEAR_H, worked);
  const finding: Finding = none
    ? {
        code: 'interval',
        verdict: 'caution',
        reason:
          ruleHours <= 0
            ? M.ruleGivesNoIntervalBore({ bore: input.boreMm, speedRpm: input.speedRpm })
            : M.ruleComesHoursUnderDay({ worked: worked.toFixed(1) }),
        params: {
          boreMm: ruleHours <= 0 ? input.boreMm : null,
          speedRpm: ruleHours <= 0 ? input.speedRpm : null,
          worked: ruleHours <= 0 ? null : worked,
        },
        source: 'bearing-handbooks',
        remedy: M.askMakerBearing,
        acceptable: false,
      }
    : {
        code: 'interval',
        verdict: 'accept',
        reason: M.regreaseEveryHours({
          hours: Math.round(hours ?? 0),
          capped: capped ? 'yearRuleGivesMore' : 'none',
        }),
        params: { hours: hours ?? 0, capped: Boolean(capped) },
        source: 'bearing-handbooks',
        acceptable: false,
      };
  return {
    values: { ruleHours, hours, capped },
    findings: [finding],
    working: [
      {
        what: M.rule,
        sum: `${k} × (14·10⁶ ÷ (${input.speedRpm} × √${input.boreMm}) − 4 × ${input.boreMm}) = ${ruleHours.toFixed(0)} h`,
      },
      { what: M.heatPositionDirt, sum: `× ${factor.toFixed(3)} = ${worked.toFixed(0)} h` },
    ],
    beams: [],
  };
}
