import type { CalculatorResult, Finding } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { MessageError } from '../../quantities/message-error.ts';
import { len, num, temp } from '../../quantities/say.ts';
import { iso286Limits, parseDesignation } from '../shaft/tolerance.ts';
import { interferenceFit } from './interference.ts';
import { M } from './messages.ts';

export type WarmFitInput = {
  boreMm: number;
  /** Tolerance of the seat, as k5; or the seat as it was measured. */
  seat?: string | undefined;
  seatMm?: number | undefined;
  /** Mean outside diameter of the inner ring; 1.25 times the bore where left out. */
  racewayMm?: number | undefined;
  /** Radial clearance before it is fitted. */
  clearanceMm?: number | undefined;
  ambientC?: number | undefined;
  /** Play wanted as it goes on; `playFor` the bore where left out. */
  playMm?: number | undefined;
};

export type WarmFitValues = {
  /** Interference at the least and at the most, by bore and seat. */
  leastMm: number;
  mostMm: number;
  heatToC: number;
  /** Radial clearance once it has cooled, at the most interference; null where it was not given. */
  leftMm: number | null;
};

/** Lower deviation of a bore of normal class, µm, by the upper end of its range; the upper one is 0. Source: ISO 492, from memory. */
const BORE_MINUS: ReadonlyArray<readonly [upto: number, micrometres: number]> = [
  [10, 8],
  [18, 8],
  [30, 10],
  [50, 12],
  [80, 15],
  [120, 20],
  [180, 25],
  [250, 30],
  [315, 35],
  [400, 40],
  [500, 45],
];
/** Play a warm ring wants to go on without a stop, beside the interference: 0.02 to 0.05 mm by the bore. Common practice, no source. */
const playFor = (boreMm: number): number => Math.min(0.05, Math.max(0.02, 0.0003 * boreMm));
/** Growth of bearing steel, 1/K. Common value. */
const GROWTH = 12e-6;
/** Over this a ring wants the maker's word; over that it is never heated. Common practice, no source. */
const CAUTION_C = 110;
const STOP_C = 125;
/** Smaller rings are pressed on cold as a rule: their bore grows too little. Common practice, no source. */
const PRESSED_UNDER_MM = 50;
/** What surfaces give as they are pressed smooth, on diameter: about this of a ground seat. Common practice, no source. */
const SMOOTHING_MM = 0.002;

/**
 * A bearing with a cylindrical bore warmed onto its seat: interference by bore and seat, how warm it must be to slide on, and the
 * clearance that is left once it has cooled.
 * Source: ISO 492 and ISO 286 for the sizes, from memory; growth α·d·ΔT; Lamé for the clearance.
 * @throws RangeError outside 3 to 500 mm, or where neither seat nor its size is given
 * @example warmFit({ boreMm: 100, seat: 'm5' }).values.mostMm // 0.048
 */
export function warmFit(input: WarmFitInput): CalculatorResult<WarmFitValues> {
  const { boreMm: d } = input;
  const minus = BORE_MINUS.find(([upto]) => d <= upto)?.[1];
  if (!(d >= 3) || minus === undefined) throw new MessageError(M.boresTabledHereFrom3);
  if (input.seat !== undefined && parseDesignation(input.seat)?.hole === true)
    throw new MessageError(M.seatIsAShaft({ seat: input.seat }));
  const seat =
    input.seatMm !== undefined
      ? { lowerMm: input.seatMm, upperMm: input.seatMm }
      : input.seat !== undefined
        ? iso286Limits(d, input.seat)
        : null;
  if (!seat) throw new MessageError(M.giveSeatToleranceAsK5);
  if (Math.abs(seat.upperMm - d) > 0.02 * d) throw new MessageError(M.seatAnotherSizeThanBore);
  const round = (x: number) => Math.round(x * 1e6) / 1e6 + 0;
  const leastMm = round(seat.lowerMm - d);
  const mostMm = round(seat.upperMm - (d - minus / 1000));
  const ambient = input.ambientC ?? 20;
  const playMm = input.playMm ?? playFor(d);
  const heatToC = ambient + (Math.max(0, mostMm) + playMm) / (GROWTH * d);
  const bears = Math.max(0, mostMm - SMOOTHING_MM);
  const reduction =
    bears > 0
      ? interferenceFit({
          jointMm: d,
          racewayMm: input.racewayMm ?? 1.25 * d,
          widthMm: 0.4 * d,
          interferenceMm: bears,
        }).values.reductionMm
      : 0;
  const leftMm = input.clearanceMm === undefined ? null : round(input.clearanceMm - reduction);
  const shared = { source: 'iso-492' as const, acceptable: true };
  const findings: Finding[] = [
    {
      ...shared,
      code: 'warm.heat',
      verdict: heatToC > STOP_C ? 'reject' : heatToC > CAUTION_C ? 'caution' : 'accept',
      reason: M.warmBearingThenSlidesPlay({ heatToC: temp(heatToC), play: len(playMm) }),
      params: { heatToC, playMm },
      limit: M.neverOver({ cautionC: temp(CAUTION_C), stopC: temp(STOP_C) }),
      ...(heatToC > CAUTION_C
        ? { remedy: d < PRESSED_UNDER_MM ? M.pressOnCold : M.lessPlayCooledShaftMakers }
        : {}),
    },
    mostMm <= 0
      ? {
          ...shared,
          code: 'warm.fit',
          verdict: 'caution',
          reason: M.doesNotPressAnywhereRing,
          params: {},
          remedy: M.rightSeatMeantSlideElse,
        }
      : {
          ...shared,
          code: 'warm.fit',
          verdict: 'accept',
          reason: expr`${leastMm >= 0 ? M.presses({ least: len(leastMm), most: len(mostMm) }) : M.fromClearanceInterference({ least: len(-leastMm), most: len(mostMm) })}.`,
          params: {
            leastMm: leastMm >= 0 ? leastMm : null,
            mostMm: leastMm >= 0 ? mostMm : null,
            leastMm2: leastMm >= 0 ? null : -leastMm,
            mostMm2: leastMm >= 0 ? null : mostMm,
          },
        },
  ];
  if (leftMm !== null)
    findings.push({
      code: 'warm.left',
      verdict: leftMm <= 0 ? 'reject' : 'accept',
      reason: M.cooledClearanceLeftMostInterference({ left: len(leftMm) }),
      params: { leftMm },
      source: 'lame',
      ...(leftMm <= 0 ? { remedy: M.largerClearanceClassLighterFit } : {}),
      acceptable: true,
    });
  return {
    values: { leastMm, mostMm, heatToC, leftMm },
    findings,
    working: [
      { what: M.bore2, sum: M.normalClass({ d: num(d - minus / 1000), d2: len(d) }) },
      { what: COMMON.seat3, sum: COMMON.to3({ lower: num(seat.lowerMm), upper: len(seat.upperMm) }) },
      {
        what: M.warm,
        sum: expr`${ambient.toFixed(0)} + (${num(Math.max(0, mostMm))} + ${num(playMm)}) ÷ (0.000012 × ${num(d, 0)}) → ${temp(heatToC)}`,
      },
      {
        what: M.clearanceLost,
        sum: M.thickRingsSmoothed({ reduction: len(reduction), smoothingMm: len(SMOOTHING_MM) }),
      },
    ],
    beams: [],
  };
}
