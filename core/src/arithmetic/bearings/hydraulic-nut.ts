import { doubtSaid } from '../../judgement/doubt.ts';
import type { CalculatorResult, Finding, WorkingLine } from '../../judgement/result.ts';
import { COMMON } from '../../message/common/messages.ts';
import { expr } from '../../message/message.ts';
import { COVERAGE, decide } from '../../metrology/decision.ts';
import { type Hand, readingUncertainty } from '../../metrology/hand.ts';
import { inQuadrature } from '../../metrology/uncertainty.ts';
import { reachesPressure } from '../../quantities/as-typed.ts';
import { area, len, num, pres } from '../../quantities/say.ts';
import { M } from './messages.ts';

export type HydraulicNutInput = {
  /** Start pressure on the maker's sheet, for a nut of that piston area. */
  startPressureMpa: number;
  sheetAreaMm2?: number | undefined;
  /** Piston area of the nut in hand; without both the start pressure is this nut's own. */
  nutAreaMm2?: number | undefined;
  /** Drive-up from the start pressure, by the sheet. */
  driveUpMinMm: number;
  driveUpMaxMm: number;
  /** The pressure that must not come first; left out where the sheet gives none. */
  abortPressureMpa?: number | undefined;
  /** Indicator at the start pressure, and which way it goes as the bearing moves up: 1 as it reads more, −1 as it reads less. */
  zeroMm?: number | undefined;
  sign?: 1 | -1 | undefined;
  nowMm?: number | undefined;
  nowPressureMpa?: number | undefined;
  resolutionMm: number;
  /** What is known of the hand that read it. */
  hand?: Hand | undefined;
};

export type HydraulicNutValues = {
  /** Start pressure on the nut in hand: p₁·A₁/A₂. */
  startPressureMpa: number;
  travelMm: number | null;
  leftMinMm: number | null;
  leftMaxMm: number | null;
  aborted: boolean;
};

/**
 * Drive-up by hydraulic nut: start pressure converted by piston area, one zero, travel against the sheet's band, and the abort
 * pressure that comes first where something else holds the bearing.
 * Source: maker's sheet for pressures and travel; p₂ = p₁·A₁/A₂.
 */
export function hydraulicNut(input: HydraulicNutInput): CalculatorResult<HydraulicNutValues> {
  const { sheetAreaMm2: sheetArea, nutAreaMm2: nutArea } = input;
  const converted = sheetArea !== undefined && nutArea !== undefined;
  const startPressureMpa = converted
    ? (input.startPressureMpa * sheetArea) / nutArea
    : input.startPressureMpa;
  const { zeroMm: zero, nowMm: now, driveUpMinMm: min, driveUpMaxMm: max } = input;
  const travelMm = zero === undefined || now === undefined ? null : (input.sign ?? 1) * (now - zero);
  const one = readingUncertainty(input.resolutionMm, input.hand);
  const u = inQuadrature(one, one);
  const abortMpa = input.abortPressureMpa;
  const aborted =
    abortMpa !== undefined &&
    input.nowPressureMpa !== undefined &&
    reachesPressure(input.nowPressureMpa, abortMpa) &&
    (travelMm === null || travelMm < min);
  const findings: Finding[] = [];
  const working: WorkingLine[] = [
    {
      what: M.startPressureNut,
      sum: converted
        ? expr`${pres(input.startPressureMpa)} × ${area(sheetArea)} ÷ ${area(nutArea)} = ${pres(startPressureMpa)}`
        : M.asSheetGivesNut({ startPressure: pres(startPressureMpa) }),
    },
  ];
  if (abortMpa === undefined)
    findings.push({
      code: 'hydraulic.no-abort',
      verdict: 'caution',
      reason: M.sheetGivesNoAbortPressure,
      params: {},
      source: 'maker',
      remedy: M.stopLookWherePressureClimbs,
      acceptable: false,
    });
  if (abortMpa !== undefined && reachesPressure(startPressureMpa, abortMpa))
    findings.push({
      code: 'hydraulic.areas',
      verdict: 'reject',
      reason: M.startPressureNutNotUnder({ startPressure: pres(startPressureMpa) }),
      params: { startPressureMpa },
      source: 'maker',
      remedy: M.checkBothPistonAreasNut,
      acceptable: false,
    });
  if (aborted)
    findings.push({
      code: 'hydraulic.abort',
      verdict: 'reject',
      reason: M.abortPressureCameFirstSomething({ travel: travelMm ? M.at({ travel: len(travelMm) }) : '' }),
      params: { travelMm: travelMm ? travelMm : null },
      limit: pres(abortMpa ?? 0),
      source: 'maker',
      remedy: M.releaseEveryOtherNutStill,
      acceptable: false,
    });
  if (travelMm !== null) {
    working.push({ what: M.travel2, sum: expr`${num(now ?? 0)} − ${num(zero ?? 0)} → ${len(travelMm)}` });
    findings.push(judgeTravel(travelMm, u, min, max));
  } else
    findings.push({
      code: 'hydraulic.zero',
      verdict: 'incomplete',
      reason: M.indicatorNotZeroedYetOnce,
      params: {},
      acceptable: false,
    });
  return {
    values: {
      startPressureMpa,
      travelMm,
      leftMinMm: travelMm === null ? null : Math.max(0, min - travelMm),
      leftMaxMm: travelMm === null ? null : Math.max(0, max - travelMm),
      aborted,
    },
    findings,
    working,
    beams:
      travelMm === null
        ? []
        : [
            {
              label: COMMON.driveUp,
              quantity: 'length',
              value: travelMm,
              target: (min + max) / 2,
              lower: min,
              upper: max,
              expanded: COVERAGE.k2 * u,
              verdict: findings.at(-1)?.verdict ?? 'incomplete',
              doubt: doubtSaid({
                stepMm: input.resolutionMm,
                hand: input.hand,
                places: 2,
                marginMm: Math.min(travelMm - min, max - travelMm),
                where: M.indicator,
              }),
            },
          ],
  };
}

function judgeTravel(travelMm: number, u: number, min: number, max: number): Finding {
  const shared = {
    code: 'hydraulic.travel',
    limit: COMMON.to4({ min: num(min), max: len(max) }),
    source: 'maker' as const,
  };
  const over = decide(travelMm, u, { upper: max }).verdict === 'reject';
  if (over)
    return {
      ...shared,
      verdict: 'reject',
      reason: M.drivenPastBandOverDriven({ travel: len(travelMm), travel2: len(travelMm - max) }),
      params: { travelMm, travelMm2: travelMm - max },
      remedy: M.releaseDismountInspectStartNew,
      acceptable: false,
    };
  if (travelMm < min)
    return {
      ...shared,
      verdict: 'incomplete',
      reason: M.drivenMoreNeverZeroAgain({
        travel: len(travelMm),
        min: num(min - travelMm),
        max: len(max - travelMm),
      }),
      params: { travelMm, min: min - travelMm, max: max - travelMm },
      acceptable: false,
    };
  const d = decide(travelMm, u, { lower: min, upper: max });
  return {
    ...shared,
    verdict: d.verdict === 'accept' ? 'accept' : 'caution',
    reason: M.drivenBand({
      travel: len(travelMm),
      verdict: d.verdict === 'accept' ? 'none' : 'asNearEndAsIndicator',
    }),
    params: { travelMm, verdict: Boolean(d.verdict === 'accept') },
    acceptable: true,
  };
}
