import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, type DecisionRule, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty, scaledHand } from '../../metrology/hand.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num } from '../../quantities/say.ts';
import type { SourceId } from '../../sources/register.ts';
import { M } from './messages.ts';

/** Offsets of one housing from a straightedge, wire or laser line at its near and far side. */
export type HousingOffsets = {
  /** Middle of the housing along the shaft. */
  atMm: number;
  verticalNearMm: number;
  verticalFarMm: number;
  horizontalNearMm: number;
  horizontalFarMm: number;
};

export type HousingsInput = {
  housings: readonly HousingOffsets[];
  /** Distance between the near and the far place on each housing. */
  widthMm: number;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
  /** Angle the bearing takes up by itself, degrees; 0.5 where the maker's sheet is not at hand. */
  abilityDeg?: number | undefined;
  rule?: DecisionRule | undefined;
};

export type HousingsValues = {
  /** Angle between each housing and the shaft through it, degrees; vertical and horizontal parts beside it. */
  angleDeg: number[];
  verticalDeg: number[];
  horizontalDeg: number[];
  abilityDeg: number;
  /** What to lay under the far side of each housing (negative: under the near side), and to move it sideways there. */
  shimFarMm: number[];
  moveFarMm: number[];
};

/** The least of what spherical roller bearings take up by series, and all a sealed one does. Common practice, no source. */
export const LEAST_ABILITY_DEG = 0.5;

const DEG = 180 / Math.PI;

/**
 * Housings along one shaft: the angle between each housing's own axis (far less near offset over its width) and the shaft,
 * which runs through the middles of the housings beside it, against the bearing's ability to align itself.
 * Source: geometry; ability by the maker's sheet, else the least by series (common practice).
 * @throws RangeError under two housings, or two at one place
 */
export function housingAlignment(input: HousingsInput): CalculatorResult<HousingsValues> {
  // The shaft runs from one housing to the next along it, in whatever order they were written down.
  const order = input.housings.map((x, i) => ({ x, i })).sort((a, b) => a.x.atMm - b.x.atMm);
  const back = <T>(list: readonly T[]): T[] => {
    const out: T[] = [];
    order.forEach(({ i }, k) => {
      out[i] = list[k] as T;
    });
    return out;
  };
  const h = order.map((o) => o.x);
  if (h.length < 2) throw new MessageError(M.shaftRunsThroughTwoHousings);
  const abilityDeg = input.abilityDeg ?? LEAST_ABILITY_DEG;
  const mid = h.map((x) => ({
    z: x.atMm,
    v: (x.verticalNearMm + x.verticalFarMm) / 2,
    w: (x.horizontalNearMm + x.horizontalFarMm) / 2,
  }));
  const slopes = mid.map((_, i) => {
    const [a, b] = [mid[Math.max(0, i - 1)], mid[Math.min(mid.length - 1, i + 1)]];
    const run = (b?.z ?? 0) - (a?.z ?? 0);
    if (run === 0) throw new MessageError(M.twoHousingsStandOnePlace);
    return { v: ((b?.v ?? 0) - (a?.v ?? 0)) / run, w: ((b?.w ?? 0) - (a?.w ?? 0)) / run };
  });
  const own = h.map((x) => ({
    v: (x.verticalFarMm - x.verticalNearMm) / input.widthMm,
    w: (x.horizontalFarMm - x.horizontalNearMm) / input.widthMm,
  }));
  const inOrder = own.map((o, i) => ({ v: o.v - (slopes[i]?.v ?? 0), w: o.w - (slopes[i]?.w ?? 0) }));
  const off = back(inOrder);
  const [ownBack, slopesBack] = [back(own), back(slopes)];
  const angleDeg = off.map((o) => Math.atan(Math.hypot(o.v, o.w)) * DEG);
  // A housing's slope rests on two readings; the shaft's on four, over a far longer run.
  const one = readingUncertainty(input.resolutionMm, input.hand);
  const uDeg = ((Math.SQRT2 * one) / input.widthMm) * DEG;
  const source: SourceId = input.abilityDeg === undefined ? 'practice' : 'maker';
  const findings = angleDeg.map((angle, i): Finding => {
    const d = decide(angle, uDeg, { upper: abilityDeg }, input.rule);
    const shared = {
      code: `housings.${i + 1}`,
      source,
      limit: expr`${abilityDeg}° (${input.abilityDeg === undefined ? M.leastSeries : COMMON.makerSSheet})`,
      acceptable: true,
    };
    const said = M.housingStandsOffShaftThrough({ i: i + 1, angle: angle.toFixed(3) });
    if (d.verdict === 'accept')
      return {
        ...shared,
        verdict: 'accept',
        reason: M.bearingTakesUp({ said }),
        params: { said },
      };
    return {
      ...shared,
      verdict: d.verdict,
      reason:
        d.verdict === 'reject' ? M.moreThanBearingTakesUp({ said }) : M.withinDoubtWhatBearingTakes({ said }),
      params: { said: d.verdict === 'reject' ? said : null, said2: d.verdict === 'reject' ? null : said },
      remedy: M.layUnderSideFullWidth({
        shimOf: len(Math.abs(shimOf(off[i]?.v ?? 0, input.widthMm))),
        shimOf2: shimOf(off[i]?.v ?? 0, input.widthMm) >= 0 ? 'far' : 'near',
      }),
    };
  });
  const worst = angleDeg.indexOf(Math.max(...angleDeg));
  return {
    values: {
      angleDeg,
      verticalDeg: off.map((o) => Math.atan(o.v) * DEG),
      horizontalDeg: off.map((o) => Math.atan(o.w) * DEG),
      abilityDeg,
      shimFarMm: off.map((o) => shimOf(o.v, input.widthMm)),
      moveFarMm: off.map((o) => -o.w * input.widthMm),
    },
    findings,
    working: off.map(
      (o, i): WorkingLine => ({
        what: M.housing({ i: i + 1 }),
        sum: M.ownShaftPer1000({
          v: num(1000 * (ownBack[i]?.v ?? 0), 3),
          w: num(1000 * (ownBack[i]?.w ?? 0), 3),
          v2: num(1000 * (slopesBack[i]?.v ?? 0), 3),
          w2: num(1000 * (slopesBack[i]?.w ?? 0), 3),
          v3: (Math.atan(Math.hypot(o.v, o.w)) * DEG).toFixed(3),
        }),
      }),
    ),
    beams: [
      {
        label: M.housingShaft({ worst: worst + 1 }),
        quantity: 'angle',
        value: angleDeg[worst] ?? 0,
        target: 0,
        upper: abilityDeg,
        expanded: COVERAGE[input.rule ?? 'k2'] * uDeg,
        // In degrees: what the step is over the width it was read across.
        doubt: doubtSaid({
          places: 2,
          stepMm: (input.resolutionMm / input.widthMm) * DEG,
          hand: scaledHand(input.hand, DEG / input.widthMm),
          say: (deg) => `${deg.toFixed(4)}°`,
          rule: input.rule,
        }),
        verdict: findings[worst]?.verdict ?? 'incomplete',
      },
    ],
  };
}

/** What under the far side brings a slope to nothing. */
const shimOf = (slope: number, widthMm: number): number => -slope * widthMm;
