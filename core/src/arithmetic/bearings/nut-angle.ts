import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import type { Text } from '../../message/message.ts';
import { decide } from '../../metrology/decision.ts';
import { usualDoubt } from '../../metrology/hand.ts';
import { len, num } from '../../quantities/say.ts';
import type { TaperRatio } from './clearance-table.ts';
import { M } from './messages.ts';
import { effectiveK, reductionForTravel } from './travel.ts';

export type NutAngleInput = {
  boreMm: number;
  taper: TaperRatio;
  pitchMm: number;
  /** The maker's band from the proven zero, degrees: only the sheet gives it. */
  makerMinDeg: number;
  makerMaxDeg: number;
  /** How far the nut has been turned from zero; left out before the first turn. */
  turnedDeg?: number | undefined;
  /** Smallest step the angle is read in. */
  stepDeg?: number | undefined;
  /** Two hands, then a tap on the rim, and it turned no more: without it the angle means nothing. */
  zeroProven: boolean;
  benchMm?: number | undefined;
  hollowRatio?: number | undefined;
};

export type NutAngleValues = {
  travelMinMm: number;
  travelMaxMm: number;
  /** Reduction the 1:12 (or 1:30) sum makes of the band; information, never a verdict. */
  reductionMinMm: number;
  reductionMaxMm: number;
  leftMinDeg: number | null;
  leftMaxDeg: number | null;
};

/**
 * Drive-up judged by nut angle from a proven zero, by the maker's own band only. Travel and reduction stand beside it as
 * information; an angle that by that sum would eat the whole bench clearance is questioned before the first turn.
 * Source: maker's sheet for the band; geometry of thread and taper for the conversion.
 */
export function nutAngle(input: NutAngleInput): CalculatorResult<NutAngleValues> {
  const k = effectiveK(input.boreMm, input.hollowRatio);
  const travel = (deg: number) => (input.pitchMm * deg) / 360;
  const reduction = (deg: number) => reductionForTravel(travel(deg), input.taper, k);
  const { makerMinDeg: min, makerMaxDeg: max, turnedDeg: turned } = input;
  const limit = M.to5({ min, max });
  const findings: Finding[] = [];
  if (!input.zeroProven)
    findings.push({
      code: 'nut-angle.zero',
      verdict: 'incomplete',
      reason: M.zeroNotProvenWithoutAngle,
      params: {},
      source: 'practice',
      remedy: M.bothHandsUntilNutWill,
      acceptable: false,
    });
  if (input.benchMm !== undefined && reduction(max) >= input.benchMm)
    findings.push({
      code: 'nut-angle.eats-all',
      verdict: 'caution',
      reason: M.n1SumWouldTakeWhole({
        taper: input.taper,
        max,
        reduction: len(reduction(max)),
        bench: len(input.benchMm),
      }),
      params: { taper: input.taper, max, max2: reduction(max), benchMm: input.benchMm },
      source: 'geometry',
      remedy: M.someMakersOwnTapersSleeves,
      acceptable: false,
    });
  if (turned !== undefined) findings.push(judgeTurn(input, turned, limit));
  return {
    values: {
      travelMinMm: travel(min),
      travelMaxMm: travel(max),
      reductionMinMm: reduction(min),
      reductionMaxMm: reduction(max),
      leftMinDeg: turned === undefined ? null : Math.max(0, min - turned),
      leftMaxDeg: turned === undefined ? null : Math.max(0, max - turned),
    },
    findings,
    working: [
      {
        what: M.travel2,
        sum: M.n360({
          pitch: num(input.pitchMm, 2),
          min,
          max,
          travel: num(travel(min)),
          travel2: len(travel(max)),
        }),
      },
      {
        what: M.reductionInformation,
        sum: M.travel3({
          k: k.toFixed(3),
          taper: input.taper,
          reduction: num(reduction(min)),
          reduction2: len(reduction(max)),
        }),
      },
    ],
    beams: [],
  };
}

function judgeTurn(input: NutAngleInput, turned: number, limit: Text): Finding {
  const u = usualDoubt(input.stepDeg ?? 5);
  const shared = { code: 'nut-angle.turned', limit, source: 'maker' as const };
  if (turned < input.makerMinDeg)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: M.leastStillTurn({ turned, limit, makerMin: (input.makerMinDeg - turned).toFixed(0) }),
      params: { turned, limit, makerMinDeg: input.makerMinDeg - turned },
      acceptable: false,
    };
  const d = decide(turned, u, { upper: input.makerMaxDeg });
  return d.verdict === 'reject'
    ? {
        ...shared,
        verdict: 'reject',
        reason: M.pastMakerSBandOver({ turned }),
        params: { turned },
        remedy: M.dismountInspectStartNewZero,
        acceptable: false,
      }
    : {
        ...shared,
        verdict: 'accept',
        reason: M.liesMakerSBand({ turned }),
        params: { turned },
        acceptable: true,
      };
}
